/** What a maker says of a set-up, as it is typed, kept and read out. */
import type { ClaimedWhat } from '../core/formats/comparison'
import { formatClock, formatNumber } from '../core/quantity/format'
import { litresFromMass } from '../core/water/liquid'
import type { FieldSpec } from './fields'
import { MAX_TEXT } from './limits'

export const CLAIM_WHATS = ['timeS', 'gPerBoil', 'gPerL', 'burnS', 'boilsPerPack', 'powerW', 'massG'] as const
export type ClaimWhat = ClaimedWhat | 'massG'
export const CLAIM_WORDS: Record<ClaimWhat, string> = {
  timeS: 'a time to boil',
  gPerBoil: 'fuel for a boil',
  gPerL: 'fuel a litre',
  burnS: 'how long a load burns',
  boilsPerPack: 'boils from a pack',
  powerW: 'a power',
  massG: 'a weight',
}

/** What is claimed, typed in its own unit and kept in SI but for counts, W and g/L. */
const VALUE: Record<ClaimWhat, FieldSpec> = {
  timeS: { key: 'value', label: 'Boils in', type: 'quantity', kind: 'clockTime', required: true },
  gPerBoil: { key: 'value', label: 'Fuel for a boil', type: 'quantity', kind: 'partMass', required: true },
  gPerL: number('Fuel a litre', { min: 1, max: 2000, unit: 'g/L' }),
  burnS: { key: 'value', label: 'Burns for', type: 'quantity', kind: 'clockTime', required: true },
  boilsPerPack: number('Boils', { min: 0.1, max: 1000, unit: '' }),
  powerW: number('Power', { min: 50, max: 30_000, unit: 'W' }),
  massG: { key: 'value', label: 'Weighs', type: 'quantity', kind: 'partMass', required: true },
}
function number(label: string, limit: { min: number; max: number; unit: string }): FieldSpec {
  return { key: 'value', label, type: 'number', limit, factor: 1, required: true }
}

const WATER: FieldSpec = { key: 'waterM3', label: 'Of water', type: 'quantity', kind: 'capacity' }
const CONDITIONS: FieldSpec[] = [
  { key: 'startC', label: 'From', type: 'quantity', kind: 'waterTemp', hint: 'Leave empty what they do not say.' },
  { key: 'airC', label: 'Air', type: 'quantity', kind: 'airTemp' },
  { key: 'windMS', label: 'Wind', type: 'quantity', kind: 'windSpeed' },
  { key: 'altitudeM', label: 'Height', type: 'quantity', kind: 'altitude' },
]
const SOURCE: FieldSpec = {
  key: 'source',
  label: 'Where it stands',
  type: 'text',
  max: MAX_TEXT.name,
  example: 'the box',
}

export function claimFields(what: ClaimWhat): FieldSpec[] {
  if (what === 'massG' || what === 'powerW') return [VALUE[what], SOURCE]
  if (what === 'burnS')
    return [VALUE.burnS, { key: 'loadKg', label: 'Load', type: 'quantity', kind: 'partMass', required: true }, SOURCE]
  const pack: FieldSpec = { key: 'packKg', label: 'Fuel in a pack', type: 'quantity', kind: 'partMass', required: true }
  return [
    VALUE[what],
    ...(what === 'gPerL' ? [] : [{ ...WATER, required: true }]),
    ...(what === 'boilsPerPack' ? [pack] : []),
    ...CONDITIONS,
    SOURCE,
  ]
}

/** As it is kept: SI, but grams a litre, boils and watts as they are. */
export interface ClaimRecord {
  what: ClaimWhat
  value: number
  startC: number | null
  airC: number | null
  windMS: number | null
  altitudeM: number | null
  waterKg: number | null
  packKg: number | null
  loadKg: number | null
}

const grams = (kg: number | null, decimals = 0): string => `${formatNumber((kg ?? 0) * 1000, decimals)}\u202fg`
const millilitres = ({ waterKg }: ClaimRecord): string =>
  waterKg === null ? '' : `${formatNumber(litresFromMass(waterKg) * 1000, 0)}\u202fmL`

/** "500 mL in 2:30". */
export function claimSaid(claim: ClaimRecord): string {
  const { what, value } = claim
  switch (what) {
    case 'timeS':
      return `${millilitres(claim)} in ${formatClock(value)}`
    case 'gPerBoil':
      return `${grams(value, 1)} for ${millilitres(claim)}`
    case 'gPerL':
      return `${formatNumber(value, 1)}\u202fg a litre`
    case 'burnS':
      return `${grams(claim.loadKg)} burn ${formatClock(value)}`
    case 'boilsPerPack':
      return `${formatNumber(value, 0)} boils of ${millilitres(claim)} from ${grams(claim.packKg)}`
    case 'powerW':
      return `${formatNumber(value, 0)}\u202fW`
    case 'massG':
      return grams(value)
  }
}

const OPEN_WORDS = { startC: 'start', windMS: 'wind', altitudeM: 'height' } as const

/** "from 15 °C, calm; height not stated". */
export function claimConditions(claim: ClaimRecord): string {
  if (claim.what === 'massG' || claim.what === 'powerW' || claim.what === 'burnS') return ''
  const { startC, airC, windMS, altitudeM } = claim
  const said = (value: number | null, words: (value: number) => string) => (value === null ? [] : [words(value)])
  const stated = [
    ...said(startC, (value) => `from ${formatNumber(value, 1)}\u202f°C`),
    ...said(airC, (value) => `air ${formatNumber(value, 0)}\u202f°C`),
    ...said(windMS, (value) => (value === 0 ? 'calm' : `wind ${formatNumber(value, 1)}\u202fm/s`)),
    ...said(altitudeM, (value) => `at ${formatNumber(value, 0)}\u202fm`),
  ].join(', ')
  const open = (Object.keys(OPEN_WORDS) as (keyof typeof OPEN_WORDS)[]).filter((key) => claim[key] === null)
  const unstated = open.length === 0 ? '' : `${open.map((key) => OPEN_WORDS[key]).join(', ')} not stated`
  return [stated, unstated].filter((one) => one !== '').join('; ')
}
