/** Boxes that quantities are typed into: their schema, the same for every form. */
import { object, type AnyObject, type Schema } from 'yup'
import type { QuantityKindName, UnitSystem } from '../core/quantity/kinds'
import { quantityProblem } from './quantityProblem'
import { string } from './words'

export type Box = Schema<unknown, AnyObject, unknown, 'd'>

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
