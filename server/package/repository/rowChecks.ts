/**
 * Rows of a package held against what this application can read, before any of them counts: words of a list, moments,
 * figures, and the shape of each JSON.
 */
import { ValidationError, type Schema } from 'yup'
import { getTableColumns } from 'drizzle-orm'
import type pg from 'pg'
import { EARLIEST_MS, LATEST_MS } from '../../../shared/moments'
import { THING_KINDS } from '../../../shared/thing'
import { isZone } from '../../../shared/zone'
import type { PackagedTable } from './tables'
import { WORDS, ZONES, SHAPES, propertiesOf } from '../rowShapes'

/** What is wrong with the first row that cannot be read; null: all can. */
export async function firstFault(client: pg.ClientBase, { name, columns }: PackagedTable): Promise<string | null> {
  for (const column of columns) {
    const at = `${name}.${column.name}`
    const type = column.getSQLType()
    const fault = await faultIn(client, at, { table: name, column: column.name, type })
    if (fault !== null) return `data/${name}.csv, column ${column.name}: ${fault}`
  }
  return null
}

interface Asked {
  table: string
  column: string
  type: string
}

async function faultIn(client: pg.ClientBase, at: string, { table, column, type }: Asked): Promise<string | null> {
  const first = async (condition: string, values: unknown[] = []) =>
    (
      await client.query<{ value: string }>(
        `select "${column}"::text as value from "${table}" where ${condition} limit 1`,
        values,
      )
    ).rows[0]?.value
  const read = (value: string | undefined, expected: string) =>
    value === undefined ? null : `read "${value.slice(0, 60)}", expected ${expected}`
  if (WORDS[at])
    return read(
      await first(`"${column}" is not null and not ("${column}" = any($1))`, [WORDS[at]]),
      `one of ${WORDS[at].slice(0, 8).join(', ')}${WORDS[at].length > 8 ? ', …' : ''}`,
    )
  if (ZONES.includes(at)) return zoneFault(client, table, column)
  if (type.startsWith('timestamp') || type === 'date')
    return read(
      await first(`not isfinite("${column}") or "${column}" < to_timestamp($1) or "${column}" >= to_timestamp($2)`, [
        EARLIEST_MS / 1000,
        LATEST_MS / 1000,
      ]),
      'a moment in the years 1970 to 2199',
    )
  if (type === 'double precision')
    return read(await first(`"${column}" = 'NaN' or abs("${column}") = 'Infinity'`), 'a number')
  if (at === 'thing_version.properties') return propertiesFault(client)
  return SHAPES[at] ? shapeFault(client, { table, column, type }, () => SHAPES[at]!) : null
}

async function zoneFault(client: pg.ClientBase, table: string, column: string): Promise<string | null> {
  const { rows } = await client.query<{ zone: string }>(`select distinct "${column}" as zone from "${table}"`)
  const strange = rows.find((row) => !isZone(row.zone))
  return strange ? `read "${strange.zone.slice(0, 60)}", expected a time zone such as Europe/Lisbon` : null
}

async function propertiesFault(client: pg.ClientBase): Promise<string | null> {
  for (const kind of THING_KINDS) {
    const schema = propertiesOf(kind)
    const { rows } = await client.query<{ value: unknown }>(
      'select v.properties as value from thing_version v join thing t on t.id = v.thing_id where t.kind = $1',
      [kind],
    )
    const fault = rows.map((row) => faultOf(schema, row.value)).find((one) => one !== null)
    if (fault) return `of a ${kind}, ${fault}`
  }
  return null
}

/** A few at a time, each once: many events carry the same. */
const AT_A_TIME = 2000

async function shapeFault(
  client: pg.ClientBase,
  { table, column }: Asked,
  schemaOf: () => Schema,
): Promise<string | null> {
  await client.query(`declare shapes no scroll cursor for select distinct "${column}" as value from "${table}"`)
  try {
    for (;;) {
      const { rows } = await client.query<{ value: unknown }>(`fetch ${AT_A_TIME} from shapes`)
      if (rows.length === 0) return null
      for (const row of rows) {
        const fault = faultOf(schemaOf(), row.value)
        if (fault !== null) return fault
      }
    }
  } finally {
    await client.query('close shapes')
  }
}

function faultOf(schema: Schema, value: unknown): string | null {
  try {
    schema.validateSync(value)
    return null
  } catch (error) {
    if (error instanceof ValidationError) return error.errors[0] ?? 'not of its shape'
    throw error
  }
}

/** JSON columns of packaged tables that nothing here judges; a test holds this to none. */
export const unjudged = (packaged: readonly PackagedTable[]): string[] =>
  packaged.flatMap(({ name, table }) =>
    Object.values(getTableColumns(table))
      .filter(
        (column) =>
          column.getSQLType() === 'jsonb' &&
          !SHAPES[`${name}.${column.name}`] &&
          `${name}.${column.name}` !== 'thing_version.properties',
      )
      .map((column) => `${name}.${column.name}`),
  )
