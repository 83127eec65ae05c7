import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import { parseQuantity } from '../core/quantity/parseQuantity'
import { problemText } from '../core/result'

/** Why what stands in a box cannot be read, with the box's name; null: it is empty, or can be. */
export function quantityProblem(name: string, text: string, kind: QuantityKindName, units: UnitSystem): string | null {
  if (!text.trim()) return null
  const read = parseQuantity(text, kind, units)
  return read.ok ? null : `${name}: ${problemText(read.problem)}`
}
