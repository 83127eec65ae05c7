/** Makes the least kit that a run needs, in one transaction: a person, a place, a burner, a set-up of it alone, a fuel. */
import { fuelOfKind } from '../../core/constants/fuels'
import type { BurnOneKit, TypedBurnOne } from '../../shared/burnOne'
import type { Database } from '../database/connection'
import { addFuelBatch, addPerson, addPlace, addSetup, addThing } from '../database/repositories/kit'
import { setNow } from '../database/repositories/now'

export async function burnOne(db: Database, { who, burner, burnerKind, fuelKind, place, zone }: TypedBurnOne, altitudeM: number | null): Promise<BurnOneKit> {
  return db.transaction(async (tx) => {
    const personId = await addPerson(tx, who)
    const placeId = await addPlace(tx, { name: place, zone, altitudeM, windHeightM: null })
    const { versionId } = await addThing(tx, { kind: 'burner', name: burner, properties: { burner: burnerKind, head: null, massKg: null } })
    const setupId = await addSetup(tx, { name: burner, gapM: null, parts: { burner: versionId } })
    const fuelBatchId = await addFuelBatch(tx, { kind: fuelKind, name: fuelOfKind(fuelKind)!.name, batch: 'first batch' })
    await setNow(tx, { placeId, readings: [], clear: [] })
    return { personId, placeId, setupId, fuelBatchId }
  })
}
