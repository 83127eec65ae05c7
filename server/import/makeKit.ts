/**
 * Kit that a table names and the workspace does not have, made by the services of the kit; and retired with the table
 * when that is undone.
 */
import { and, eq, inArray, isNull, notExists, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { FUELS } from '../../core/constants/fuels'
import type { ImportMade } from '../../shared/tableImport/imports'
import type { NameTarget } from '../../shared/tableImport/targets'
import type { Connection } from '../database/connection'
import { fuelBatch, run, setup, setupPart, setupVersion, thing, thingVersion } from '../database/schema'
import { saveBatch } from '../kit/fuels'
import { savePerson, savePlace } from '../kit/places'
import { saveSetup } from '../kit/saveSetup'
import { saveThing } from '../kit/saveThing'
import { made, newRecord } from '../runs/burnOne'
import { kitByName, type Named } from './kitNames'
import type { ResolvedRow } from './resolveRow'

export const nothingMade = (): ImportMade => ({ setups: [], things: [], batches: [], places: [], people: [] })
export interface RowIds {
  setupVersionId: string
  fuelBatchId: string
  placeVersionId: string | null
  personId: string
  methodVersionId: string | null
}

/** Makes what is still to be made; says what the rows' names stand for. */
export async function makeKit(
  tx: Connection,
  rows: readonly ResolvedRow[],
  zone: string,
): Promise<{ made: ImportMade; idsOf: (row: ResolvedRow) => RowIds }> {
  const all = nothingMade()
  const ids = new Map<string, string>()
  const wanted = new Map<string, { target: NameTarget; one: Named<unknown> }>()
  for (const row of rows)
    for (const target of ['setup', 'fuel', 'place', 'person'] as const)
      if (row[target]?.make) wanted.set(`${target} ${row[target]!.key}`, { target, one: row[target]! })
  for (const [
    key,
    {
      target,
      one: { make },
    },
  ] of wanted) {
    const { name, choice } = make!
    const kind = 'make' in choice ? choice : { make: true as const }
    if (target === 'person') all.people.push(made(await savePerson(tx, { id: uuidv7(), name })).id)
    if (target === 'place')
      all.places.push(made(await savePlace(tx, newRecord({ name, zone, altitudeM: '' }))).record.id)
    if (target === 'fuel')
      all.batches.push(
        made(
          await saveBatch(
            tx,
            newRecord({
              kind: kind.fuel || 'isobutane-propane',
              fuel: name,
              batch: FUELS[kind.fuel || 'isobutane-propane']!.name === name ? 'brought in' : 'first batch',
            }),
          ),
        ).record.id,
      )
    if (target === 'setup') {
      const burner = made(
        await saveThing(tx, { ...newRecord({ name, burner: kind.burner || 'canister-top' }), kind: 'burner' }),
      )
      all.things.push(burner.record.id)
      all.setups.push(
        made(await saveSetup(tx, { ...newRecord({ name }), parts: { burner: burner.versions[0]!.id } })).record.id,
      )
    }
    ids.set(
      key,
      (target === 'person'
        ? all.people
        : target === 'place'
          ? all.places
          : target === 'fuel'
            ? all.batches
            : all.setups
      ).at(-1)!,
    )
  }
  const kit = await kitByName(tx)
  const idOf = (target: NameTarget, one: Named<unknown>) => (one.make ? ids.get(`${target} ${one.key}`)! : one.key)
  const [setups, places, methods] = [
    new Map(kit.setup.map((one) => [one.id, one.is.versionId])),
    new Map(kit.place.map((one) => [one.id, one.is.versionId])),
    new Map(kit.method.map((one) => [one.id, one.is.versionId])),
  ]
  return {
    made: all,
    idsOf: (row) => ({
      setupVersionId: setups.get(idOf('setup', row.setup))!,
      fuelBatchId: idOf('fuel', row.fuel),
      personId: idOf('person', row.person),
      placeVersionId: row.place === null ? null : places.get(idOf('place', row.place))!,
      methodVersionId: row.method === null ? null : methods.get(idOf('method', row.method))!,
    }),
  }
}

/**
 * What an import made and no standing run uses is offered no more. Places and people stay: they are names, and harm
 * nothing.
 */
export async function retireMade(tx: Connection, { setups, things, batches }: ImportMade): Promise<void> {
  const counts = and(inArray(run.state, ['finished', 'draft', 'live']))
  const now = new Date()
  if (setups.length > 0) {
    const used = tx
      .select({ one: sql`1` })
      .from(run)
      .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
      .where(and(counts, eq(setupVersion.setupId, setup.id)))
    await tx
      .update(setup)
      .set({ retiredAt: now })
      .where(and(inArray(setup.id, setups), isNull(setup.retiredAt), notExists(used)))
  }
  if (things.length > 0) {
    const inSetup = tx
      .select({ one: sql`1` })
      .from(setupPart)
      .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
      .innerJoin(setupVersion, eq(setupVersion.id, setupPart.setupVersionId))
      .innerJoin(setup, eq(setup.id, setupVersion.setupId))
      .where(and(eq(thingVersion.thingId, thing.id), isNull(setup.retiredAt)))
    await tx
      .update(thing)
      .set({ retiredAt: now })
      .where(and(inArray(thing.id, things), isNull(thing.retiredAt), notExists(inSetup)))
  }
  if (batches.length > 0) {
    const used = tx
      .select({ one: sql`1` })
      .from(run)
      .where(and(counts, eq(run.fuelBatchId, fuelBatch.id)))
    await tx
      .update(fuelBatch)
      .set({ retiredAt: now })
      .where(and(inArray(fuelBatch.id, batches), isNull(fuelBatch.retiredAt), notExists(used)))
  }
}
