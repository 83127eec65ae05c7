/** A method's body from its fields as they were read, and back to how a person would type them. */
import type { ReadingName, MethodBody, TestName, Window } from '../core/method/method'
import { START_HALF_WIDTH_K, type SchoolKey } from '../core/method/schools'
import { TARGET, USUAL_TARGET_C } from '../core/method/target'
import type { ReadFields, TypedFields } from './fields'
import { LISTED_SCHOOLS, METHOD_LIMITS, METHOD_MARKS, METHOD_READINGS } from './methodFields'
import { typedFrom } from './typedFrom'

const window = (low: unknown, high: unknown): Window => ({ low: low as number | null, high: high as number | null })
const listed = <T extends string>(
  values: ReadFields,
  kind: 'reading' | 'mark',
  names: readonly T[],
  need: string,
): T[] => names.filter((name) => values[`${kind}_${name}`] === need)

/** The body of a method of this test, from its fields as they were read. */
export function methodFrom(test: TestName, values: ReadFields): MethodBody {
  const school = Object.fromEntries(LISTED_SCHOOLS.map((key) => [key, values[key]])) as unknown as Pick<
    MethodBody,
    Exclude<(typeof LISTED_SCHOOLS)[number], 'boil'>
  >
  return {
    ...school,
    test,
    why: values.why as string,
    measures: values.measures as string,
    cannotSay: values.cannotSay as string,
    steps: (values.steps as string)
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean),
    boil:
      values.boil === TARGET
        ? { targetC: (values.targetC as number | null) ?? USUAL_TARGET_C }
        : (values.boil as Exclude<MethodBody['boil'], object>),
    waterKg: values.waterKg as number | null,
    startC: window(values.startLow, values.startHigh),
    hardwareAboveAirK: values.hardwareAboveAirK as number | null,
    windMS: window(values.windLow, values.windHigh),
    giveUpS: values.giveUpS as number | null,
    durationS: values.durationS as number | null,
    readEveryS: values.readEveryS as number | null,
    replicates: Math.round(values.replicates as number),
    must: listed<ReadingName>(values, 'reading', METHOD_READINGS, 'must'),
    may: listed<ReadingName>(values, 'reading', METHOD_READINGS, 'may'),
    mustMark: listed(values, 'mark', METHOD_MARKS, 'must'),
    mayMark: listed(values, 'mark', METHOD_MARKS, 'may'),
  }
}

/** A method as a person would type it. */
export function fieldsOfMethod(name: string, body: MethodBody, retired = false): TypedFields {
  const numbers: Record<string, unknown> = {
    ...body,
    startLow: body.startC.low,
    startHigh: body.startC.high,
    windLow: body.windMS.low,
    windHigh: body.windMS.high,
    targetC: typeof body.boil === 'object' ? body.boil.targetC : null,
  }
  const typed = Object.fromEntries(METHOD_LIMITS.map((spec) => [spec.key, typedFrom(spec, numbers[spec.key])]))
  const need = (kind: 'reading' | 'mark', one: string) =>
    (kind === 'reading' ? body.must : (body.mustMark as string[])).includes(one)
      ? 'must'
      : (kind === 'reading' ? body.may : (body.mayMark as string[])).includes(one)
        ? 'may'
        : ''
  return {
    ...typed,
    name,
    why: body.why,
    measures: body.measures,
    cannotSay: body.cannotSay,
    steps: body.steps.join('\n'),
    retired,
    ...Object.fromEntries(
      LISTED_SCHOOLS.map((key) => [
        key,
        key === 'boil' ? (typeof body.boil === 'object' ? TARGET : body.boil) : body[key],
      ]),
    ),
    ...Object.fromEntries(METHOD_READINGS.map((one) => [`reading_${one}`, need('reading', one)])),
    ...Object.fromEntries(METHOD_MARKS.map((one) => [`mark_${one}`, need('mark', one)])),
  }
}

/** The fields that another school on a question would set. */
export function schoolFields(key: SchoolKey, value: string): TypedFields {
  if (key === 'water') return { waterKg: `${Number((Number(value) * 1000).toFixed(1))} g` }
  if (key === 'start')
    return value === 'tap'
      ? { startLow: '', startHigh: '' }
      : {
          startLow: `${Number((Number(value) - START_HALF_WIDTH_K).toFixed(1))} °C`,
          startHigh: `${Number((Number(value) + START_HALF_WIDTH_K).toFixed(1))} °C`,
        }
  return { [key]: value }
}
