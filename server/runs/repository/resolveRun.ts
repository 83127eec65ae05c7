/** What a typed run names, as the kit has it now. */
import type { PressureFacts } from '../../../core/air/pressureOf'
import { desc, eq } from 'drizzle-orm'
import type { MethodBody } from '../../../core/method/method'
import type { BurnerProperties } from '../../../shared/thing'
import type { ReadingInstrument, TypedRun } from '../../../shared/typedRun'
import type { Connection } from '../../database/connection'
import { container, fuel, fuelBatch, methodVersion, person, placeVersion, setupVersion } from '../../database/schema'
import { instrumentOf, type Instrument } from '../../kit/checks'
import { partsOf } from './kitOfRuns'

export interface ResolvedRun {
  setupVersionId: string
  placeVersionId: string | null
  /** What is known of its pressure. */
  place: PressureFacts | null
  methodVersionId: string | null
  method: MethodBody | null
  instruments: Partial<Record<ReadingInstrument, Instrument>>
  burner: BurnerProperties | null
  lid: boolean
  fuelKind: string
}

const PLACE_PRESSURE = {
  altitudeM: placeVersion.altitudeM,
  stationPressurePa: placeVersion.stationPressurePa,
  seaLevelPressurePa: placeVersion.seaLevelPressurePa,
}

type Resolved = { ok: true; value: ResolvedRun } | { ok: false; path: string; what: string }

/** An id that is not known here, thrown by what looks for it. */
class Unknown extends Error {
  constructor(
    readonly path: string,
    readonly what: string,
  ) {
    super(path)
  }
}

/** The newest versions of what a typed run names; the field whose id is not known, where one is not. */
export async function resolveRun(db: Connection, typed: TypedRun): Promise<Resolved> {
  try {
    return { ok: true, value: await resolved(db, typed) }
  } catch (error) {
    if (error instanceof Unknown) return { ok: false, path: error.path, what: error.what }
    throw error
  }
}

async function resolved(db: Connection, typed: TypedRun): Promise<ResolvedRun> {
  const who = await db.select({ id: person.id }).from(person).where(eq(person.id, typed.personId))
  known(who, 'personId', 'Who')
  const { kind: fuelKind } = await batchOf(db, typed.fuelBatchId)
  const versions = await db
    .select({ id: setupVersion.id })
    .from(setupVersion)
    .where(eq(setupVersion.setupId, typed.setupId))
    .orderBy(desc(setupVersion.n))
    .limit(1)
  const { id: setupVersionId } = known(versions, 'setupId', 'Set-up')
  const place = typed.placeId === null ? null : await placeOf(db, typed.placeId)
  const method = typed.methodId === null ? null : await methodOf(db, typed.methodId, typed.test)
  if (typed.containerId !== null) {
    const held = await db.select({ id: container.id }).from(container).where(eq(container.id, typed.containerId))
    known(held, 'containerId', 'Container')
  }
  const instruments = await instrumentsOf(db, typed.instruments)
  const parts = await partsOf(db, [setupVersionId])
  return {
    setupVersionId,
    placeVersionId: place?.id ?? null,
    place,
    methodVersionId: method?.id ?? null,
    method: method?.body ?? null,
    instruments,
    burner: (parts.find((part) => part.role === 'burner')?.properties ?? null) as BurnerProperties | null,
    lid: parts.some((part) => part.role === 'lid'),
    fuelKind,
  }
}

function known<T>([row]: readonly T[], path: string, what: string): T {
  if (row === undefined) throw new Unknown(path, what)
  return row
}

async function batchOf(db: Connection, id: string) {
  const rows = await db
    .select({ kind: fuel.kind })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(fuelBatch.id, id))
  return known(rows, 'fuelBatchId', 'Fuel')
}

async function placeOf(db: Connection, id: string) {
  const rows = await db
    .select({ id: placeVersion.id, ...PLACE_PRESSURE })
    .from(placeVersion)
    .where(eq(placeVersion.placeId, id))
    .orderBy(desc(placeVersion.n))
    .limit(1)
  return known(rows, 'placeId', 'Place')
}

/** A method is for tests of its kind alone. */
async function methodOf(db: Connection, id: string, test: TypedRun['test']) {
  const rows = await db
    .select({ id: methodVersion.id, body: methodVersion.body })
    .from(methodVersion)
    .where(eq(methodVersion.methodId, id))
    .orderBy(desc(methodVersion.n))
    .limit(1)
  const ofTest = rows.filter(({ body }) => body.test === test)
  return known(ofTest, 'methodId', 'Method')
}

async function instrumentsOf(db: Connection, chosen: TypedRun['instruments']): Promise<ResolvedRun['instruments']> {
  const instruments: ResolvedRun['instruments'] = {}
  for (const [measures, id] of Object.entries(chosen) as [ReadingInstrument, string][]) {
    if (id === '') continue
    const instrument = await instrumentOf(db, id)
    if (instrument?.properties.measures !== measures) throw new Unknown(`instruments.${measures}`, 'Instrument')
    instruments[measures] = instrument
  }
  return instruments
}
