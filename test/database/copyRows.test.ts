/**
 * Rows by COPY, in a transaction with the rest: what was sent is what stands, and what fails leaves nothing, not even a
 * broken connection.
 */
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { floatArray, intArray } from '../../server/database/arrayBytes'
import { copyingTransaction, int4Bytes, int8Bytes, uuidBytes } from '../../server/database/copyRows'
import { makeTestDatabase, type TestDatabase } from './database'

let bench: TestDatabase
beforeAll(async () => {
  bench = await makeTestDatabase('copy_rows')
  await bench.db.execute(
    sql`create table copied (id uuid primary key, n int4, big int8, t int4[], v float8[], words text)`,
  )
})
beforeEach(() => bench.db.execute(sql`truncate copied`))
afterAll(() => bench.drop())

const INTO = 'copied (id, n, big, t, v, words)'
const FIRST = '0197f000-0000-7000-8000-00000000000a'
const row = (id = FIRST, words = 'ash') => [
  uuidBytes(id),
  int4Bytes(1),
  int8Bytes(2),
  intArray([3]),
  floatArray([4.5]),
  Buffer.from(words),
]
const standing = async () =>
  (await bench.db.execute<{ n: number }>(sql`select count(*)::int as n from copied`)).rows[0]!.n

// PostgreSQL itself reads them back, as text: the limits of its types, from its manual's "Numeric Types" (from memory).
it('stand as they were sent, to the last bit', async () => {
  const v = [0.1, -0, 5e-324, 1.7976931348623157e308, 93.4]
  await copyingTransaction(bench.db, ({ copy }) =>
    copy(INTO, [
      [
        uuidBytes(FIRST),
        int4Bytes(-2147483648),
        int8Bytes(Number.MAX_SAFE_INTEGER),
        intArray([-2147483648, 0, 2147483647]),
        floatArray(v),
        Buffer.from('ash, “pumice”\n\t\\N ✓'),
      ],
      row('0197f000-0000-7000-8000-00000000000b'),
    ]),
  )
  const {
    rows: [back],
  } = await bench.db.execute<Record<string, string>>(
    sql`select id::text, n::text, big::text, t::text, v::text, words from copied order by id`,
  )
  expect(back).toMatchObject({
    id: FIRST,
    n: '-2147483648',
    big: '9007199254740991',
    t: '{-2147483648,0,2147483647}',
    words: 'ash, “pumice”\n\t\\N ✓',
  })
  const read = back!.v!.slice(1, -1).split(',').map(Number)
  expect(read.every((one, i) => Object.is(one, v[i]))).toBe(true)
  expect(() => intArray([2 ** 31])).toThrow(/no whole number of 32 bits/)
  expect(() => intArray([0.5])).toThrow(/no whole number of 32 bits/)
})

it('a row that cannot stand undoes all, and a throw afterwards too; the connections go on', async () => {
  for (let i = 0; i < 12; i++) {
    await expect(
      copyingTransaction(bench.db, async ({ tx, copy }) => {
        await tx.execute(sql`insert into copied (id) values (${'0197f000-0000-7000-8000-00000000000c'})`)
        await copy(INTO, [row(), row()])
      }),
    ).rejects.toThrow(/duplicate key/)
    await expect(
      copyingTransaction(bench.db, async ({ copy }) => {
        await copy(INTO, [row()])
        throw new Error('afterwards')
      }),
    ).rejects.toThrow('afterwards')
  }
  expect(await standing()).toBe(0)
  await copyingTransaction(bench.db, ({ copy }) => copy(INTO, [row()]))
  expect(await standing()).toBe(1)
})

it('a connection that ends in the middle leaves nothing, and the next one stores', async () => {
  await expect(
    copyingTransaction(bench.db, async ({ tx, copy }) => {
      await copy(INTO, [row()])
      const {
        rows: [own],
      } = await tx.execute<{ pid: number }>(sql`select pg_backend_pid() as pid`)
      await bench.db.execute(sql`select pg_terminate_backend(${own!.pid})`)
      await copy(INTO, [row('0197f000-0000-7000-8000-00000000000d')])
    }),
  ).rejects.toThrow()
  expect(await standing()).toBe(0)
  await copyingTransaction(bench.db, ({ copy }) => copy(INTO, [row()]))
  expect(await standing()).toBe(1)
})
