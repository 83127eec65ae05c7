/** Stored SI values as a person would type them, for editing what was stored without its typing. */
import { formatClock } from '../core/quantity/format'
import { QUANTITY_KINDS } from '../core/quantity/kinds'
import { fromSI, unitOf } from '../core/quantity/units'
import type { FieldSpec, TypedFields } from './fields'

/** One value: "95 mm", "0.1". '' where nothing was measured. */
export function typedFrom(spec: FieldSpec, value: unknown): string | boolean {
  if (spec.type === 'flag') return value === true
  if (value === null || value === undefined) return ''
  if (spec.type === 'number') return plain(Number(value) / spec.factor)
  if (spec.type !== 'quantity') return typeof value === 'string' ? value : ''
  const { bare } = QUANTITY_KINDS[spec.kind]
  if (bare.metric === '') return formatClock(Number(value))
  const unit = unitOf(bare.metric)
  return `${plain(fromSI(Number(value), unit))} ${unit.label}`
}

const plain = (value: number): string => String(Number(value.toPrecision(7)))

/** All of them; what was typed itself is kept where it is known. */
export const typedFieldsFrom = (
  specs: readonly FieldSpec[],
  values: Record<string, unknown>,
  typed: TypedFields = {},
): TypedFields =>
  Object.fromEntries(specs.map((spec) => [spec.key, typed[spec.key] ?? typedFrom(spec, values[spec.key])]))
