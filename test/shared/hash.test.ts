import { createHash } from 'node:crypto'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { hashOf } from '../../server/database/hash'
import { proofs } from '../proofs'

/** As hashes were made at first, and stand in databases: JSON.stringify with a replacer that orders keys. */
function asFirst(value: unknown): string {
  const ordered = (_: string, one: unknown) =>
    typeof one !== 'object' || one === null || Array.isArray(one)
      ? one
      : Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
  return createHash('sha256')
    .update(JSON.stringify(value, ordered) ?? 'undefined')
    .digest('hex')
}

it('law: a hash is that of the first version, for any value', () => {
  fc.assert(
    fc.property(
      fc
        .anything({ withDate: true, maxDepth: 4 })
        .filter((value) => !JSON.stringify(value ?? null)?.includes('__proto__')),
      (value) => {
        expect(hashOf(value)).toBe(asFirst(value))
      },
    ),
    { numRuns: proofs(2000) },
  )
  const run = {
    b: [
      [0, 9.2],
      [2, 9.3],
    ],
    a: { d: undefined, c: null },
    e: [{ z: 1, y: [1, 'x'] }],
    at: new Date(0),
  }
  expect(hashOf(run)).toBe(asFirst(run))
})
