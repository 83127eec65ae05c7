/** A place where stoves are burned. */
import type { FieldSpec } from './fields'
import { MAX_TEXT } from './limits'

export const PLACE_FIELDS: FieldSpec[] = [
  { key: 'name', label: 'Name', type: 'text', max: MAX_TEXT.name, required: true },
  { key: 'zone', label: 'Time zone', type: 'text', max: 60, required: true, example: 'Atlantic/Azores' },
  { key: 'altitudeM', label: 'Altitude', type: 'quantity', kind: 'altitude' },
  {
    key: 'stationPressurePa',
    label: 'Station pressure',
    type: 'quantity',
    kind: 'pressure',
    hint: 'As a barometer shows it there. It beats the altitude.',
  },
  {
    key: 'seaLevelPressurePa',
    label: 'Pressure at sea level',
    type: 'quantity',
    kind: 'pressure',
    hint: 'As weather reports give it: reduced to sea level. It wants the altitude too.',
  },
  {
    key: 'windHeightM',
    label: 'Wind measured at',
    type: 'quantity',
    kind: 'height',
    hint: 'Height above ground. Empty: at the pot.',
  },
]
/** What a run keeps: a change makes a new version. */
export const PLACE_HEAT = ['altitudeM', 'stationPressurePa', 'seaLevelPressurePa', 'windHeightM'] as const
