/** The fuel of a run: weighed, or by the scale that followed it; as dry wood; and its part to the boil. */
import { fuelOfKind } from '../constants/fuels'
import { equivalentDryWood, type DryWood } from '../run/dryWood'
import { fuelUsed, type FuelUsed } from '../run/fuelUsed'
import { addFuelToBoil, addFuelUsed } from './workings/fuel'
import { inGrams, inPercent } from '../quantity/shown'
import type { RunInput } from '../run/runInput'
import type { Reading, Readings } from './readings'
import { flameTimeBetween } from '../run/burns'
import type { DerivedTimes } from '../run/deriveTimes'
import { fuelToBoil, type FuelToBoil } from '../run/fuelToBoil'
import { burnedByScale, type BurnedByScale } from '../run/scaleFuel'

/** Less between two marks is one moment. */
export const SHORTEST_HEATING_S = 1

/** What was used, as dry wood where it was wood. */
export function readFuel(
  { input, flags, missing, addWorking }: Reading,
  times: DerivedTimes,
  boilingC: number | null,
): Pick<Readings, 'fuel' | 'used' | 'dryWood'> {
  const { airC } = input.place
  const fuel = input.fuel.kind === null ? null : fuelOfKind(input.fuel.kind)
  const weighed = fuelUsed(input, fuel, airC) ?? usedByScale(input, times)
  const dryWood =
    weighed === null || fuel?.form !== 'wood'
      ? null
      : equivalentDryWood(weighed.massKg, { ...input.fuel, boilingC, airC })
  const used = weighed === null || dryWood === null ? weighed : asDryWood(weighed, dryWood, input)
  if (used === null) missing.push('fuel.usedG')
  else {
    flags.push(...used.flags)
    addFuelUsed(used, addWorking)
  }
  return { fuel, used, dryWood }
}

/** Its part to the boil, or to where a run without one ended. */
export function readFuelToEnd(
  { input, flags, addWorking }: Reading,
  used: FuelUsed | null,
  times: DerivedTimes,
): FuelToBoil | null {
  const toEnd = used === null || used.massKg <= 0 ? null : fuelToEnd(used.massKg, times, input)
  if (used === null || toEnd === null) return null
  flags.push(...toEnd.flags)
  addFuelToBoil(used, toEnd, times, addWorking)
  return toEnd
}

/** Fuel, by dry wood of the same heat: its uncertainty shrinks alike. */
function asDryWood(
  weighed: FuelUsed,
  { massKg, perBurnt, charAsWoodKg, flags }: DryWood,
  { fuel }: RunInput,
): FuelUsed {
  return {
    ...weighed,
    massKg,
    uRandomKg: weighed.uRandomKg * perBurnt,
    uScaleKg: weighed.uScaleKg * perBurnt,
    flags: [...weighed.flags, ...flags],
    formula: `(${weighed.formula}) · {dry} − {char}`,
    source: 'wbt',
    inputs: [
      ...weighed.inputs,
      ['dry', `Dry wood per gram at ${inPercent(fuel.moisture ?? 0)} % moisture`, perBurnt, ''],
      ['char', 'Char, as dry wood', inGrams(charAsWoodKg), 'g'],
    ],
  }
}

function fuelToEnd(usedKg: number, times: DerivedTimes, input: RunInput): FuelToBoil | null {
  const flameStartS = times.litS ?? times.potOnS
  const endS = times.boilS ?? times.endedS
  if (flameStartS === null || endS === null || flameTimeBetween(times.burns, flameStartS, endS) < SHORTEST_HEATING_S)
    return null
  const flameEndS = times.boilS === null ? null : times.flameEndS
  return fuelToBoil(usedKg, {
    flameEndS,
    boilS: endS,
    takeShare: input.fuel.burnOutShare,
    byScale: byScale(input, flameStartS, endS, flameEndS),
    flameToBoilS: flameTimeBetween(times.burns, flameStartS, endS),
    flameS: flameTimeBetween(times.burns, flameStartS, flameEndS ?? endS),
  })
}

/** Where no weighing was typed, the scale that followed it has weighed. */
function usedByScale(input: RunInput, times: DerivedTimes): FuelUsed | null {
  const [fromS, toS] = [times.litS ?? times.potOnS, times.flameEndS ?? times.boilS ?? times.endedS]
  const burned =
    fromS === null || toS === null || input.scaleTrace.length === 0
      ? null
      : burnedByScale(input.scaleTrace, fromS, toS, scaleStep(input))
  if (burned === null) return null
  return {
    massKg: burned.massKg,
    uRandomKg: burned.u,
    uScaleKg: input.fuel.scaleAccuracyKg ?? 0,
    stepKg: null,
    formula: '{m}',
    inputs: [['m', 'Lost on the scale while it burned', inGrams(burned.massKg), 'g']],
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

/** Where it is not known [kg]. Source: estimate. */
const USUAL_STEP_KG = 0.0001

const scaleStep = ({ fuel }: RunInput): number => fuel.scaleResolutionKg ?? USUAL_STEP_KG

function byScale(
  input: RunInput,
  fromS: number,
  boilS: number,
  flameEndS: number | null,
): { toBoil: BurnedByScale; inAll: BurnedByScale } | null {
  if (input.scaleTrace.length === 0 || flameEndS === null) return null
  const [toBoil, inAll] = [boilS, flameEndS].map((toS) => burnedByScale(input.scaleTrace, fromS, toS, scaleStep(input)))
  return toBoil && inAll ? { toBoil, inAll } : null
}
