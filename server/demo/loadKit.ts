/** The demonstration's kit, by the services of the kit. */
import type { TypedFields } from '../../shared/fields'
import { v7 as uuidv7 } from 'uuid'
import type { Connection } from '../database/connection'
import { addCheck } from '../kit/checks'
import { saveContainer } from '../kit/containers'
import { saveBatch } from '../kit/fuels'
import { savePerson, savePlace } from '../kit/places'
import { addPrice } from '../kit/prices'
import { saveSetup } from '../kit/saveSetup'
import { saveThing } from '../kit/saveThing'
import { made, newRecord } from '../runs/burnOne'
import { CANISTERS, FUEL_PRICES, FUELS, FULL_G, PEOPLE, PLACES, SETUPS, SHELL_G, type FuelKey } from './kit'
import { THINGS, type DemoThing } from './things'

type Ids = Record<string, string>
export interface DemoKit {
  people: Ids
  places: Ids
  things: Ids
  setups: Ids
  fuels: Ids
  containers: string[]
}
/** Warnings the testers went on past, with their reason. */
const OVERRIDES = {
  'pot-wider-than-stand': 'Stirred with the lid on only',
  'pot-wide-on-burner': 'To see whether a tablet can do it; stood in a ring of stones',
}
const NOW = Date.parse('2026-11-01T00:00:00Z')

export async function loadKit(tx: Connection, say: (line: string) => void): Promise<DemoKit> {
  const people: Ids = {}
  for (const name of PEOPLE) people[name] = made(await savePerson(tx, { id: uuidv7(), name })).id
  const personId = people[PEOPLE[0]]!
  const places: Ids = {}
  for (const [key, fields] of Object.entries(PLACES))
    places[key] = made(await savePlace(tx, newRecord({ ...fields }))).record.id
  const { things, versions } = await loadThings(tx)
  const setups = await loadSetups(tx, versions, personId)
  const fuels = await loadFuels(tx)
  const containers = await loadContainers(tx, fuels.gas!)
  await loadChecks(tx, things, personId)
  say(
    `kit: ${Object.keys(THINGS).length} things, ${Object.keys(SETUPS).length} set-ups, ${Object.keys(PLACES).length} places, ${CANISTERS.length} canisters`,
  )
  return { people, places, things, setups, fuels, containers }
}

async function loadSetups(tx: Connection, versions: Ids, personId: string): Promise<Ids> {
  const setups: Ids = {}
  for (const [key, { name, gapM, parts }] of Object.entries(SETUPS)) {
    const chosen = Object.fromEntries(Object.entries(parts).map(([role, part]) => [role, versions[part]!]))
    const record = newRecord({ name, gapM }, personId)
    setups[key] = made(await saveSetup(tx, { ...record, parts: chosen, overrides: OVERRIDES })).record.id
  }
  return setups
}

async function loadFuels(tx: Connection): Promise<Ids> {
  const fuels: Ids = {}
  for (const [key, fields] of Object.entries(FUELS) as [FuelKey, TypedFields][]) {
    const { record } = made(await saveBatch(tx, newRecord({ ...fields })))
    fuels[key] = record.id
    const cost = FUEL_PRICES[key]
    if (cost === undefined) continue
    const price = newRecord({ amount: cost[0], forKg: cost[1], currency: 'EUR', fromDay: '2026-02-01' })
    made(await addPrice(tx, { fuelBatchId: record.id }, price))
  }
  return fuels
}

async function loadContainers(tx: Connection, fuelBatchId: string): Promise<string[]> {
  const containers: string[] = []
  for (const name of CANISTERS) {
    const canister = newRecord({ name, fuelBatchId, tareKg: `${SHELL_G} g`, fullKg: `${FULL_G} g` })
    containers.push(made(await saveContainer(tx, canister)).record.id)
  }
  return containers
}

async function loadThings(tx: Connection): Promise<{ things: Ids; versions: Ids }> {
  const [things, versions]: [Ids, Ids] = [{}, {}]
  for (const [key, { kind, fields, price, madeFrom }] of Object.entries(THINGS) as [string, DemoThing][]) {
    const page = made(
      await saveThing(tx, {
        ...newRecord({ ...fields, ...(madeFrom ? { madeFromId: things[madeFrom]! } : {}) }),
        kind,
      }),
    )
    things[key] = page.record.id
    versions[key] = page.versions[0]!.id
    if (price)
      made(
        await addPrice(
          tx,
          { thingId: page.record.id },
          newRecord({ amount: price, currency: 'EUR', fromDay: '2026-01-15' }),
        ),
      )
  }
  return { things, versions }
}

/** The probe reads low by some tenths since spring; the scale is right. */
async function loadChecks(tx: Connection, things: Ids, personId: string): Promise<void> {
  const check = async (key: string, fields: TypedFields) =>
    made(await addCheck(tx, things[key]!, newRecord(fields, personId), NOW))
  await check('probe', { kind: 'icePoint', reading: '0.1 °C', at: '2026-02-05T09:00:00Z', note: '' })
  await check('probe', {
    kind: 'icePoint',
    reading: '−0.4 °C',
    at: '2026-05-02T08:30:00Z',
    note: 'Dropped on the quay in April',
  })
  await check('probe', {
    kind: 'boilingPoint',
    reading: '99.5 °C',
    pressure: '1 013.2 hPa',
    at: '2026-05-02T08:50:00Z',
    note: '',
  })
  await check('fineScale', {
    kind: 'checkWeight',
    reading: '200.0 g',
    truth: '200 g',
    at: '2026-02-05T09:10:00Z',
    note: '',
  })
}
