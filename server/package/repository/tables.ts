/** Which tables make a workspace, in the order in which each finds what it points to; and what stays behind, with why. */
import { getTableColumns, getTableName, type Column } from 'drizzle-orm'
import { getTableConfig, type PgTable } from 'drizzle-orm/pg-core'
import * as schema from '../../database/schema'

export interface PackagedTable {
  table: PgTable
  name: string
  columns: Column[]
  /** SQL that picks rows; '' for all. */
  where: string
  /** Changes of the schema from which on it is there. */
  since: number
}

const one = (
  table: PgTable,
  { without = [], where = '', since = 0 }: { without?: string[]; where?: string; since?: number } = {},
): PackagedTable => ({
  table,
  name: getTableName(table),
  columns: Object.values(getTableColumns(table)).filter((column) => !without.includes(column.name)),
  where,
  since,
})

const STORED = "state in ('stored', 'undone')"
export const PACKAGED: readonly PackagedTable[] = [
  one(schema.person),
  one(schema.place),
  one(schema.placeVersion),
  one(schema.windSurvey, { since: 10 }),
  one(schema.thing),
  one(schema.thingVersion),
  one(schema.setup),
  one(schema.setupVersion),
  one(schema.setupPart),
  one(schema.setupDecision),
  one(schema.claim, { since: 20 }),
  one(schema.keptQuestion, { since: 20 }),
  one(schema.fuel),
  one(schema.fuelBatch),
  one(schema.price),
  one(schema.amendment),
  one(schema.container),
  one(schema.method),
  one(schema.methodVersion),
  one(schema.instrumentCheck),
  // The token that lets a device in is of this workspace alone.
  one(schema.device, { without: ['token_hash'] }),
  one(schema.tableImport, { where: STORED }),
  one(schema.feed, { without: ['token_hash'], since: 9 }),
  one(schema.study, { since: 22 }),
  one(schema.arm, { since: 22 }),
  one(schema.block, { since: 22 }),
  one(schema.plannedRun, { since: 22 }),
  one(schema.studyChange, { since: 22 }),
  one(schema.run, { without: ['series_key'] }),
  one(schema.containerEntry),
  one(schema.measurement),
  one(schema.event),
  one(schema.trace),
  one(schema.traceChunk),
  one(schema.decision),
  one(schema.runVoid),
  one(schema.runNote),
  one(schema.observation),
  one(schema.runTag),
  // Pictures are files of their own.
  one(schema.photo, { without: ['bytes', 'thumbnail'] }),
]

/** Tables that are no part of a workspace's facts. */
export const LEFT_BEHIND: Record<string, string> = {
  workspace: 'says what this database is for',
  draft: 'a form that was not sent',
  now_place: 'what is so now',
  now_reading: 'what is so now',
  result: 'a cache',
  run_summary: 'worked out from the facts',
  run_reading: 'worked out from the facts',
  series: 'worked out from the facts',
  setup_summary: 'worked out from the facts',
  found_question: 'worked out from the facts',
  bench_act: 'how acts of devices were acknowledged',
  bench_clock: 'this machine’s clock',
  change: 'the outbox',
  import_chunk: 'rows that wait to be stored',
  ingest_batch: 'how batches of instruments were acknowledged',
}

/** What of a table points to which columns of which. */
export const referencesOf = (table: PgTable): { columns: string[]; to: string; toColumns: string[] }[] =>
  getTableConfig(table)
    .foreignKeys.map((key) => key.reference())
    .map(({ columns, foreignTable, foreignColumns }) => ({
      columns: columns.map((column) => column.name),
      to: getTableConfig(foreignTable).name,
      toColumns: foreignColumns.map((column) => column.name),
    }))

export const primaryKeyOf = (table: PgTable): string[] => {
  const { columns, primaryKeys } = getTableConfig(table)
  return (
    primaryKeys[0]?.columns.map((column) => column.name) ??
    columns.filter((column) => column.primary).map((column) => column.name)
  )
}

type FieldType = 'string' | 'number' | 'integer' | 'boolean' | 'date' | 'datetime' | 'object' | 'array'
export function fieldTypeOf(column: Column): FieldType {
  const type = column.getSQLType()
  if (type.endsWith('[]')) return 'array'
  if (type === 'jsonb') return 'object'
  if (type === 'boolean') return 'boolean'
  if (type === 'date') return 'date'
  if (type.startsWith('timestamp')) return 'datetime'
  if (type === 'double precision') return 'number'
  return type === 'integer' || type === 'bigint' ? 'integer' : 'string'
}

const quoted = (column: Column) => `"${column.name}"`
// In PostgreSQL's words, as shared/runTable.ts has it: what a spreadsheet would work out, after spaces, line ends and
// separators too.
const WORKED_OUT = '([\\t\\r]|[\\s\\u00a0\\ufeff;,|]*[=+\\-@＝＋－＠])'
const FORMULA = `^''*${WORKED_OUT}`
/** By the format of the package: the first knew fewer. */
const WRITTEN_FORMULA: Record<number, string> = { 1: "^''+[=+\\-@\\t\\r]", 2: `^''+${WORKED_OUT}` }

/** A column as its cell is written: dates as ISO, lists as JSON, and no text that a spreadsheet would run. */
export function written(column: Column): string {
  const name = quoted(column)
  switch (fieldTypeOf(column)) {
    case 'string':
      return column.getSQLType() === 'text'
        ? `case when ${name} ~ '${FORMULA}' then '''' || ${name} else ${name} end as ${name}`
        : name
    case 'datetime':
      return `to_char(${name} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as ${name}`
    case 'array':
      return `to_json(${name})::text as ${name}`
    case 'boolean':
    case 'object':
      return `${name}::text as ${name}`
    default:
      return name
  }
}

/** The same, read back from text of a package of this format. */
export function readBack(column: Column, format: number): string {
  const name = quoted(column)
  const type = column.getSQLType()
  if (fieldTypeOf(column) === 'array')
    return type === 'text[]'
      ? `case when ${name} is not null then array(select jsonb_array_elements_text(${name}::jsonb)) end`
      : `translate(${name}, '[]', '{}')::${type}`
  if (type === 'text')
    return `case when ${name} ~ '${WRITTEN_FORMULA[format]!}' then substr(${name}, 2) else ${name} end`
  return `${name}::${type === 'bigserial' ? 'bigint' : type}`
}
