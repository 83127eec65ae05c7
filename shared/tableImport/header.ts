/** A column's heading: what it is of, and the unit it names. */
import { QUANTITY_KINDS, type QuantityKind } from '../../core/quantity/kinds'
import { unitsNamed, type Dimension } from '../../core/quantity/units'
import { isNameTarget, TARGETS, type Target } from './targets'

export interface Heading {
  /** Lower case, without the unit and without punctuation. */
  words: string
  /** As it was written: "°F", "g"; '' where there is none. */
  unit: string
}

const EVERY: Dimension[] = ['mass', 'volume', 'temperature', 'length', 'speed', 'pressure', 'duration', 'share']
/** Letters that are a word of the heading more often than a unit of it. */
const NOT_ALONE = new Set(['c', 'f', 'm', 'k', 's', 'h', 'g', 'l', 'in', 'ms'])

/** "Fuel before [g]", "start_temp_F", "Wind (m/s)", "Boil time, min". */
export function readHeading(cell: string): Heading {
  const bracketed = /^(.*?)[\s_]*[[(]\s*([^\])]*?)\s*[\])]\s*$/.exec(cell.trim())
  if (bracketed && isUnit(bracketed[2]!)) return { words: plain(bracketed[1]!), unit: bracketed[2]! }
  const last = /^(.+?)(\s*,\s*|\s+in\s+|[\s_/]+)(°?[a-zA-Z%/]+\d?)$/.exec(cell.trim())
  if (
    last &&
    isUnit(last[3]!) &&
    (!NOT_ALONE.has(last[3]!.toLowerCase()) || /[,_]|\sin\s/.test(last[2]!) || /^[A-Z]$/.test(last[3]!))
  )
    return { words: plain(last[1]!), unit: last[3]! }
  return { words: plain(cell), unit: '' }
}
const isUnit = (text: string) => unitsNamed(text, EVERY).length > 0
const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/** The unit's id as a column of this target reads it; '' where it is none of its. */
export function unitFor(target: Target, written: string): string {
  if (target.quantity === null || written === '') return ''
  const { dimensions }: QuantityKind = QUANTITY_KINDS[target.quantity]
  const found = unitsNamed(written, dimensions)
  return found.length === 1 ? found[0]!.id : ''
}

/**
 * What a heading says the column is; null: nothing that is known here. A unit tells "Fuel [g]" from a fuel's name; so
 * do cells that are figures.
 * @param figures whether its cells are: then it is no name
 */
export function targetOfHeading({ words, unit }: Heading, figures = false): Target | null {
  const fits = (target: Target) =>
    (unit === '' || unitFor(target, unit) !== '') && !(figures && isNameTarget(target.key))
  const exact = TARGETS.find((target) => plain(target.name) === words && fits(target))
  return exact ?? TARGETS.find((target) => target.says.test(words) && fits(target)) ?? null
}
