/** Everything a run can be made of, newest versions, by name. */
import { asc } from 'drizzle-orm'
import type { BurnerProperties, InstrumentProperties } from '../../../shared/thing'
import type { KitChoices } from '../../../shared/kitChoices'
import { listBatches } from '../../kit/fuels'
import { listContainers } from '../../kit/containers'
import { listPlaces } from '../../kit/places'
import { listSetups } from '../../kit/setups'
import { listThings } from '../../kit/things'
import { listMethods } from '../../methods/methods'
import type { Connection } from '../connection'
import { person } from '../schema'

const offered = <T extends { retired: boolean }>(rows: readonly T[]) => rows.filter((row) => !row.retired)

export async function kitChoices(db: Connection, nowMs: number): Promise<KitChoices> {
  const setups = offered(await listSetups(db)).map(({ id, name, version: { parts, warnings } }) => ({
    id,
    name,
    parts: parts.map((part) => ({ role: part.role, name: part.name })),
    warnings: warnings.map((warning) => warning.text),
    burner: (parts.find((part) => part.role === 'burner')?.properties as BurnerProperties | undefined)?.burner ?? null,
  }))
  const instruments = offered(await listThings(db, nowMs))
    .filter((one) => one.kind === 'instrument')
    .map(({ id, name, properties, overdueDays }) => {
      const { measures, resolution } = properties as InstrumentProperties
      return { id, name, measures, resolution, overdueDays }
    })
  return {
    people: await db.select({ id: person.id, name: person.name }).from(person).orderBy(asc(person.name)),
    setups,
    instruments,
    places: (await listPlaces(db)).map(({ id, name, zone, altitudeM, stationPressurePa, seaLevelPressurePa }) => ({
      id,
      name,
      zone,
      altitudeM,
      stationPressurePa,
      seaLevelPressurePa,
    })),
    fuels: offered(await listBatches(db)).map(({ id, fuel, kind, batch }) => ({ id, fuel, kind, batch })),
    methods: offered(await listMethods(db)).map(({ id, name, body }) => ({ id, name, body })),
    containers: offered(await listContainers(db)).map(({ id, name, batchId, fillKg }) => ({
      id,
      name,
      batchId,
      fillKg,
    })),
  }
}
