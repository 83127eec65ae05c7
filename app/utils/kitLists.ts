/** The kit's lists as a box offers them. */
import type { KitChoices } from '#shared/kitChoices'
import { READING_INSTRUMENTS, type ReadingInstrument } from '#shared/typedRun'

export interface Offered {
  value: string
  label: string
}

export const namedChoices = (list: readonly { id: string; name: string }[]): Offered[] =>
  list.map(({ id, name }) => ({ value: id, label: name }))

/** A batch by its fuel's name and its own. */
export const fuelChoices = (fuels: readonly Pick<KitChoices['fuels'][number], 'id' | 'fuel' | 'batch'>[]): Offered[] =>
  fuels.map(({ id, fuel, batch }) => ({ value: id, label: `${fuel}, ${batch}` }))

export const placeChoices = (places: KitChoices['places']): Offered[] =>
  places.map(({ id, name, altitudeM }) => ({
    value: id,
    label: altitudeM === null ? name : `${name}, ${altitudeM} m`,
  }))

export const setupChoices = (setups: KitChoices['setups']): Offered[] =>
  setups.map(({ id, name, parts }) => ({
    value: id,
    label: `${name} (${parts.map((part) => part.name).join(', ')})`,
  }))

/** What each reading may have been read with; a reading that no instrument gives is left out. */
export const instrumentChoices = (
  instruments: KitChoices['instruments'],
): { measures: ReadingInstrument; choices: Offered[] }[] =>
  READING_INSTRUMENTS.map((measures) => ({
    measures,
    choices: instruments
      .filter((one) => one.measures === measures)
      .map(({ id, name, overdueDays }) => ({
        value: id,
        label: overdueDays === null ? name : `${name}, check overdue`,
      })),
  })).filter((one) => one.choices.length > 0)
