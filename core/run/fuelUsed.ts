/** Fuel used, by whichever way it was measured: a difference of weighings, a volume, or a load. */
import { densityAt, type Fuel } from '../constants/fuels'
import type { SourceKey } from '../constants/sources'
import type { Flag } from '../formats/answer'
import type { RunDocument } from '../formats/document'
import type { RunEvent } from './events'

/** Where the scale's resolution was not given. Source: estimate. */
const ASSUMED_RESOLUTION_G = 1
/** A scale below freezing. Source: estimate. */
const COLD_SCALE_U_G = 0.1
/** Reading a measure of liquid fuel, standard. Source: estimate. */
const VOLUME_U_ML = 0.6

export interface FuelUsed {
  grams: number
  /** Standard uncertainty that repeating shrinks, and that of the scale itself [g]. */
  uRandomG: number
  uScaleG: number
  formula: string
  /** Inputs of the formula: symbol, name, value, unit. */
  inputs: [string, string, number, string][]
  source: SourceKey
  flags: Flag[]
}

interface Way {
  grams: number
  uG: number
  formula: string
  inputs: FuelUsed['inputs']
  flags: Flag[]
}

/** A reading of resolution d has u = d/√12, a difference of two √2 times that. Source: gumResolution. */
const differenceU = (resolutionG: number): number => (Math.SQRT2 * resolutionG) / Math.sqrt(12)

/**
 * Fuel used in the whole run [g], or null when it was not measured.
 * @param airC air temperature, for the density of liquid fuel and for a scale in the cold; null: 20 °C
 */
export function fuelUsed(
  { fuel: document, events, kind }: RunDocument,
  fuel: Fuel | null,
  airC: number | null,
): FuelUsed | null {
  const way = byDifference(document, events, kind === 'fed') ?? byVolume(document, fuel, airC)
  if (way === null) return null
  const coldU = airC !== null && airC < 0 && way.formula !== '{V} · {ρ}' ? COLD_SCALE_U_G : 0
  return { ...way, source: 'gumResolution', uRandomG: Math.hypot(way.uG, coldU), uScaleG: document.scaleAccuracyG ?? 0 }
}

/** The last piece fed, whose rest was not weighed [g]; null: it was, or nothing was fed. */
export function unweighedLeftover({
  fuel,
  events,
  kind,
}: Pick<RunDocument, 'fuel' | 'events' | 'kind'>): number | null {
  if (kind !== 'fed' || fuel.leftoverG !== null || fuel.usedG !== null) return null
  const fed = events.filter((event) => event.kind === 'fuelAdded').sort((a, b) => a.s - b.s)
  return fed.at(-1)?.massG ?? fuel.loadG
}

function byDifference(document: RunDocument['fuel'], events: readonly RunEvent[], fed: boolean): Way | null {
  const { usedG, beforeG, afterG, leftoverG, loadG, scaleResolutionG } = document
  const addedG = events.reduce((sum, event) => sum + (event.kind === 'fuelAdded' ? (event.massG ?? 0) : 0), 0)
  const flags: Flag[] =
    scaleResolutionG === null
      ? [
          {
            code: 'scale-resolution-assumed',
            severity: 'note',
            text: `Scale resolution not given: assumed ${ASSUMED_RESOLUTION_G} g.`,
          },
        ]
      : []
  const restG = fed ? unweighedLeftover({ fuel: document, events: [...events], kind: 'fed' }) : null
  if (restG !== null)
    flags.push({
      code: 'leftover-not-weighed',
      severity: 'warning',
      text: `Leftover not weighed: up to ${restG} g less was burnt. Weigh it dry.`,
    })
  // Anything between none and all of the last piece may be left: its mean square about none is a third.
  const uG = Math.hypot(differenceU(scaleResolutionG ?? ASSUMED_RESOLUTION_G), (restG ?? 0) / Math.sqrt(3))
  if (usedG !== null)
    return { grams: usedG, uG, formula: '{m}', inputs: [['m', 'Fuel used, weighed', usedG, 'g']], flags }
  const left = leftoverG ?? 0
  if (beforeG !== null && afterG !== null) {
    if (afterG > beforeG + addedG) flags.push(swapped(beforeG, afterG))
    return {
      grams: beforeG + addedG - afterG - left,
      uG,
      flags,
      formula: '{m₁} + {m₊} − {m₂} − {m_left}',
      inputs: [
        ['m₁', 'Weighed before', beforeG, 'g'],
        ['m₊', 'Added while burning', addedG, 'g'],
        ['m₂', 'Weighed after', afterG, 'g'],
        ['m_left', 'Left over', left, 'g'],
      ],
    }
  }
  if (loadG === null && addedG === 0) return null
  return {
    grams: (loadG ?? 0) + addedG - left,
    uG,
    flags,
    formula: '{m_load} + {m₊} − {m_left}',
    inputs: [
      ['m_load', 'Load', loadG ?? 0, 'g'],
      ['m₊', 'Added while burning', addedG, 'g'],
      ['m_left', 'Left over', left, 'g'],
    ],
  }
}

const swapped = (beforeG: number, afterG: number): Flag => ({
  code: 'fuel-after-above-before',
  severity: 'error',
  text: `Fuel after (${afterG} g) is more than fuel before (${beforeG} g). Swapped?`,
})

function byVolume(document: RunDocument['fuel'], fuel: Fuel | null, airC: number | null): Way | null {
  const { usedMl, densityGPerMl } = document
  if (usedMl === null) return null
  const builtIn = fuel === null ? null : densityAt(fuel, airC ?? 20)
  const rho = densityGPerMl ?? (builtIn === null ? null : builtIn / 1000)
  if (rho === null) return null
  const uRho = densityGPerMl === null ? fuel!.density!.standardUncertainty / 1000 : 0.002
  const flags: Flag[] =
    densityGPerMl === null
      ? [
          {
            code: 'density-built-in',
            severity: 'note',
            text: `Fuel density taken as ${rho.toFixed(4)} g/mL at ${airC ?? 20} °C, the air's temperature (assumed).`,
          },
        ]
      : []
  return {
    grams: usedMl * rho,
    uG: Math.hypot(VOLUME_U_ML * rho, usedMl * uRho),
    flags,
    formula: '{V} · {ρ}',
    inputs: [
      ['V', 'Fuel used, by volume', usedMl, 'mL'],
      ['ρ', 'Density', rho, 'g/mL'],
    ],
  }
}
