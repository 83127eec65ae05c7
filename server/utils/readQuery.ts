import type { H3Event } from 'h3'
import { plainJson } from '#shared/plainJson'

/** The request's query, in the form in which text is kept. */
export function readQuery(event: H3Event): Record<string, unknown> {
  return plainJson(getQuery(event)) as Record<string, unknown>
}
