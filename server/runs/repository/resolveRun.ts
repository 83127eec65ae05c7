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

const unknown = (path: string, what: string): Resolved => ({ ok: false, path, what })

/** The newest versions of what a typed run names; the field whose id is not known, where one is not. */
export async function resolveRun(db: Connection, typed: TypedRun): Promise<Resolved> {
  const [who] = await db.select({ id: person.id }).from(person).where(eq(person.id, typed.personId))
  if (!who) return unknown('personId', 'Who')
  const [batch] = await db
    .select({ id: fuelBatch.id, kind: fuel.kind })
    .from(fuelBatch)
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(fuelBatch.id, typed.fuelBatchId))
  if (!batch) return unknown('fuelBatchId', 'Fuel')
  const [version] = await db
    .select({ id: setupVersion.id })
    .from(setupVersion)
    .where(eq(setupVersion.setupId, typed.setupId))
    .orderBy(desc(setupVersion.n))
    .limit(1)
  if (!version) return unknown('setupId', 'Set-up')
  const [where] =
    typed.placeId === null
      ? [null]
      : await db
          .select({ id: placeVersion.id, ...PLACE_PRESSURE })
          .from(placeVersion)
          .where(eq(placeVersion.placeId, typed.placeId))
          .orderBy(desc(placeVersion.n))
          .limit(1)
  if (where === undefined) return unknown('placeId', 'Place')
  const [by] =
    typed.methodId === null
      ? [null]
      : await db
          .select({ id: methodVersion.id, body: methodVersion.body })
          .from(methodVersion)
          .where(eq(methodVersion.methodId, typed.methodId))
          .orderBy(desc(methodVersion.n))
          .limit(1)
  if (by === undefined || (by !== null && by.body.test !== typed.test)) return unknown('methodId', 'Method')
  const [held] =
    typed.containerId === null
      ? [null]
      : await db.select({ id: container.id }).from(container).where(eq(container.id, typed.containerId))
  if (held === undefined) return unknown('containerId', 'Container')
  const instruments: ResolvedRun['instruments'] = {}
  for (const [measures, id] of Object.entries(typed.instruments) as [ReadingInstrument, string][]) {
    if (id === '') continue
    const instrument = await instrumentOf(db, id)
    if (instrument === null || instrument.properties.measures !== measures)
      return unknown(`instruments.${measures}`, 'Instrument')
    instruments[measures] = instrument
  }
  const parts = await partsOf(db, [version.id])
  return {
    ok: true,
    value: {
      setupVersionId: version.id,
      placeVersionId: where?.id ?? null,
      place: where,
      methodVersionId: by?.id ?? null,
      method: by?.body ?? null,
      instruments,
      burner: (parts.find((part) => part.role === 'burner')?.properties ?? null) as BurnerProperties | null,
      lid: parts.some((part) => part.role === 'lid'),
      fuelKind: batch.kind,
    },
  }
}
