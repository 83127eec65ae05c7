/**
 * Makes the least kit that a run needs, in one transaction: a burner, a set-up of it alone, a fuel; a person and a place
 * where those that are named are not known.
 */
import { v7 as uuidv7 } from 'uuid'
import { fuelOfKind } from '../../core/constants/fuels'
import type { BurnOneKit, TypedBurnOne } from '../../shared/burnOne'
import type { TypedRecord } from '../../shared/record'
import type { Connection, Database } from '../database/connection'
import { setNow } from '../database/repositories/now'
import { saveBatch } from '../kit/fuels'
import type { Outcome } from '../kit/outcome'
import { savePerson, savePlace } from '../kit/places'
import { listPeople } from '../kit/repository/people'
import { placeRows } from '../kit/repository/places'
import { saveSetup } from '../kit/saveSetup'
import { saveThing } from '../kit/saveThing'

/** What a service made; one that refuses here is a bug, since the form was read before. */
export function made<T>(outcome: Outcome<T>): T {
  if (outcome.status === 'saved') return outcome.value
  throw new Error(outcome.problems.map((problem) => `${problem.path}: ${problem.text}`).join(' '))
}
export const newRecord = (fields: TypedRecord['fields'], personId: string | null = null): TypedRecord => ({
  id: uuidv7(),
  revision: 0,
  units: 'metric',
  personId,
  reason: '',
  fields,
})

const isSame = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/** Who is known already, else a new tester. */
async function personNamed(tx: Connection, name: string): Promise<string> {
  const known = (await listPeople(tx)).find((one) => isSame(one.name, name))
  return known?.id ?? made(await savePerson(tx, { id: uuidv7(), name })).id
}

/** So near two altitudes are one place's [m]. */
const SAME_PLACE_M = 1
interface NamedPlace {
  name: string
  zone: string
  altitudeM: number | null
}
/** A place that is known by this name, as high as is said, else a new one. */
async function placeNamed(tx: Connection, { name, zone, altitudeM }: NamedPlace): Promise<string> {
  const known = (await placeRows(tx)).find(
    ({ place, version }) =>
      isSame(place.name, name) &&
      (altitudeM === null || Math.abs(altitudeM - (version.altitudeM ?? Infinity)) < SAME_PLACE_M),
  )
  if (known) return known.place.id
  const height = altitudeM === null ? '' : `${altitudeM} m`
  return made(await savePlace(tx, newRecord({ name, zone, altitudeM: height }))).record.id
}

export async function burnOne(
  db: Database,
  { who, burner, burnerKind, fuelKind, place, zone }: TypedBurnOne,
  altitudeM: number | null,
): Promise<BurnOneKit> {
  return db.transaction(async (tx) => {
    const personId = await personNamed(tx, who)
    const placeId = await placeNamed(tx, { name: place, zone, altitudeM })
    const {
      versions: [version],
    } = made(await saveThing(tx, { ...newRecord({ name: burner, burner: burnerKind }), kind: 'burner' }))
    const {
      record: { id: setupId },
    } = made(await saveSetup(tx, { ...newRecord({ name: burner }), parts: { burner: version!.id } }))
    const {
      record: { id: fuelBatchId },
    } = made(await saveBatch(tx, newRecord({ kind: fuelKind, fuel: fuelOfKind(fuelKind)!.name, batch: 'first batch' })))
    await setNow(tx, { placeId, readings: [], clear: [] })
    return { personId, placeId, setupId, fuelBatchId }
  })
}
