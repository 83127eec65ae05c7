/** Boxes that quantities are typed into: their schema, the same for every form. */
import { object, type AnyObject, type Schema } from 'yup'
import { parseQuantity } from '../core/quantity/parseQuantity'
import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import { problemText } from '../core/result'
import { string } from './words'

export type Box = Schema<unknown, AnyObject, unknown, 'd'>

/** A box for a quantity: empty is "not measured", anything else must be read. */
export function quantityBox(name: string, kind: QuantityKindName): Box {
  return string()
    .default('')
    .test('quantity', (text, context) => {
      if (!text?.trim()) return true
      const read = parseQuantity(text, kind, unitsOf(context.options.context))
      return read.ok || context.createError({ message: `${name}: ${problemText(read.problem)}` })
    })
}

/** The unit system a form's bare numbers are in. */
export const unitsOf = (form: unknown): UnitSystem =>
  (form as { units?: UnitSystem } | null | undefined)?.units === 'trail' ? 'trail' : 'metric'

export const boxes = <K extends string>(keys: readonly K[], make: (key: K) => Box) =>
  object(Object.fromEntries(keys.map((key) => [key, make(key)])) as Record<K, Box>)
