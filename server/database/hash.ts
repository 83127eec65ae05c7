import { createHash } from 'node:crypto'

/** The same for equal values, whatever the order of their keys. */
export function hashOf(value: unknown): string {
  return sha256(JSON.stringify(value, sortedKeys))
}

export const sha256 = (bytes: string | Buffer): string => createHash('sha256').update(bytes).digest('hex')

function sortedKeys(_: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
}
