/** One simulated burn of the demonstration, with the scatter of a real day, as its tester read it. */
import { CAMPAIGN_SCATTER as S } from '../../core/simulate/campaign'
import { probeReadings } from '../../core/simulate/probe'
import type { Random } from '../../core/simulate/random'
import { simulatedPressure, type SimulatedSetup } from '../../core/simulate/stove'
import { simulateRun, type Simulated } from '../../core/simulate/simulateRun'
import type { PLACES } from './kit'

/** Altitude [m], usual air and water [°C] of each place over the year's test days. */
export const WEATHER: Record<keyof typeof PLACES, { altitudeM: number; airC: number; waterC: number }> = {
  store: { altitudeM: 12, airC: 19, waterC: 20 },
  hut: { altitudeM: 940, airC: 12, waterC: 18.5 },
  rim: { altitudeM: 2130, airC: 6, waterC: 18 },
  saddle: { altitudeM: 2870, airC: -10, waterC: 4 },
}
const PROBE = { lagS: 2, noiseK: S.probeK, offsetK: -0.4, resolutionK: 0.1 }

export interface Wanted {
  stove: SimulatedSetup
  place: keyof typeof PLACES
  random: Random
  waterKg?: number
  startC?: number
  windMS?: number
  setting?: number
  lid?: boolean
  /** A batch fuel's load [g]; it then burns to the end. */
  loadG?: number
  untilS?: number
  traced?: boolean
  /** Left on after the boil [s]. */
  onS?: number
}

export interface Burned {
  raw: Simulated
  airC: number
  windMS: number
  startC: number
  waterG: number
  usedG: number
  /** The call: some seconds about the truth. */
  call: (s: number) => number
  trace: [number, number][] | undefined
}

export const tenth = (value: number): number => Math.round(value * 10) / 10

export function burnOnce({
  stove,
  place,
  random,
  waterKg = 0.4732,
  startC,
  windMS = 0,
  setting = 1,
  lid = true,
  loadG,
  untilS,
  traced,
  onS = 0,
}: Wanted): Burned {
  const { normal } = random
  const { altitudeM, airC: usualAir, waterC } = WEATHER[place]
  const airC = usualAir + 1.2 * normal()
  const start = startC ?? waterC + 0.8 * normal()
  const wind = windMS === 0 ? 0 : Math.max(0.1, windMS + S.windMS * normal())
  const water = waterKg * (1 + S.water * normal())
  const pressurePa = simulatedPressure(altitudeM) * (1 + S.pressure * normal())
  const raw = simulateRun(
    { ...stove, batchG: loadG ?? stove.batchG },
    { waterKg: water, startC: start, airC, pressurePa, windMS: wind, setting: setting * (1 + S.valve * normal()), lid },
    { giveUpS: untilS ?? 1200, keepBoilingS: loadG === undefined ? onS : 1e6 },
  )
  return {
    raw,
    airC: tenth(airC),
    windMS: tenth(wind),
    startC: tenth(start),
    waterG: Math.round(water * 1000),
    usedG: tenth(raw.fuelG * (1 + S.fuel * normal())),
    call: (s) => Math.max(1, Math.round(s + S.callS * normal())),
    trace: traced ? probeReadings(raw.samples, PROBE, random) : undefined,
  }
}

/** When the water passed a temperature, and the fuel burned by then. */
export function reaching({ samples }: Simulated, tempC: number): { s: number; fuelG: number } | null {
  const i = samples.findIndex((sample) => sample.waterC >= tempC)
  if (i < 1) return null
  const [a, b] = [samples[i - 1]!, samples[i]!]
  const share = (tempC - a.waterC) / (b.waterC - a.waterC)
  return { s: a.s + share * (b.s - a.s), fuelG: a.fuelG + share * (b.fuelG - a.fuelG) }
}
