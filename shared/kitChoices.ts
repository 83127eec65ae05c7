/** What a run can be made of, for the form's lists. */
import type { PartRole } from './thing'

export interface SetupChoice { id: string, name: string, parts: { role: PartRole, name: string }[] }

export interface KitChoices {
  people: { id: string, name: string }[]
  places: { id: string, name: string, zone: string, altitudeM: number | null }[]
  setups: SetupChoice[]
  fuels: { id: string, fuel: string, kind: string, batch: string }[]
}
