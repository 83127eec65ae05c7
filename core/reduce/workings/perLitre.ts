/** Workings of litres, and of fuel per litre as measured. */
import type { AddWorking } from '../../explain/working'
import { FIGURE } from '../../normalise/figures'
import { inGrams } from '../../quantity/shown'
import { sharesOf } from '../../uncertainty/propagate'
import { DENSITY_20C } from '../../water/liquid'
import type { Composition } from '../composition'
import { fuelInput } from './fuel'
import { computed, constant, finite, measured } from './inputs'

interface Water {
  litres: number
  massKg: number
  /** Standard uncertainty of it [kg]. */
  waterU: number
  /** What is left in place of what was put in. */
  remaining: boolean
}
export function addLitres({ litres, massKg, waterU, remaining }: Water, addWorking?: AddWorking): void {
  addWorking?.({
    path: 'litres',
    title: remaining ? 'Litres of hot water left' : 'Litres put in',
    value: litres,
    unit: 'L',
    formula: '{m_w} / {ρ}',
    source: 'if97Fit',
    inputs: [
      measured('m_w', remaining ? 'Water left' : 'Water put in', inGrams(massKg), 'g', { u: inGrams(waterU) }),
      constant('ρ', 'Density at 20 °C', DENSITY_20C, 'kg/m³'),
    ],
    note: 'A litre is a mass of water at 20 °C, so it does not change with the thermometer.',
  })
}

/** Fuel per litre as measured. */
export function addPerLitre({ readings, figured: { budget }, addWorking }: Composition): void {
  const value = budget.values[FIGURE.own]!
  if (!addWorking || readings.times.boilS === null || finite(value) === null) return
  addWorking({
    path: 'gPerL',
    title: 'Fuel per litre, as measured',
    value,
    unit: 'g/L',
    formula: '{m} / {V}',
    source: 'wbt',
    shares: sharesOf(budget, FIGURE.own),
    inputs: [
      fuelInput(readings.toEnd?.massKg ?? NaN),
      computed('V', 'Litres', readings.litres, 'L', { path: 'litres' }),
    ],
    note: 'The burner runs until the call, so an error of the call moves time and fuel together.',
  })
}

interface OtherLitre {
  toLeft: boolean
  gPerL: number
  gPerLU: number | null
  putInKg: number
  leftKg: number
  waterU: number
  ratio: number
}
/** The same per litre left in place of per litre put in, or the other way round. */
export function addOtherLitre(
  { toLeft, gPerL, gPerLU, putInKg, leftKg, waterU, ratio }: OtherLitre,
  addWorking?: AddWorking,
): void {
  const putIn = { name: 'Water put in', massKg: putInKg }
  const left = { name: 'Water left', massKg: leftKg }
  const [from, to] = toLeft ? [putIn, left] : [left, putIn]
  addWorking?.({
    path: 'otherLitre',
    title: toLeft ? 'Fuel per litre of hot water left' : 'Fuel per litre put in',
    value: gPerL * ratio,
    unit: 'g/L',
    formula: '{figure} · {from} / {to}',
    source: 'wbt',
    inputs: [
      computed('figure', toLeft ? 'Per litre put in' : 'Per litre left', gPerL, 'g/L', { u: gPerLU, path: 'gPerL' }),
      measured('from', from.name, inGrams(from.massKg), 'g', { u: inGrams(waterU) }),
      measured('to', to.name, inGrams(to.massKg), 'g', { u: inGrams(waterU) }),
    ],
  })
}
