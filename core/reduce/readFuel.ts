/** The fuel of a run: weighed, or by the scale that followed it; as dry wood; and its part to the boil. */
import { fuelOfKind } from '../constants/fuels'
import { equivalentDryWood } from '../run/dryWood'
import { fuelUsed } from '../run/fuelUsed'
import { addFuelToBoil, addFuelUsed } from './workings/fuel'
import type { Reading, Readings } from './readings'
import type { RunDocument } from '../formats/document'
import { flameTimeBetween } from '../run/burns'
import type { DerivedTimes } from '../run/deriveTimes'
import { fuelToBoil, type FuelToBoil } from '../run/fuelToBoil'
import { burnedByScale, type BurnedByScale } from '../run/scaleFuel'
import type { DryWood } from '../run/dryWood'
import type { FuelUsed } from '../run/fuelUsed'

/** Less between two marks is one moment. */
export const SHORTEST_HEATING_S = 1

/** What was used, as dry wood where it was wood. */
export function readFuel(
  { document, flags, missing, addWorking }: Reading,
  times: DerivedTimes,
  boilingC: number | null,
): Pick<Readings, 'fuel' | 'used' | 'dryWood'> {
  const { airC } = document.place
  const fuel = document.fuel.kind === null ? null : fuelOfKind(document.fuel.kind)
  const weighed = fuelUsed(document, fuel, airC) ?? usedByScale(document, times)
  const dryWood =
    weighed === null || fuel?.form !== 'wood'
      ? null
      : equivalentDryWood(weighed.grams, { ...document.fuel, boilingC, airC })
  const used = weighed === null || dryWood === null ? weighed : asDryWood(weighed, dryWood, document)
  if (used === null) missing.push('fuel.usedG')
  else {
    flags.push(...used.flags)
    addFuelUsed(used, addWorking)
  }
  return { fuel, used, dryWood }
}

/** Its part to the boil, or to where a run without one ended. */
export function readFuelToEnd(
  { document, flags, addWorking }: Reading,
  used: FuelUsed | null,
  times: DerivedTimes,
): FuelToBoil | null {
  const toEnd = used === null || used.grams <= 0 ? null : fuelToEnd(used.grams, times, document)
  if (used === null || toEnd === null) return null
  flags.push(...toEnd.flags)
  addFuelToBoil(used, toEnd, times, addWorking)
  return toEnd
}

/** Fuel, by dry wood of the same heat: its uncertainty shrinks alike. */
function asDryWood(
  weighed: FuelUsed,
  { grams, perGram, charAsWoodG, flags }: DryWood,
  { fuel }: RunDocument,
): FuelUsed {
  return {
    ...weighed,
    grams,
    uRandomG: weighed.uRandomG * perGram,
    uScaleG: weighed.uScaleG * perGram,
    flags: [...weighed.flags, ...flags],
    formula: `(${weighed.formula}) · {dry} − {char}`,
    source: 'wbt',
    inputs: [
      ...weighed.inputs,
      ['dry', `Dry wood per gram at ${fuel.moisturePct ?? 0} % moisture`, perGram, ''],
      ['char', 'Char, as dry wood', charAsWoodG, 'g'],
    ],
  }
}

function fuelToEnd(usedG: number, times: DerivedTimes, document: RunDocument): FuelToBoil | null {
  const flameStartS = times.litS ?? times.potOnS
  const endS = times.boilS ?? times.endedS
  if (flameStartS === null || endS === null || flameTimeBetween(times.burns, flameStartS, endS) < SHORTEST_HEATING_S)
    return null
  const flameEndS = times.boilS === null ? null : times.flameEndS
  return fuelToBoil(usedG, {
    flameEndS,
    boilS: endS,
    takeShare: document.fuel.burnOutShare,
    byScale: byScale(document, flameStartS, endS, flameEndS),
    flameToBoilS: flameTimeBetween(times.burns, flameStartS, endS),
    flameS: flameTimeBetween(times.burns, flameStartS, flameEndS ?? endS),
  })
}

/** Where no weighing was typed, the scale that followed it has weighed. */
function usedByScale(document: RunDocument, times: DerivedTimes): FuelUsed | null {
  const [fromS, toS] = [times.litS ?? times.potOnS, times.flameEndS ?? times.boilS ?? times.endedS]
  const burned =
    fromS === null || toS === null || document.scaleTrace.length === 0
      ? null
      : burnedByScale(document.scaleTrace, fromS, toS, scaleStepG(document))
  if (burned === null) return null
  return {
    grams: burned.grams,
    uRandomG: burned.u,
    uScaleG: document.fuel.scaleAccuracyG ?? 0,
    formula: '{m}',
    inputs: [['m', 'Lost on the scale while it burned', burned.grams, 'g']],
    source: 'estimate',
    flags: [
      {
        code: 'fuel-used-by-scale',
        severity: 'note',
        text: 'No weighing was typed: the fuel is what the scale under the stove lost while it burned. Vapour from a pot on that scale counts as fuel.',
      },
    ],
  }
}

/** Where it is not known. Source: estimate. */
const USUAL_STEP_G = 0.1

const scaleStepG = ({ fuel }: RunDocument): number => fuel.scaleResolutionG ?? USUAL_STEP_G

function byScale(
  document: RunDocument,
  fromS: number,
  boilS: number,
  flameEndS: number | null,
): { toBoil: BurnedByScale; inAll: BurnedByScale } | null {
  if (document.scaleTrace.length === 0 || flameEndS === null) return null
  const [toBoil, inAll] = [boilS, flameEndS].map((toS) =>
    burnedByScale(document.scaleTrace, fromS, toS, scaleStepG(document)),
  )
  return toBoil && inAll ? { toBoil, inAll } : null
}
