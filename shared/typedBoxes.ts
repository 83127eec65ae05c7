/** Boxes that quantities are typed into: their schema, the same for every form. */
import { object, type AnyObject, type Schema } from 'yup'
import { parseQuantity } from '../core/quantity/parseQuantity'
import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import { problemText } from '../core/result'
import { string } from './words'

export type Box = Schema<unknown, AnyObject, unknown, 'd'>

/** Why what stands in a box cannot be read, with the box's name; null: it is empty, or can be. */
export function quantityProblem(name: string, text: string, kind: QuantityKindName, units: UnitSystem): string | null {
  if (!text.trim()) return null
  const read = parseQuantity(text, kind, units)
  return read.ok ? null : `${name}: ${problemText(read.problem)}`
}

/** A box for a quantity: empty is "not measured", anything else must be read. */
export function quantityBox(name: string, kind: QuantityKindName): Box {
  return string()
    .default('')
    .test('quantity', (text, context) => {
      const message = quantityProblem(name, text ?? '', kind, unitsOf(context.options.context))
      return message === null || context.createError({ message })
    })
}

/** The unit system a form's bare numbers are in. */
export const unitsOf = (form: unknown): UnitSystem =>
  (form as { units?: UnitSystem } | null | undefined)?.units === 'trail' ? 'trail' : 'metric'

export const boxes = <K extends string>(keys: readonly K[], make: (key: K) => Box) =>
  object(Object.fromEntries(keys.map((key) => [key, make(key)])) as Record<K, Box>)
