/** Whether a set of runs may be compared: what differs between its arms besides the question. */
import { formatNumber } from '../quantity/format'

/** What a comparison looks at, in the order it is told. */
const COMPARED = [
  'origin',
  'burner',
  'pot',
  'stand',
  'lid',
  'screen',
  'fuelBatch',
  'waterG',
  'startC',
  'boilingPointC',
  'airC',
  'windMS',
  'boil',
  'clock',
  'setting',
  'fillG',
  'breakIn',
  'observer',
] as const
export type Compared = (typeof COMPARED)[number]

const NAMES: Record<Compared, string> = {
  origin: 'Origin',
  burner: 'Burner',
  pot: 'Pot',
  stand: 'Stand',
  lid: 'Lid',
  screen: 'Screen',
  fuelBatch: 'Fuel batch',
  waterG: 'Water',
  startC: 'Start temperature',
  boilingPointC: 'Boiling point',
  airC: 'Air',
  windMS: 'Wind',
  boil: 'Boil convention',
  clock: 'Clock',
  setting: 'Setting',
  fillG: 'Canister fill',
  breakIn: 'Break-in',
  observer: 'Observer',
}
/** Numbers nearer than this are alike. Source: commonPractice. */
const ALIKE: Partial<Record<Compared, number>> = {
  waterG: 10,
  startC: 2,
  boilingPointC: 0.5,
  airC: 3,
  windMS: 0.3,
  setting: 0.15,
  fillG: 30,
}
/** What the ladder brings to the reference. */
const CORRECTED: readonly Compared[] = ['waterG', 'startC', 'boilingPointC', 'airC', 'windMS']

export interface ComparedRun {
  arm: string
  /** True: the figure is fully normalised, so that its conditions are corrected for. */
  normalised: boolean
  values: Partial<Record<Compared, string | number | boolean | null>>
}

interface Difference {
  what: Compared
  grade: 'clean' | 'corrected' | 'confounded'
  text: string
}

export interface LikeWithLike {
  grade: Difference['grade']
  differences: Difference[]
}

/**
 * Lists what differs between the arms besides the question, and grades each: clean (mixed alike over the arms),
 * corrected for, or confounded.
 * @param question what is asked for and so may differ. Source: commonPractice.
 */
export function likeWithLike(runs: readonly ComparedRun[], question: readonly Compared[]): LikeWithLike {
  const differences = COMPARED.filter((what) => !question.includes(what)).flatMap(
    (what) => differenceIn(what, runs) ?? [],
  )
  const grades = differences.map((difference) => difference.grade)
  return {
    differences,
    grade: grades.includes('confounded') ? 'confounded' : grades.includes('corrected') ? 'corrected' : 'clean',
  }
}

function differenceIn(what: Compared, runs: readonly ComparedRun[]): Difference | null {
  const arms = new Map<string, unknown[]>()
  for (const { arm, values } of runs) arms.set(arm, [...(arms.get(arm) ?? []), values[what] ?? null])
  const all = [...arms.values()].flat()
  if (alike(what, all)) return null
  const name = NAMES[what]
  if (CORRECTED.includes(what) && runs.every((run) => run.normalised))
    return { what, grade: 'corrected', text: `${name} differs (${spanText(what, all)}); corrected for.` }
  // Mixed alike over the arms, it adds scatter but leans to no side.
  if ([...arms.values()].every((values) => sameMix(what, values, all)))
    return { what, grade: 'clean', text: `${name} differs, alike in every arm.` }
  return {
    what,
    grade: 'confounded',
    text: `${name} changed with the question (${spanText(what, all)}). Cannot say which.`,
  }
}

function alike(what: Compared, values: readonly unknown[]): boolean {
  const numbers = values.filter((value) => typeof value === 'number')
  if (numbers.length === values.length) return Math.max(...numbers) - Math.min(...numbers) <= (ALIKE[what] ?? 0)
  return new Set(values).size <= 1
}

function sameMix(what: Compared, values: readonly unknown[], all: readonly unknown[]): boolean {
  const numbers = all.filter((value) => typeof value === 'number')
  if (numbers.length < all.length) return new Set(all).size === new Set(values).size
  const mean = (of: readonly unknown[]) => (of as number[]).reduce((sum, value) => sum + value, 0) / of.length
  return Math.abs(mean(values) - mean(all)) <= (ALIKE[what] ?? 0) / 2
}

/** Decimals and unit of what is a number. */
const SHOWN: Partial<Record<Compared, readonly [number, string]>> = {
  waterG: [0, ' g'],
  startC: [1, ' °C'],
  boilingPointC: [1, ' °C'],
  airC: [1, ' °C'],
  windMS: [1, ' m/s'],
  setting: [2, ''],
  fillG: [0, ' g'],
}

function spanText(what: Compared, values: readonly unknown[]): string {
  const numbers = values.filter((value) => typeof value === 'number')
  const [decimals, unit] = SHOWN[what] ?? [2, '']
  if (numbers.length === values.length)
    return `${formatNumber(Math.min(...numbers), decimals)} to ${formatNumber(Math.max(...numbers), decimals)}${unit}`
  return [...new Set(values.map((value) => (value === null ? 'not stated' : String(value))))].join(', ')
}
