/** What burners give: a power that no such burner has is a slip, most often of a time. */
import type { Flag } from '../formats/answer'
import type { BurnerKind, TestKind } from '../formats/document'
import { formatClock, formatNumber } from '../quantity/format'

type Band = readonly [number, number]

/** Firepower by kind of burner [W], wide. Source: commonPractice. */
const BANDS_W: Record<BurnerKind, Band> = {
  'canister-top': [200, 6000],
  integrated: [200, 6000],
  'remote-gas': [200, 6000],
  'liquid-pressure': [300, 6000],
  alcohol: [100, 2500],
  gel: [100, 2500],
  solid: [50, 1200],
  wood: [200, 8000],
}
/** Of a burner of unknown kind. */
const ANY_BAND_W: Band = [50, 8000]
/** So many times the top of its band no burner gives. Source: commonPractice. */
const IMPOSSIBLE_TIMES = 3
/**
 * The least share of it that reaches the water in calm: below the least efficiency of any kind. Source: commonPractice.
 */
const LEAST_SHARE = 0.05

const bandOf = (burner: BurnerKind | null): Band => (burner === null ? ANY_BAND_W : BANDS_W[burner])

/** @param watts firepower, or heat into the water [W] */
export const isImpossiblePower = (burner: BurnerKind | null, watts: number): boolean =>
  watts > IMPOSSIBLE_TIMES * bandOf(burner)[1]

/** Null where it is not known [W]; `u` its standard uncertainty. */
interface Power {
  value: number
  u: number
}

export interface PowerReadings {
  kind: TestKind
  burner: BurnerKind | null
  calm: boolean
  /** Pot-on to the boil, or to the end [s]. */
  heatS: number
  /** Of a liquid fuel; null: none. */
  densityKgPerM3: number | null
  /** Heat in the fuel over flame time. */
  firepower: Power | null
  /** Into water and pot, at the start. */
  heatFlow: Power | null
}

/**
 * Says when a power is impossible (three times what its kind of burner gives at most) or lies outside what that kind
 * gives by more than its expanded uncertainty; and names the likeliest single slip. A simmer may be as small as it
 * likes; in wind any share of the heat may be lost.
 * Source: commonPractice.
 */
export function powerFlags(readings: PowerReadings): Flag[] {
  const { kind, burner, calm, firepower, heatFlow } = readings
  // A warm-up is told with its load, not with what it burned; a cool-down has no flame.
  if (kind === 'warmUp' || kind === 'coolDown') return []
  const [low, high] = bandOf(burner)
  const asFirepower = firepower && flagOf('Firepower', firepower, [kind === 'simmer' ? 0 : low, high])
  if (firepower && asFirepower) return [{ ...asFirepower, slip: slipOf(readings, firepower.value, FUEL_SLIPS) }]
  const floor = kind === 'simmer' || !calm ? 0 : low * LEAST_SHARE
  const asFlow = heatFlow && flagOf('Heat into the water', heatFlow, [floor, high])
  return heatFlow && asFlow ? [{ ...asFlow, slip: slipOf(readings, heatFlow.value, WATER_SLIPS) }] : []
}

function flagOf(name: string, { value, u }: Power, [low, high]: Band): Flag | null {
  if (!Number.isFinite(value)) return null
  const expanded = Number.isFinite(u) ? 2 * u : 0
  if (value + expanded >= low && value - expanded <= high) return null
  const usual = `${watts(Math.max(low, ANY_BAND_W[0]))} to ${watts(high)}`
  return value > IMPOSSIBLE_TIMES * high
    ? {
        code: 'impossible-power',
        severity: 'error',
        text: `Impossible: ${name.toLowerCase()} of ${watts(value)}, where such a burner gives ${usual}.`,
      }
    : {
        code: 'doubtful-power',
        severity: 'warning',
        text: `Doubtful: ${name.toLowerCase()} of ${watts(value)}, where such a burner gives ${usual}.`,
      }
}

const watts = (value: number): string =>
  value < 1000 ? `${formatNumber(value, 0)} W` : `${formatNumber(value / 1000, 1)} kW`

/** Had the slip not been made, the power would be so many times as large. */
interface PowerSlip {
  text: string
  factor: number
}
type SlipsOf = (readings: PowerReadings) => PowerSlip[]

const GRAMS_IN_OUNCE = 28.3495
const FUEL_SLIPS: SlipsOf = ({ densityKgPerM3 }) => [
  ...(densityKgPerM3 === null
    ? []
    : [
        { text: 'Fuel in millilitres typed as grams?', factor: densityKgPerM3 / 1000 },
        { text: 'Fuel in grams typed as millilitres?', factor: 1000 / densityKgPerM3 },
      ]),
  { text: 'Fuel in ounces typed as grams?', factor: GRAMS_IN_OUNCE },
  { text: 'Fuel in grams typed as ounces?', factor: 1 / GRAMS_IN_OUNCE },
]
const WATER_SLIPS: SlipsOf = () => [
  { text: 'Twice the water was meant?', factor: 2 },
  { text: 'Half the water was meant?', factor: 0.5 },
]

/** Minutes for seconds, and minutes with a decimal for minutes and seconds. */
function timeSlips({ heatS }: PowerReadings): PowerSlip[] {
  const clock = formatClock(heatS)
  const minutes = Math.floor(heatS / 60)
  const seconds = Math.round(heatS - minutes * 60)
  const hundredths = Math.round((heatS / 60 - minutes) * 100)
  const meant = (s: number, text: string): PowerSlip[] => (s > 0 ? [{ text, factor: heatS / s }] : [])
  return [
    ...meant(heatS * 60, `A time of ${clock}: minutes typed as seconds?`),
    ...meant(heatS / 60, `A time of ${clock}: seconds typed as minutes?`),
    ...meant(60 * (minutes + seconds / 100), `A time of ${clock}: minutes with a decimal typed as m:ss?`),
    ...(hundredths < 60 ? meant(60 * minutes + hundredths, `A time of ${clock}: m:ss typed as minutes?`) : []),
  ]
}

function slipOf(readings: PowerReadings, value: number, others: SlipsOf): string {
  const [low, high] = bandOf(readings.burner)
  const inBand = ({ factor }: PowerSlip) => value * factor >= low && value * factor <= high
  return [...timeSlips(readings), ...others(readings)].find(inBand)?.text ?? 'Check the times, the water and the fuel.'
}
