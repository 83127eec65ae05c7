/** "2 cups", "16 fl oz", "60F", "5:12", "8 mph", "7,200 ft" → a quantity in SI, with what was typed kept beside it. */
import { fail, ok, type Problem, type R } from '../result'
import { QUANTITY_KINDS, type QuantityKind, type QuantityKindName, type UnitSystem } from './kinds'
import { parseNumber } from './parseNumber'
import { toSI, unitOf, unitsNamed, type Dimension, type Unit } from './units'

export interface Quantity {
  dimension: Dimension
  /** kg, m³, °C, m, m/s, Pa, s or 1. */
  value: number
  typed: string
  /** Identifier of the unit it was typed or read in. */
  unit: string
}

/** A number, and a unit that begins with a letter or a sign. */
const SPLIT = /^(.*?[\d½¼¾⅓⅔⅛.])\s*([a-z°%"'][^\d]*\d?)?$/i
const CLOCK = /^(?:(\d{1,2}):)?(\d{1,4}):(\d{2}(?:[.,]\d+)?)$/
const COMPOUND =
  /^(?:(\d+)\s*h(?:ours?|r)?)?\s*(?:(\d+)\s*m(?:in(?:utes?)?)?)?\s*(?:(\d+(?:[.,]\d+)?)\s*s(?:ec(?:onds?)?)?)?$/i

/**
 * Reads one quantity as a tester says it.
 * @param text what was typed
 * @param kindName what the box asks for; decides units, bare unit and limits
 * @param system unit system in which a bare number is read
 * @returns the quantity in SI, or what is wrong with it (not a number, no such unit, ambiguous, outside its limits)
 * Example: ("2 cups", "water", "metric") → 4.73176e-4 m³.
 */
export function parseQuantity(text: string, kindName: QuantityKindName, system: UnitSystem): R<Quantity> {
  const kind: QuantityKind = QUANTITY_KINDS[kindName]
  const typed = text.trim()
  if (typed.length > 60)
    return fail({
      code: 'too-long',
      what: 'Too long for a quantity',
      got: `${typed.length} characters`,
      hint: `Write it like ${kind.example}.`,
    })
  if (kind.dimensions.includes('duration')) return parseClock(typed, kind)
  if (kindName === 'windSpeed' && /^(calm|still)$/i.test(typed))
    return ok({ dimension: 'speed', value: 0, typed, unit: 'mps' })
  const split = SPLIT.exec(typed)
  const number = split === null ? null : parseNumber(split[1]!)
  if (number === null)
    return fail({
      code: 'not-a-number',
      what: 'Not a quantity',
      got: quoted(typed),
      hint: `Write it like ${kind.example}.`,
    })
  const found = readUnit(split![2]?.trim() ?? '', kind, system)
  if (!found.ok) return fail({ ...found.problem, got: quoted(typed) })
  return withinLimits(
    { dimension: found.value.dimension, value: toSI(number, found.value), typed, unit: found.value.id },
    kind,
  )
}

function readUnit(name: string, kind: QuantityKind, system: UnitSystem): R<Unit> {
  if (name === '') return ok(unitOf(kind.bare[system]))
  const bothMassAndVolume = kind.dimensions.includes('mass') && kind.dimensions.includes('volume')
  if (bothMassAndVolume && /^(oz|ozs|ounces?)\.?$/i.test(name)) return fail(OUNCES)
  const candidates = unitsNamed(name.replace(/\.$/, ''), kind.dimensions)
  if (candidates.length === 1) return ok(candidates[0]!)
  const units = kind.dimensions.join(' or ')
  return fail({
    code: 'unknown-unit',
    what: `"${name}" is not a unit of ${units} here`,
    hint: `Write it like ${kind.example}.`,
  })
}

const OUNCES: Problem = {
  code: 'ambiguous-unit',
  what: 'Ounces of weight, or fluid?',
  hint: 'Write "oz wt" for weight or "fl oz" for volume.',
}

function parseClock(typed: string, kind: QuantityKind): R<Quantity> {
  const seconds = clockSeconds(typed)
  if (seconds !== null) return withinLimits({ dimension: 'duration', value: seconds, typed, unit: 's' }, kind)
  if (parseNumber(typed) !== null) {
    return fail({
      code: 'ambiguous-time',
      what: 'Seconds, or minutes?',
      got: quoted(typed),
      hint: 'Write 5:12, 312 s or 5.2 min.',
    })
  }
  return fail({ code: 'not-a-time', what: 'Not a time', got: quoted(typed), hint: `Write it like ${kind.example}.` })
}

/** Seconds in "5:12", "1:05:30", "5m12s", "312 s" or "5.2 min"; null when it is none of these. */
function clockSeconds(typed: string): number | null {
  const clock = CLOCK.exec(typed)
  if (clock !== null) return onTheClock(clock)
  const compound = typed === '' ? null : COMPOUND.exec(typed)
  if (compound !== null) {
    const [, hours = '0', minutes = '0', seconds = '0'] = compound
    return inSeconds(hours, minutes, seconds)
  }
  return secondsInUnit(typed)
}

function onTheClock([, hours, minutes, seconds]: RegExpExecArray): number | null {
  const isOver60 = (part: string) => Number(part.replace(',', '.')) >= 60
  if (isOver60(seconds!) || (hours !== undefined && isOver60(minutes!))) return null
  return inSeconds(hours ?? '0', minutes!, seconds!)
}

const inSeconds = (hours: string, minutes: string, seconds: string): number =>
  Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds.replace(',', '.'))

function secondsInUnit(typed: string): number | null {
  const split = SPLIT.exec(typed)
  const number = split ? parseNumber(split[1]!) : null
  const unit = split?.[2] ? unitsNamed(split[2], ['duration'])[0] : undefined
  return number === null || unit === undefined ? null : toSI(number, unit)
}

function withinLimits(quantity: Quantity, kind: QuantityKind): R<Quantity> {
  const limits = kind.limits[quantity.dimension]
  if (!limits || (quantity.value >= limits[0] && quantity.value <= limits[1])) return ok(quantity)
  const unit = unitOf(quantity.unit)
  const show = (si: number) => `${Number((si / unit.factor - unit.shift).toPrecision(4))} ${unit.label}`
  return fail({
    code: 'out-of-limits',
    what: 'Outside what can be measured here',
    got: quoted(quantity.typed),
    limit: `${show(limits[0])} to ${show(limits[1])}`,
    hint: 'Check the unit and the decimal point.',
  })
}

const quoted = (text: string) => `"${text.length > 40 ? `${text.slice(0, 40)}…` : text}"`
