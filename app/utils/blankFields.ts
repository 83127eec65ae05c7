import type { FieldSpec, TypedFields } from '#shared/fields'

/** An empty form of these fields. */
export const blankFields = (specs: readonly FieldSpec[]): TypedFields =>
  Object.fromEntries(specs.map((spec) => [spec.key, spec.type === 'flag' ? false : '']))
