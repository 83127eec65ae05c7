/** The litres that a figure is per. */
import { addLitres } from './workings/perLitre'
import type { AddWorking } from '../explain/working'
import type { ReduceOptions, RunDocument } from '../formats/document'
import { litresFromMass } from '../water/liquid'

export function litresOf(
  document: RunDocument,
  options: ReduceOptions,
  missing: string[],
  addWorking?: AddWorking,
): number | null {
  const remaining = options.litre === 'remaining'
  const { massG, snowG, endMassG } = document.water
  const putInG = massG === null && snowG === null ? null : (massG ?? 0) + (snowG ?? 0)
  const grams = remaining ? endMassG : putInG
  if (grams === null) {
    missing.push(remaining ? 'water.endMassG' : 'water.massG')
    return null
  }
  const litres = litresFromMass(grams / 1000)
  addLitres({ litres, grams, waterU: document.uncertainty.waterG, remaining }, addWorking)
  return litres
}
