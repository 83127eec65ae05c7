/**
 * Rows of a package held against what this application can read, before any of them counts: words of a list, moments,
 * figures, and the shape of each JSON.
 */
import { array, boolean, lazy, mixed, number, object, ValidationError, type Schema } from 'yup'
import { getTableColumns } from 'drizzle-orm'
import type pg from 'pg'
import { BOILS, CLOCKS, LITRES, ORIGINS, SETTINGS, TEST_KINDS } from '../../core/formats/document'
import {
  ACCESSORIES,
  BURNT_OUTS,
  CORRECTIONS,
  FUEL_SCHOOLS,
  LIDS,
  METHOD_SETTINGS,
  RANKINGS,
  SAFE_WATER,
  TESTS,
  WIND_SCHOOLS,
} from '../../core/method/method'
import { EVENT_KINDS } from '../../core/run/events'
import { LANES } from '../../shared/benchAct'
import { CHANNEL_NAMES } from '../../shared/channels'
import type { FieldSpec } from '../../shared/fields'
import { ENTRY_WORDS } from '../../shared/fuelBatch'
import { MEASURED_QUANTITIES } from '../../shared/measuredQuantity'
import { EARLIEST_MS, LATEST_MS } from '../../shared/moments'
import { OBSERVATION_SCALES } from '../../shared/observation'
import { heatFields, PART_ROLES, THING_KINDS, type ThingKind } from '../../shared/thing'
import { isZone } from '../../shared/typedRun'
import { string } from '../../shared/words'
import type { PackagedTable } from './tables'

/** Columns that hold one word of a list. */
const WORDS: Record<string, readonly string[]> = {
  'thing.kind': THING_KINDS,
  'setup_part.role': PART_ROLES,
  'instrument_check.kind': ['icePoint', 'boilingPoint', 'checkWeight', 'beside'],
  'container_entry.kind': Object.keys(ENTRY_WORDS),
  'amendment.subject': ['fuelBatch', 'container'],
  'run.origin': ORIGINS,
  'run.kind': TEST_KINDS,
  'run.state': ['draft', 'live', 'finished', 'void'],
  'run.setting': SETTINGS,
  'run.lane': LANES,
  'measurement.quantity': Object.keys(MEASURED_QUANTITIES),
  'event.kind': EVENT_KINDS,
  'trace.channel': CHANNEL_NAMES,
  'observation.scale': OBSERVATION_SCALES,
  'import.kind': ['table', 'documents'],
  'import.state': ['stored', 'undone'],
}
const ZONES = ['run.zone', 'place.zone']

const figure = () =>
  number()
    .nullable()
    .strict()
    .test('finite', 'expected a number', (value) => value === null || value === undefined || Number.isFinite(value))
const word = (list: readonly string[]) =>
  string()
    .strict()
    .required()
    .oneOf([...list])
const words = () => string().strict().defined()
const recordOf = (of: () => Schema) =>
  lazy((value: unknown) =>
    object(
      Object.fromEntries(
        Object.keys(typeof value === 'object' && value !== null ? value : {}).map((key) => [key, of()]),
      ),
    )
      .strict()
      .required(),
  )
const list = (of: Schema) => array(of).strict().required()
const maybe = (schema: Schema) =>
  lazy((value) => (value === null || value === undefined ? mixed().nullable() : schema)) as unknown as Schema

const typed = recordOf(() =>
  mixed().test(
    'typed',
    'expected text, or yes or no',
    (value) => typeof value === 'string' || typeof value === 'boolean',
  ),
)
const bound = object({ low: figure().defined(), high: figure().defined() }).strict().required()
const methodBody = object({
  test: word(TESTS),
  why: words(),
  measures: words(),
  cannotSay: words(),
  steps: list(words()),
  waterKg: figure().defined(),
  startC: bound,
  hardwareAboveAirK: figure().defined(),
  windMS: bound,
  wind: word(WIND_SCHOOLS),
  lid: word(LIDS),
  setting: word(METHOD_SETTINGS),
  clock: word(CLOCKS),
  boil: lazy((value) =>
    typeof value === 'object' && value !== null ? object({ targetC: figure().required() }).strict() : word(BOILS),
  ),
  burntOut: word(BURNT_OUTS),
  fuel: word(FUEL_SCHOOLS),
  litre: word(LITRES),
  correction: word(CORRECTIONS),
  accessories: word(ACCESSORIES),
  ranking: word(RANKINGS),
  safeWater: word(SAFE_WATER),
  giveUpS: figure().defined(),
  durationS: figure().defined(),
  replicates: figure().required(),
  readEveryS: figure().defined(),
  must: list(words()),
  may: list(words()),
  mustMark: list(word(EVENT_KINDS)),
  mayMark: list(word(EVENT_KINDS)),
})
  .strict()
  .required()
const payload = object({
  waterC: figure(),
  massG: figure(),
  reason: string().strict().nullable(),
  setting: string().strict().nullable(),
  typed: string().strict().nullable(),
  press: string().strict().oneOf(['twin', 'double', 'already']),
  ofId: string().strict(),
})
  .strict()
  .required()
const bench = object({
  units: word(['metric', 'trail']),
  instruments: recordOf(words),
  armedAtMs: figure().required(),
  rehearsal: object().strict(),
}).strict()
const made = recordOf(() => list(words()))
const anyObject = object().strict().required()

/** Columns that hold JSON, with the SQL that gives what else is needed to judge it. */
const SHAPES: Record<string, Schema> = {
  'container.typed': typed as unknown as Schema,
  'fuel_batch.typed': typed as unknown as Schema,
  'place_version.typed': typed as unknown as Schema,
  'thing_version.typed': typed as unknown as Schema,
  'method_version.body': methodBody,
  'event.payload': payload,
  'run.bench': maybe(bench),
  'run.given': maybe(anyObject),
  'import.made': maybe(made as unknown as Schema),
  'import.mapping': maybe(object({ what: word(['runs', 'trace']), mapping: anyObject }).strict()),
  'import.sheets': list(object({ name: words(), rows: figure().required() }).strict()),
  'feed.lanes': recordOf(() => list(word(LANES))) as unknown as Schema,
  'wind_survey.cells': list(
    object({ station: words(), step: words(), windMS: figure().required(), typed: words() }).strict(),
  ),
}

/** Properties of a thing of a kind, as they are stored: those that were not there in the first versions are absent. */
function propertiesOf(kind: ThingKind): Schema {
  const of = ({ type, key, ...spec }: FieldSpec) => {
    if (type === 'flag') return boolean().strict().nullable()
    if (type === 'choice')
      return string()
        .strict()
        .nullable()
        .oneOf(
          [...((spec as { choices: { value: string }[] | null }).choices ?? []).map((one) => one.value), null],
          `${key}: not of its list`,
        )
    return figure()
  }
  return object({
    ...Object.fromEntries(heatFields(kind).map((spec) => [spec.key, of(spec)])),
    ...(kind === 'instrument' ? { unit: words(), resolution: figure().required() } : {}),
  })
    .strict()
    .required()
}

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
