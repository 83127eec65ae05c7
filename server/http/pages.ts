/**
 * Pages of the logbook are read by many at once. Readers of the same page, drawn alike, are answered by one drawing;
 * each gets a nonce of its own.
 */
import { randomBytes } from 'node:crypto'

/** Pages that are only read until somebody acts on them: nothing in them is made for the one who asked. */
const READ_BY_MANY = /^\/runs(\/[0-9a-f-]{36})?$/

export const isReadByMany = (path: string): boolean => READ_BY_MANY.test(path)

/** What a page is drawn by of this browser's: light, units and columns. */
const OURS = /^vulcanum_(light|units|columns)=/

/** Of a Cookie header, what changes how a page is drawn. */
export const drawnBy = (cookies: string): string =>
  cookies
    .split(/;\s*/)
    .filter((one) => OURS.test(one))
    .sort()
    .join('; ')

export interface DrawnPage {
  status: number
  headers: [string, string][]
  body: string
}

const NONCE = /'nonce-([A-Za-z0-9+/=]+)'/

/** The page for one more reader: as drawn, under a nonce that nobody else was told. */
export function forOneReader(page: DrawnPage, nonce = randomBytes(16).toString('base64')): DrawnPage {
  const drawnWith = page.headers.map(([, value]) => NONCE.exec(value)?.[1]).find((one) => one !== undefined)
  if (drawnWith === undefined) return page
  const renewed = (text: string) => text.replaceAll(drawnWith, nonce)
  return {
    status: page.status,
    headers: page.headers.map(([name, value]) => [name, renewed(value)]),
    body: renewed(page.body),
  }
}
