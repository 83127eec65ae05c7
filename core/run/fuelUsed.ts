/** Fuel used, by whichever way it was measured: a difference of weighings, a volume, or a load. */
import { densityAt, type Fuel } from '../constants/fuels'
import type { SourceKey } from '../constants/sources'
import type { Flag } from '../formats/answer'
import { inGrams, inGramsPerMillilitre, inMillilitres } from '../quantity/shown'
import type { RunEvent } from './events'
import type { FuelInput, RunInput } from './runInput'

/** Where the scale's resolution was not given. Source: estimate. */
const ASSUMED_RESOLUTION_KG = 0.001
/** A scale below freezing. Source: estimate. */
const COLD_SCALE_U_KG = 0.0001
/** Reading a measure of liquid fuel, standard. Source: estimate. */
const VOLUME_U_M3 = 0.6e-6
/** Of a density that was given, standard [kg/m³]. Source: estimate. */
const GIVEN_DENSITY_U = 2

export interface FuelUsed {
  massKg: number
  /** Standard uncertainty that repeating shrinks, and that of the scale itself. */
  uRandomKg: number
  uScaleKg: number
  /** Of the scale that weighed it; null: not by two weighings. */
  stepKg: number | null
  formula: string
  /** Inputs of the formula as they are shown: symbol, name, value, unit. */
  inputs: [string, string, number, string][]
  source: SourceKey
  flags: Flag[]
}

interface Way {
  massKg: number
  uKg: number
  formula: string
  inputs: FuelUsed['inputs']
  flags: Flag[]
}

/** The formula of fuel that was measured by volume. */
const BY_VOLUME = '{V} · {ρ}'

/** A reading of resolution d has u = d/√12, a difference of two √2 times that. Source: gumResolution. */
const differenceU = (resolutionKg: number): number => (Math.SQRT2 * resolutionKg) / Math.sqrt(12)

/**
 * Fuel used in the whole run [kg], or null when it was not measured.
 * @param airC air temperature, for the density of liquid fuel and for a scale in the cold; null: 20 °C
 */
export function fuelUsed(
  { fuel: readings, events, kind }: RunInput,
  fuel: Fuel | null,
  airC: number | null,
): FuelUsed | null {
  const way = byDifference(readings, events, kind === 'fed') ?? byVolume(readings, fuel, airC)
  if (way === null) return null
  const coldU = airC !== null && airC < 0 && way.formula !== BY_VOLUME ? COLD_SCALE_U_KG : 0
  return {
    ...way,
    source: 'gumResolution',
    uRandomKg: Math.hypot(way.uKg, coldU),
    uScaleKg: readings.scaleAccuracyKg ?? 0,
    stepKg: way.formula === BY_VOLUME ? null : (readings.scaleResolutionKg ?? ASSUMED_RESOLUTION_KG),
  }
}

/** The last piece fed, whose rest was not weighed [kg]; null: it was, or nothing was fed. */
export function unweighedLeftover({ fuel, events, kind }: Pick<RunInput, 'fuel' | 'events' | 'kind'>): number | null {
  if (kind !== 'fed' || fuel.leftoverKg !== null || fuel.usedKg !== null) return null
  const fed = events.filter((event) => event.kind === 'fuelAdded').sort((a, b) => a.s - b.s)
  return fed.at(-1)?.massKg ?? fuel.loadKg
}

/** Two weighings, or one of what was used, or of a load. */
function byDifference(readings: FuelInput, events: readonly RunEvent[], fed: boolean): Way | null {
  const weighing = weighingOf(readings, events)
  if (weighing === null) return null
  const { scaleResolutionKg } = readings
  const restKg = fed ? unweighedLeftover({ fuel: readings, events: [...events], kind: 'fed' }) : null
  // Anything between none and all of the last piece may be left: its mean square about none is a third.
  const uKg = Math.hypot(differenceU(scaleResolutionKg ?? ASSUMED_RESOLUTION_KG), (restKg ?? 0) / Math.sqrt(3))
  const flags = [
    ...(scaleResolutionKg === null ? [RESOLUTION_ASSUMED] : []),
    ...(restKg === null ? [] : [leftoverNotWeighed(restKg)]),
    ...weighing.flags,
  ]
  return { ...weighing, uKg, flags }
}

const RESOLUTION_ASSUMED: Flag = {
  code: 'scale-resolution-assumed',
  severity: 'note',
  text: `Scale resolution not given: assumed ${inGrams(ASSUMED_RESOLUTION_KG)} g.`,
}
const leftoverNotWeighed = (restKg: number): Flag => ({
  code: 'leftover-not-weighed',
  severity: 'warning',
  text: `Leftover not weighed: up to ${inGrams(restKg)} g less was burnt. Weigh it dry.`,
})

function weighingOf(
  { usedKg, beforeKg, afterKg, leftoverKg, loadKg }: FuelInput,
  events: readonly RunEvent[],
): Omit<Way, 'uKg'> | null {
  if (usedKg !== null)
    return { massKg: usedKg, formula: '{m}', inputs: [['m', 'Fuel used, weighed', inGrams(usedKg), 'g']], flags: [] }
  const addedKg = events.reduce((sum, event) => sum + (event.kind === 'fuelAdded' ? (event.massKg ?? 0) : 0), 0)
  const leftKg = leftoverKg ?? 0
  const added: FuelUsed['inputs'][number] = ['m₊', 'Added while burning', inGrams(addedKg), 'g']
  const left: FuelUsed['inputs'][number] = ['m_left', 'Left over', inGrams(leftKg), 'g']
  if (beforeKg !== null && afterKg !== null)
    return {
      massKg: beforeKg + addedKg - afterKg - leftKg,
      formula: '{m₁} + {m₊} − {m₂} − {m_left}',
      inputs: [
        ['m₁', 'Weighed before', inGrams(beforeKg), 'g'],
        added,
        ['m₂', 'Weighed after', inGrams(afterKg), 'g'],
        left,
      ],
      flags: afterKg > beforeKg + addedKg ? [swapped(beforeKg, afterKg)] : [],
    }
  if (loadKg === null && addedKg === 0) return null
  return {
    massKg: (loadKg ?? 0) + addedKg - leftKg,
    formula: '{m_load} + {m₊} − {m_left}',
    inputs: [['m_load', 'Load', inGrams(loadKg ?? 0), 'g'], added, left],
    flags: [],
  }
}

const swapped = (beforeKg: number, afterKg: number): Flag => ({
  code: 'fuel-after-above-before',
  severity: 'error',
  text: `Fuel after (${inGrams(afterKg)} g) is more than fuel before (${inGrams(beforeKg)} g). Swapped?`,
})

function byVolume({ usedM3, densityKgPerM3 }: FuelInput, fuel: Fuel | null, airC: number | null): Way | null {
  if (usedM3 === null) return null
  const rho = densityKgPerM3 ?? (fuel === null ? null : densityAt(fuel, airC ?? 20))
  if (rho === null) return null
  const uRho = densityKgPerM3 === null ? fuel!.density!.standardUncertainty : GIVEN_DENSITY_U
  const flags: Flag[] =
    densityKgPerM3 === null
      ? [
          {
            code: 'density-built-in',
            severity: 'note',
            text: `Fuel density taken as ${inGramsPerMillilitre(rho).toFixed(4)} g/mL at ${airC ?? 20} °C, the air's temperature (assumed).`,
          },
        ]
      : []
  return {
    massKg: usedM3 * rho,
    uKg: Math.hypot(VOLUME_U_M3 * rho, usedM3 * uRho),
    flags,
    formula: BY_VOLUME,
    inputs: [
      ['V', 'Fuel used, by volume', inMillilitres(usedM3), 'mL'],
      ['ρ', 'Density', inGramsPerMillilitre(rho), 'g/mL'],
    ],
  }
}
