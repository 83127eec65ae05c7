import { createHash } from 'node:crypto'

/** The same for equal values, whatever the order of their keys. */
export function hashOf(value: unknown): string {
  return sha256(canonical(value) ?? 'undefined')
}

export const sha256 = (bytes: string | Buffer): string => createHash('sha256').update(bytes).digest('hex')

/** Of lists of numbers, by their bytes: a tenth of the time of their text. */
export function hashOfLists(...lists: readonly (readonly number[])[]): string {
  const flat = new Float64Array(lists.reduce((sum, list) => sum + 1 + list.length, 0))
  let at = 0
  for (const list of lists) {
    flat[at] = list.length
    flat.set(list, at + 1)
    at += 1 + list.length
  }
  return sha256(Buffer.from(flat.buffer))
}

/** Of a long list of samples, by its bytes. */
export function hashOfSamples(samples: readonly (readonly [number, number])[]): string {
  const flat = new Float64Array(samples.length * 2)
  for (let i = 0; i < samples.length; i++) {
    flat[2 * i] = samples[i]![0]
    flat[2 * i + 1] = samples[i]![1]
  }
  return sha256(Buffer.from(flat.buffer))
}

/** JSON with the keys of every object in order; long lists of numbers, as traces are, at once. */
function canonical(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null || value instanceof Date) return JSON.stringify(value)
  if (Array.isArray(value))
    return value.every(isPlain) ? JSON.stringify(value) : `[${value.map((one) => canonical(one) ?? 'null').join(',')}]`
  // In the order in which an object of sorted entries is written: whole numbers stand first.
  const keys = Object.keys(Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))))
  const parts = keys.flatMap((key) => {
    const one = canonical((value as Record<string, unknown>)[key])
    return one === undefined ? [] : [`${JSON.stringify(key)}:${one}`]
  })
  return `{${parts.join(',')}}`
}
const isPlain = (one: unknown): boolean =>
  typeof one === 'number' || (Array.isArray(one) && one.every((each) => typeof each === 'number'))
