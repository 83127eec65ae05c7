/** Everything a run can be made of, newest versions, by name. */
import type { BurnerProperties, InstrumentProperties } from '../../shared/thing'
import type { KitChoices } from '../../shared/kitChoices'
import { listBatches } from './fuels'
import { listContainers } from './containers'
import { listPlaces } from './places'
import { listSetups } from './setups'
import { listThings } from './things'
import { listMethods } from '../methods/methods'
import type { Connection } from '../database/connection'
import { listPeople } from './repository/people'

const offered = <T extends { retired: boolean }>(rows: readonly T[]) => rows.filter((row) => !row.retired)

const fuelChoices = async (db: Connection): Promise<KitChoices['fuels']> =>
  offered(await listBatches(db)).map(({ id, fuel, kind, batch, openedOn }) => ({ id, fuel, kind, batch, openedOn }))

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
    people: await listPeople(db),
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
    fuels: await fuelChoices(db),
    methods: offered(await listMethods(db)).map(({ id, name, body }) => ({ id, name, body })),
    containers: offered(await listContainers(db)).map(({ id, name, batchId, fillKg }) => ({
      id,
      name,
      batchId,
      fillKg,
    })),
  }
}
