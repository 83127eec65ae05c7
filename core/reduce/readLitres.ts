/** The litres that a figure is per. */
import { addLitres } from './workings/perLitre'
import type { AddWorking } from '../explain/working'
import type { ReduceOptions } from '../formats/document'
import { waterPutIn, type RunInput } from '../run/runInput'
import { litresFromMass } from '../water/liquid'

export function litresOf(
  { water, uncertainty }: RunInput,
  options: ReduceOptions,
  missing: string[],
  addWorking?: AddWorking,
): number | null {
  const remaining = options.litre === 'remaining'
  const massKg = remaining ? water.endMassKg : waterPutIn(water)
  if (massKg === null) {
    missing.push(remaining ? 'water.endMassG' : 'water.massG')
    return null
  }
  const litres = litresFromMass(massKg)
  addLitres({ litres, massKg, waterU: uncertainty.waterKg, remaining }, addWorking)
  return litres
}
