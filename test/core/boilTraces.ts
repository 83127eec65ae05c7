/**
 * Seeded traces whose boil is known, of the kinds that testers bring, and others that only look like a boil: made by
 * physics and by facts of the trade (from memory), not by what the finder assumes.
 */
import type { Random } from '../../core/simulate/random'
import { simulatedBoilingPoint } from '../../core/simulate/stove'
import type { RunEvent } from '../../core/run/events'
import { boilingPointFromPressure } from '../../core/water/saturation'

export const TRACE_KINDS = [
  'stirring',
  'steps',
  'spikes',
  'onBase',
  'superheat',
  'altitude',
  'slow',
  'drifting',
  'gusts',
  'shortPlateau',
  'slowProbe',
] as const
export type TraceKind = (typeof TRACE_KINDS)[number]

export interface BoilTrace {
  trace: [number, number][]
  /** When the water crossed half a degree below the boiling point; null: it never did. */
  trueS: number | null
  boilingC: number
  events: RunEvent[]
  lagS: number
}

const STEP_S = 0.1

interface Water {
  /** Every tenth of a second [°C]. */
  waterC: number[]
  /** The flame under it, of its full. */
  flame: number[]
  trueS: number | null
}

interface Burn {
  boilingC: number
  powerW: number
  waterKg: number
  keepS: number
  /** The flame over time, of its full. */
  flameAt: (s: number) => number
  superheatK: number
}

/** Water over a flame: loss by Newton's law, the pot's heat in its water, superheat that breaks once. */
function heated({ boilingC, powerW, waterKg, keepS, flameAt, superheatK }: Burn, startC: number): Water {
  const waterC: number[] = []
  const flame: number[] = []
  let tempC = startC
  let trueS: number | null = null
  let brokeS = Infinity
  for (let i = 0; i * STEP_S < 3000; i++) {
    const s = i * STEP_S
    const share = flameAt(s)
    const lossW = 0.5 * (tempC - 12) + 8 * Math.exp((tempC - boilingC) / 16)
    tempC += ((powerW * share - lossW) / (4190 * waterKg + 60)) * STEP_S
    if (trueS === null && tempC >= boilingC - 0.5) trueS = s
    const roofC = brokeS < s ? boilingC + superheatK * Math.exp(-(s - brokeS) / 6) : boilingC + superheatK
    if (tempC >= roofC && brokeS === Infinity) brokeS = s
    tempC = Math.min(tempC, roofC)
    waterC.push(tempC)
    flame.push(share)
    if (trueS !== null && s > trueS + keepS) break
  }
  return { waterC, flame, trueS }
}

interface Read {
  everyS: number
  noiseK: number
  stepK: number
  /** What the probe shows of the water and the flame at a moment. */
  shows: (waterC: number, flame: number, s: number) => number
  spikes: number
  lagS: number
}

function read({ waterC, flame }: Water, how: Read, random: Random): [number, number][] {
  const trace: [number, number][] = []
  let probeC = how.shows(waterC[0]!, 0, 0)
  let nextS = random.uniform() * how.everyS
  const kept = how.lagS === 0 ? 0 : Math.exp(-STEP_S / how.lagS)
  for (let i = 0; i < waterC.length; i++) {
    const s = i * STEP_S
    probeC = kept * probeC + (1 - kept) * how.shows(waterC[i]!, flame[i]!, s)
    if (s < nextS) continue
    nextS += how.everyS
    const spike = random.uniform() < how.spikes ? (random.uniform() < 0.5 ? -1 : 1) * (8 + 30 * random.uniform()) : 0
    const value = probeC + how.noiseK * random.normal() + spike
    trace.push([s, how.stepK === 0 ? value : Math.round(value / how.stepK) * how.stepK])
  }
  return trace
}

/** A trace of a kind, which boils. */
export function boilTrace(kind: TraceKind, random: Random): BoilTrace {
  const within = (low: number, high: number) => low + (high - low) * random.uniform()
  const high = kind === 'altitude'
  const pressurePa = high ? within(55_000, 70_000) : within(85_000, 102_000)
  const boilingC = simulatedBoilingPoint(pressurePa)
  const [gustS, gustK] = [within(4, 12), kind === 'gusts' ? within(0.2, 0.45) : 0]
  const burn: Burn = {
    boilingC,
    waterKg: within(0.4, 1),
    powerW: 0,
    keepS: kind === 'shortPlateau' ? within(15, 25) : within(40, 150),
    flameAt: (s) => 1 + gustK * Math.sin((6.283 * s) / gustS) + 0.3 * gustK * Math.sin(1.7 * s),
    superheatK: kind === 'superheat' ? within(0.8, 2.2) : 0,
  }
  const rate = kind === 'slow' ? within(0.04, 0.09) : within(0.12, 0.45)
  burn.powerW = rate * (4190 * burn.waterKg + 60) + 45
  const water = heated(burn, within(5, 22))
  const how = probeOf(kind, boilingC, random)
  const lagS = how.lagS
  const offset = within(-1, 1)
  const shown = { ...how, shows: (c: number, f: number, s: number) => how.shows(c, f, s) + offset }
  const readBoilingC = boilingPointFromPressure(pressurePa)
  return { trace: read(water, shown, random), trueS: water.trueS, boilingC: readBoilingC, events: [], lagS }
}

function probeOf(kind: TraceKind, boilingC: number, random: Random): Read {
  const within = (low: number, high: number) => low + (high - low) * random.uniform()
  const period = within(3, 9)
  const wiggle = (waterC: number, s: number, k: number) =>
    waterC < boilingC - 0.3
      ? (k / 2) * (Math.sin((6.283 * s) / period) + 0.5 * Math.sin((6.283 * s) / (2.7 * period)))
      : 0
  const plain: Read = {
    everyS: within(0.5, 2),
    noiseK: within(0.05, 0.2),
    stepK: 0,
    shows: (c, _, s) => c + wiggle(c, s, 0.4),
    spikes: 0,
    lagS: 0,
  }
  if (kind === 'stirring') {
    const k = within(1, 2.5)
    return { ...plain, shows: (c, _, s) => c + wiggle(c, s, k) }
  }
  if (kind === 'steps') return { ...plain, stepK: 1 }
  if (kind === 'spikes') return { ...plain, spikes: 0.02 }
  if (kind === 'onBase') {
    // The base is hotter than the water by so much while it is still; a rolling boil takes some of it away.
    const k = within(0.5, 1.6)
    return { ...plain, shows: (c, f) => c + f * (c < boilingC - 0.2 ? k : 0.5 * k) }
  }
  if (kind === 'drifting') {
    const drift = within(-0.4, 0.4) / 60
    return { ...plain, shows: (c, _, s) => c + wiggle(c, s, 0.4) + drift * s }
  }
  if (kind === 'slowProbe') return { ...plain, everyS: within(0.5, 1), lagS: within(4, 10) }
  return plain
}

/** A heating that was cut, turned down or stalled short of the boil by more than a degree. */
export function noBoilTrace(how: 'cut' | 'turnedDown' | 'stalled', random: Random): BoilTrace {
  const within = (low: number, high: number) => low + (high - low) * random.uniform()
  const pressurePa = within(70_000, 102_000)
  const boilingC = simulatedBoilingPoint(pressurePa)
  const waterKg = within(0.4, 1)
  const rate = within(0.12, 0.4)
  const powerW = rate * (4190 * waterKg + 60) + 45
  const shortK = within(1.2, 3.6)
  const probe = probeOf('gusts', boilingC, random)
  const readBoilingC = boilingPointFromPressure(pressurePa)
  const burn = { boilingC, waterKg, powerW, keepS: 0, superheatK: 0, flameAt: () => 1 }
  if (how === 'stalled') {
    // Just the loss at so much further below.
    const levelC = boilingC - within(4.6, 12)
    const stallW = 0.5 * (levelC - 12) + 8 * Math.exp((levelC - boilingC) / 16)
    const water = heated({ ...burn, powerW: stallW, waterKg: 0.25 }, 20)
    return { trace: read(water, probe, random), trueS: null, boilingC: readBoilingC, events: [], lagS: 0 }
  }
  const start = within(5, 22)
  const whole = heated(burn, start)
  const cutS = whole.waterC.findIndex((c) => c >= boilingC - shortK) * STEP_S
  // Turned down to about what holds it there.
  const holds = (0.5 * (boilingC - 15) + 8) / powerW
  const left = how === 'cut' ? 0 : holds
  const water = heated({ ...burn, flameAt: (s) => (s < cutS ? 1 : left) }, start)
  water.waterC.length = Math.min(water.waterC.length, Math.round((cutS + within(40, 120)) / STEP_S))
  const events: RunEvent[] =
    how === 'cut' ? [{ kind: 'shutOff', s: cutS }] : [{ kind: 'settingChanged', s: cutS, setting: 'low' }]
  return { trace: read(water, probe, random), trueS: null, boilingC: readBoilingC, events, lagS: 0 }
}
