/**
 * Makes the least kit that a run needs, in one transaction: a person, a place, a burner, a set-up of it alone, a fuel.
 */
import { v7 as uuidv7 } from 'uuid'
import { fuelOfKind } from '../../core/constants/fuels'
import type { BurnOneKit, TypedBurnOne } from '../../shared/burnOne'
import type { TypedRecord } from '../../shared/record'
import type { Database } from '../database/connection'
import { setNow } from '../database/repositories/now'
import { saveBatch } from '../kit/fuels'
import type { Outcome } from '../kit/outcome'
import { savePerson, savePlace } from '../kit/places'
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

export async function burnOne(
  db: Database,
  { who, burner, burnerKind, fuelKind, place, zone }: TypedBurnOne,
  altitudeM: number | null,
): Promise<BurnOneKit> {
  return db.transaction(async (tx) => {
    const { id: personId } = made(await savePerson(tx, { id: uuidv7(), name: who }))
    const {
      record: { id: placeId },
    } = made(
      await savePlace(tx, newRecord({ name: place, zone, altitudeM: altitudeM === null ? '' : `${altitudeM} m` })),
    )
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
