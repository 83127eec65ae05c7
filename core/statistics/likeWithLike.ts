/** Whether a set of runs may be compared: what differs between its arms besides the question. */
import { formatNumber } from '../quantity/format'
import { columnOf, type Column } from './conditionColumns'

/** What a comparison looks at, in the order it is told. */
export const COMPARED = [
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

/** An arm with its conditions summed up: they may stand in place of its runs. */
export interface ComparedLot {
  arm: string
  /** All of its figures are fully normalised. */
  normalised: boolean
  columnOf: (what: Compared) => Column
}

/** Worked out once for the same runs, as long as they are held. */
export const lotOf = (arm: string, runs: readonly Omit<ComparedRun, 'arm'>[]): ComparedLot => ({
  arm,
  normalised: runs.every((run) => run.normalised),
  columnOf: (what) => columnOf({ runs }, what),
})

/**
 * Lists what differs between the arms besides the question, and grades each: mixed alike over the arms, so that only the
 * question changed; corrected for; or changed together with it.
 * @param question what is asked for and so may differ: of parts one, since two that changed together cannot be told apart.
 *   Burners *as used* bring what belongs to them. Source: commonPractice.
 */
export const likeWithLike = (
  runs: readonly ComparedRun[],
  question: readonly Compared[],
  options: { asUsed?: boolean } = {},
): LikeWithLike => likeLots(lotsOf(runs), question, options)

/** The same of runs by their arms: what was summed up of a lot stands as long as the lot is held. */
export function likeLots(
  lots: readonly ComparedLot[],
  question: readonly Compared[],
  { asUsed = false }: { asUsed?: boolean } = {},
): LikeWithLike {
  const differences = [
    ...(asUsed ? [] : partsTogether(lots, question)),
    ...COMPARED.filter((what) => !question.includes(what)).flatMap((what) => differenceIn(what, lots) ?? []),
  ]
  const grades = differences.map((difference) => difference.grade)
  return {
    differences,
    grade: grades.includes('together') ? 'together' : grades.includes('corrected') ? 'corrected' : 'onlyThis',
  }
}

function lotsOf(runs: readonly ComparedRun[]): ComparedLot[] {
  const arms = new Map<string, ComparedRun[]>()
  for (const run of runs) {
    const own = arms.get(run.arm)
    if (own) own.push(run)
    else arms.set(run.arm, [run])
  }
  return [...arms].map(([arm, own]) => lotOf(arm, own))
}

/** Each pair of arms that differ in more than one part. */
function partsTogether(lots: readonly ComparedLot[], question: readonly Compared[]): Difference[] {
  // Its runs are of one set-up: the first word of each part is that of all.
  const arms = lots.map(({ arm, columnOf: of }) => ({ name: arm, wordOf: (part: Compared) => of(part).words[0]?.[0] }))
  return arms.flatMap((first, i) =>
    arms.slice(i + 1).flatMap((second): Difference[] => {
      const changed = PARTS.filter(
        (part) => question.includes(part) && (first.wordOf(part) ?? null) !== (second.wordOf(part) ?? null),
      )
      if (changed.length < 2) return []
      const names = changed.map((part) => NAMES[part].toLowerCase())
      const text = `${first.name} and ${second.name} differ in ${names.slice(0, -1).join(', ')} and ${names.at(-1)}: as used, and not by one of them alone.`
      return [{ what: changed[0]!, grade: 'together', text }]
    }),
  )
}

function differenceIn(what: Compared, lots: readonly ComparedLot[]): Difference | null {
  const arms = lots.map((lot) => lot.columnOf(what))
  const n = arms.reduce((sum, one) => sum + one.n, 0)
  const name = NAMES[what]
  const unstated = MAY_BE_NONE.includes(what) ? 0 : arms.reduce((sum, { words }) => sum + countOf(null, words), 0)
  // What nobody stated is not known to be alike, nor that it differs.
  if (unstated === n && arms.some(({ isStated }) => isStated))
    return { what, grade: 'onlyThis', text: `${name} is not stated.` }
  if (alike(what, arms)) return null
  if (CORRECTED.includes(what) && lots.every(({ normalised }) => normalised))
    return { what, grade: 'corrected', text: `${name} differs (${spanText(what, arms)}); corrected for.` }
  // Mixed alike over the arms, it adds scatter but leans to no side.
  if (sameMix(what, arms) && alikeShares(arms))
    return { what, grade: 'onlyThis', text: `${name} differs, alike in every arm.` }
  return {
    what,
    grade: 'together',
    text: `${name} changed with the question (${spanText(what, arms)}). Cannot say which.`,
  }
}

const areNumbers = (arms: readonly Column[]): boolean => arms.every(({ n, numbers }) => (numbers?.n ?? 0) === n)
const rangeOf = (arms: readonly Column[]): [number, number] => [
  Math.min(...arms.flatMap(({ numbers }) => numbers?.low ?? [])),
  Math.max(...arms.flatMap(({ numbers }) => numbers?.high ?? [])),
]
const wordsIn = (arms: readonly Column[]): unknown[] => [
  ...new Set(arms.flatMap(({ words }) => words.map(([word]) => word))),
]
const countOf = (word: unknown, words: Column['words']): number => words.find(([one]) => one === word)?.[1] ?? 0

function alike(what: Compared, arms: readonly Column[]): boolean {
  if (!areNumbers(arms)) return arms.every(({ numbers }) => numbers === null) && wordsIn(arms).length <= 1
  const [low, high] = rangeOf(arms)
  return high - low <= (ALIKE[what] ?? (ALIKE_SHARE[what] ?? 0) * low)
}

function sameMix(what: Compared, arms: readonly Column[]): boolean {
  if (!areNumbers(arms)) return true
  const sum = arms.reduce((all, { numbers }) => all + numbers!.sum, 0)
  const mean = sum / arms.reduce((all, { n }) => all + n, 0)
  return arms.every(({ n, numbers }) => Math.abs(numbers!.sum / n - mean) <= (ALIKE[what] ?? 0) / 2)
}

/** Each word or absence takes about the same share of every arm's runs; numbers are held by their means. */
export const alikeShares = (arms: readonly Column[]): boolean =>
  wordsIn(arms).every((word) => {
    const shares = arms.map(({ n, words }) => countOf(word, words) / n)
    return Math.max(...shares) - Math.min(...shares) <= ALIKE_MIX
  })

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

function spanText(what: Compared, arms: readonly Column[]): string {
  const [decimals, unit] = SHOWN[what] ?? [2, '']
  const [low, high] = rangeOf(arms).map((value) => formatNumber(value, decimals))
  if (areNumbers(arms)) return `${low} to ${high}${unit}`
  const words = wordsIn(arms).map((value) => (value === null ? 'not stated' : String(value)))
  const isMixed = arms.some(({ numbers }) => numbers !== null)
  return [...(isMixed ? [low === high ? `${low}${unit}` : `${low} to ${high}${unit}`] : []), ...words].join(', ')
}
