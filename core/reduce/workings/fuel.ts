/** Workings of fuel, burn rate and firepower. */
import type { AddWorking, WorkingInput } from '../../explain/working'
import type { DerivedTimes } from '../../run/deriveTimes'
import type { FuelToBoil } from '../../run/fuelToBoil'
import type { FuelUsed } from '../../run/fuelUsed'
import type { Composition } from '../composition'
import { firepower } from '../firepower'
import { assumed, computed, constant, measured } from './inputs'

export const fuelInput = (grams: number): WorkingInput =>
  computed('m', 'Fuel to the boil', grams, 'g', { path: 'fuelToBoilG' })

const flameTime = (flameS: number): WorkingInput => measured('t_flame', 'Flame time', flameS, 's')

/** Fuel to the end over flame time, from `lit` when marked, else pot-on [g/min]. */
export function burnRateOf(fuelG: number | null, flameS: number | null, addWorking?: AddWorking): number | null {
  if (fuelG === null || flameS === null) return null
  const value = (fuelG / flameS) * 60
  addWorking?.({
    path: 'burnRateGPerMin',
    title: 'Burn rate',
    value,
    unit: 'g/min',
    formula: '{m} / {t_flame} · 60',
    source: 'commonPractice',
    inputs: [fuelInput(fuelG), flameTime(flameS)],
  })
  return value
}

/** Firepower with its working [W]. */
export function firepowerOf(
  fuelG: number | null,
  flameS: number | null,
  { document, figured: { run }, addWorking }: Composition,
): number | null {
  const value = firepower(fuelG, flameS, run.lhvJPerKg)
  if (fuelG === null || flameS === null || value === null) return null
  const lhv = document.fuel.lhvMJPerKg === null ? constant : measured
  addWorking?.({
    path: 'firepowerW',
    title: 'Firepower',
    value,
    unit: 'W',
    formula: '{m} · {LHV} · 1000 / {t_flame}',
    source: 'wbt',
    inputs: [fuelInput(fuelG), lhv('LHV', 'Lower heating value', run.lhvJPerKg / 1e6, 'MJ/kg'), flameTime(flameS)],
  })
  return value
}

export function addFuelUsed(used: FuelUsed, addWorking?: AddWorking): void {
  addWorking?.({
    path: 'usedG',
    title: 'Fuel used',
    value: used.grams,
    unit: 'g',
    formula: used.formula,
    source: used.source,
    inputs: used.inputs.map(([symbol, name, value, unit]) =>
      (symbol === 'dry' || symbol === 'char' ? computed : measured)(symbol, name, value, unit),
    ),
    note: `Standard uncertainty of the weighings ${used.uRandomG.toFixed(3)} g.`,
  })
}

export function addFuelToBoil(used: FuelUsed, toEnd: FuelToBoil, times: DerivedTimes, addWorking?: AddWorking): void {
  if (toEnd.grams === null) return
  const shared = toEnd.share !== 1
  const share =
    toEnd.by === 'scale'
      ? measured('share', 'Share lost on the scale by the boil', toEnd.share, '', { u: toEnd.share * toEnd.shareU })
      : assumed('share', 'Share of burn time', toEnd.share, '')
  addWorking?.({
    path: 'fuelToBoilG',
    title: times.boilS === null ? 'Fuel until it ended' : 'Fuel to the boil',
    value: toEnd.grams,
    unit: 'g',
    formula: shared ? '{m} · {share}' : '{m}',
    source: 'commonPractice',
    inputs: [
      computed('m', 'Fuel used', used.grams, 'g', { u: used.uRandomG, path: 'usedG' }),
      ...(shared ? [share] : []),
    ],
  })
}
