/** Workings of fuel, burn rate and firepower. */
import type { AddWorking, WorkingInput } from '../../explain/working'
import { inGrams, inMegajoules } from '../../quantity/shown'
import type { DerivedTimes } from '../../run/deriveTimes'
import type { FuelToBoil } from '../../run/fuelToBoil'
import type { FuelUsed } from '../../run/fuelUsed'
import type { Composition } from '../composition'
import { firepower } from '../firepower'
import { assumed, computed, constant, measured } from './inputs'

export const fuelInput = (massKg: number): WorkingInput =>
  computed('m', 'Fuel to the boil', inGrams(massKg), 'g', { path: 'fuelToBoilG' })

const flameTime = (flameS: number): WorkingInput => measured('t_flame', 'Flame time', flameS, 's')

/** Fuel to the end over flame time, from `lit` when marked, else pot-on [g/min]. */
export function burnRateOf(fuelKg: number | null, flameS: number | null, addWorking?: AddWorking): number | null {
  if (fuelKg === null || flameS === null) return null
  const value = (fuelKg / flameS) * 60_000
  addWorking?.({
    path: 'burnRateGPerMin',
    title: 'Burn rate',
    value,
    unit: 'g/min',
    formula: '{m} / {t_flame} · 60',
    source: 'commonPractice',
    inputs: [fuelInput(fuelKg), flameTime(flameS)],
  })
  return value
}

/** Firepower with its working [W]. */
export function firepowerOf(
  fuelKg: number | null,
  flameS: number | null,
  { input, figured: { run }, addWorking }: Composition,
): number | null {
  const value = firepower(fuelKg, flameS, run.lhvJPerKg)
  if (fuelKg === null || flameS === null || value === null) return null
  const lhv = input.fuel.lhvJPerKg === null ? constant : measured
  addWorking?.({
    path: 'firepowerW',
    title: 'Firepower',
    value,
    unit: 'W',
    formula: '{m} · {LHV} · 1000 / {t_flame}',
    source: 'wbt',
    inputs: [
      fuelInput(fuelKg),
      lhv('LHV', 'Lower heating value', inMegajoules(run.lhvJPerKg), 'MJ/kg'),
      flameTime(flameS),
    ],
  })
  return value
}

export function addFuelUsed(used: FuelUsed, addWorking?: AddWorking): void {
  addWorking?.({
    path: 'usedG',
    title: 'Fuel used',
    value: inGrams(used.massKg),
    unit: 'g',
    formula: used.formula,
    source: used.source,
    inputs: used.inputs.map(([symbol, name, value, unit]) =>
      (symbol === 'dry' || symbol === 'char' ? computed : measured)(symbol, name, value, unit),
    ),
    note: `Standard uncertainty of the weighings ${inGrams(used.uRandomKg).toFixed(3)} g.`,
  })
}

export function addFuelToBoil(used: FuelUsed, toEnd: FuelToBoil, times: DerivedTimes, addWorking?: AddWorking): void {
  if (toEnd.massKg === null) return
  const shared = toEnd.share !== 1
  const share =
    toEnd.by === 'scale'
      ? measured('share', 'Share lost on the scale by the boil', toEnd.share, '', { u: toEnd.share * toEnd.shareU })
      : assumed('share', 'Share of burn time', toEnd.share, '')
  addWorking?.({
    path: 'fuelToBoilG',
    title: times.boilS === null ? 'Fuel until it ended' : 'Fuel to the boil',
    value: inGrams(toEnd.massKg),
    unit: 'g',
    formula: shared ? '{m} · {share}' : '{m}',
    source: 'commonPractice',
    inputs: [
      computed('m', 'Fuel used', inGrams(used.massKg), 'g', { u: inGrams(used.uRandomKg), path: 'usedG' }),
      ...(shared ? [share] : []),
    ],
  })
}
