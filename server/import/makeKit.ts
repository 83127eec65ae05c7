/** Kit that a table names and the workspace does not have, made by the services of the kit. */
import { v7 as uuidv7 } from 'uuid'
import { FUELS } from '../../core/constants/fuels'
import type { ImportMade } from '../../shared/tableImport/imports'
import type { NameTarget } from '../../shared/tableImport/targets'
import type { Connection } from '../database/connection'
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
  for (const { target, key, make } of wantedBy(rows))
    ids.set(`${target} ${key}`, await MAKE[target](tx, all, make, zone))
  return { made: all, idsOf: await idsIn(tx, (target, key) => ids.get(`${target} ${key}`)!) }
}

type Made = NonNullable<Named<unknown>['make']>
const MADE_HERE = ['setup', 'fuel', 'place', 'person'] as const
type MadeHere = (typeof MADE_HERE)[number]

/** Each once, however many rows name it. */
function wantedBy(rows: readonly ResolvedRow[]): { target: MadeHere; key: string; make: Made }[] {
  const wanted = new Map<string, { target: MadeHere; key: string; make: Made }>()
  for (const row of rows)
    for (const target of MADE_HERE) {
      const one = row[target]
      if (one?.make) wanted.set(`${target} ${one.key}`, { target, key: one.key, make: one.make })
    }
  return [...wanted.values()]
}

const USUAL_FUEL = 'isobutane-propane'
const USUAL_BURNER = 'canister-top'

/** Makes one by its service, and keeps it with what was made. @returns its id */
const MAKE: Record<MadeHere, (tx: Connection, all: ImportMade, what: Made, zone: string) => Promise<string>> = {
  person: async (tx, all, { name }) => kept(all.people, made(await savePerson(tx, { id: uuidv7(), name })).id),
  place: async (tx, all, { name }, zone) =>
    kept(all.places, made(await savePlace(tx, newRecord({ name, zone, altitudeM: '' }))).record.id),
  fuel: async (tx, all, { name, choice }) => {
    const kind = ('make' in choice && choice.fuel) || USUAL_FUEL
    const batch = FUELS[kind]!.name === name ? 'brought in' : 'first batch'
    return kept(all.batches, made(await saveBatch(tx, newRecord({ kind, fuel: name, batch }))).record.id)
  },
  setup: async (tx, all, { name, choice }) => {
    const kind = ('make' in choice && choice.burner) || USUAL_BURNER
    const burner = made(await saveThing(tx, { ...newRecord({ name, burner: kind }), kind: 'burner' }))
    kept(all.things, burner.record.id)
    const parts = { burner: burner.versions[0]!.id }
    return kept(all.setups, made(await saveSetup(tx, { ...newRecord({ name }), parts })).record.id)
  },
}
function kept(list: string[], id: string): string {
  list.push(id)
  return id
}

/** @param madeId of what was made just now */
async function idsIn(
  tx: Connection,
  madeId: (target: NameTarget, key: string) => string,
): Promise<(row: ResolvedRow) => RowIds> {
  const kit = await kitByName(tx)
  const idOf = (target: NameTarget, one: Named<unknown>) => (one.make ? madeId(target, one.key) : one.key)
  const [setups, places, methods] = [
    new Map(kit.setup.map((one) => [one.id, one.is.versionId])),
    new Map(kit.place.map((one) => [one.id, one.is.versionId])),
    new Map(kit.method.map((one) => [one.id, one.is.versionId])),
  ]
  return (row) => ({
    setupVersionId: setups.get(idOf('setup', row.setup))!,
    fuelBatchId: idOf('fuel', row.fuel),
    personId: idOf('person', row.person),
    placeVersionId: row.place === null ? null : places.get(idOf('place', row.place))!,
    methodVersionId: row.method === null ? null : methods.get(idOf('method', row.method))!,
  })
}
