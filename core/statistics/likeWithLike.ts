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
  'fuelAgeDays',
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
  fuelAgeDays: 'Age of the opened fuel',
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
  startC: 2,
  boilingPointC: 0.5,
  airC: 3,
  windMS: 0.3,
  setting: 0.15,
  fillG: 30,
  fuelAgeDays: 7,
}
/** Volumes within so much of each other are one. Source: estimate. */
const ALIKE_SHARE: Partial<Record<Compared, number>> = { waterG: 0.15 }
/** What the ladder brings to the reference. */
const CORRECTED: readonly Compared[] = ['startC', 'boilingPointC', 'airC', 'windMS']
/** Without it there is none: nothing is missing. */
const MAY_BE_NONE: readonly Compared[] = ['stand', 'lid', 'screen']
/** Of what an arm is made. */
const PARTS: readonly Compared[] = ['burner', 'pot', 'stand', 'lid', 'screen']
/** Shares of runs that differ by more have changed with the arms. Source: commonPractice. */
const ALIKE_MIX = 1 / 3

export interface ComparedRun {
  arm: string
  /** True: the figure is fully normalised, so that its conditions are corrected for. */
  normalised: boolean
  values: Partial<Record<Compared, string | number | boolean | null>>
}

interface Difference {
  what: Compared
  grade: 'onlyThis' | 'corrected' | 'together'
  text: string
}

export interface LikeWithLike {
  grade: Difference['grade']
  differences: Difference[]
}

/**
 * Lists what differs between the arms besides the question, and grades each: mixed alike over the arms, so that only the
 * question changed; corrected for; or changed together with it.
 * @param question what is asked for and so may differ: of parts one, since two that changed together cannot be told apart.
 *   Burners *as used* bring what belongs to them. Source: commonPractice.
 */
export function likeWithLike(
  runs: readonly ComparedRun[],
  question: readonly Compared[],
  { asUsed = false }: { asUsed?: boolean } = {},
): LikeWithLike {
  const arms = [...byArm(runs).values()]
  const differences = [
    ...(asUsed ? [] : partsTogether(runs, question)),
    ...COMPARED.filter((what) => !question.includes(what)).flatMap((what) => differenceIn(what, arms, runs) ?? []),
  ]
  const grades = differences.map((difference) => difference.grade)
  return {
    differences,
    grade: grades.includes('together') ? 'together' : grades.includes('corrected') ? 'corrected' : 'onlyThis',
  }
}

/** Each pair of arms that differ in more than one part. */
function partsTogether(runs: readonly ComparedRun[], question: readonly Compared[]): Difference[] {
  const arms = [...byArm(runs)].map(([name, own]) => ({ name, values: own[0]!.values }))
  return arms.flatMap((first, i) =>
    arms.slice(i + 1).flatMap((second): Difference[] => {
      const changed = PARTS.filter(
        (part) => question.includes(part) && (first.values[part] ?? null) !== (second.values[part] ?? null),
      )
      if (changed.length < 2) return []
      const names = changed.map((part) => NAMES[part].toLowerCase())
      const text = `${first.name} and ${second.name} differ in ${names.slice(0, -1).join(', ')} and ${names.at(-1)}: as used, and not by one of them alone.`
      return [{ what: changed[0]!, grade: 'together', text }]
    }),
  )
}

function byArm(runs: readonly ComparedRun[]): Map<string, ComparedRun[]> {
  const arms = new Map<string, ComparedRun[]>()
  for (const run of runs) {
    const own = arms.get(run.arm)
    if (own) own.push(run)
    else arms.set(run.arm, [run])
  }
  return arms
}

function differenceIn(
  what: Compared,
  lots: readonly (readonly ComparedRun[])[],
  runs: readonly ComparedRun[],
): Difference | null {
  const arms = lots.map((own) => own.map(({ values }) => values[what] ?? null))
  const all = arms.flat()
  const name = NAMES[what]
  const unstated = MAY_BE_NONE.includes(what) ? 0 : all.filter((value) => value === null).length
  // What nobody stated is not known to be alike, nor that it differs.
  if (unstated === all.length && isStated(what, runs))
    return { what, grade: 'onlyThis', text: `${name} is not stated.` }
  if (alike(what, all)) return null
  if (CORRECTED.includes(what) && runs.every((run) => run.normalised))
    return { what, grade: 'corrected', text: `${name} differs (${spanText(what, all)}); corrected for.` }
  // Mixed alike over the arms, it adds scatter but leans to no side.
  if (arms.every((values) => sameMix(what, values, all)) && sharesAlike(arms))
    return { what, grade: 'onlyThis', text: `${name} differs, alike in every arm.` }
  return {
    what,
    grade: 'together',
    text: `${name} changed with the question (${spanText(what, all)}). Cannot say which.`,
  }
}

function alike(what: Compared, values: readonly unknown[]): boolean {
  const numbers = values.filter((value) => typeof value === 'number')
  if (numbers.length < values.length) return new Set(values).size <= 1
  const [low, high] = [Math.min(...numbers), Math.max(...numbers)]
  return high - low <= (ALIKE[what] ?? (ALIKE_SHARE[what] ?? 0) * low)
}

/** It is looked at in runs of this kind: what no run has a word of is no condition of theirs. */
const isStated = (what: Compared, runs: readonly ComparedRun[]): boolean => runs.some(({ values }) => what in values)

function sameMix(what: Compared, values: readonly unknown[], all: readonly unknown[]): boolean {
  const numbers = all.filter((value) => typeof value === 'number')
  if (numbers.length < all.length) return true
  const mean = (of: readonly unknown[]) => (of as number[]).reduce((sum, value) => sum + value, 0) / of.length
  return Math.abs(mean(values) - mean(all)) <= (ALIKE[what] ?? 0) / 2
}

/** Each word or absence takes about the same share of every arm's runs; numbers are held by their means. */
function sharesAlike(arms: readonly (readonly unknown[])[]): boolean {
  const words = new Set(arms.flat().filter((value) => typeof value !== 'number'))
  return [...words].every((word) => {
    const shares = arms.map((values) => values.filter((value) => value === word).length / values.length)
    return Math.max(...shares) - Math.min(...shares) <= ALIKE_MIX
  })
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
  fuelAgeDays: [0, ' days'],
}

function spanText(what: Compared, values: readonly unknown[]): string {
  const numbers = values.filter((value) => typeof value === 'number')
  const [decimals, unit] = SHOWN[what] ?? [2, '']
  if (numbers.length === values.length)
    return `${formatNumber(Math.min(...numbers), decimals)} to ${formatNumber(Math.max(...numbers), decimals)}${unit}`
  return [...new Set(values.map((value) => (value === null ? 'not stated' : String(value))))].join(', ')
}
