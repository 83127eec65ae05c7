/** Two arms against each other: the ratio of their geometric means, and what may be said of it. */
import { meanOf, refusalOf, sumsOf, type AnyArm, type ArmSums } from './arms'
import { detectableDifference, replicatesNeeded } from './power'
import { ofDifference, ofPairs, USUAL_SCATTER, type Known, type PriorScatter } from './scatter'
import { studentFactor95, studentTwoSided } from './student'
import { verdictText, type Compared } from './verdictText'

/** Two arms' ratio, without words. */
export interface Difference {
  /** Fuel of the second arm over the first's; null: nothing to compare. */
  ratio: number | null
  ci95: [number, number] | null
  p: number | null
  /** `pooled`: fewer than four runs each, helped by the scatter that is usual on this bench, or anywhere. */
  by: 'welch' | 'paired' | 'pooled' | 'tooFew'
  freedom: number | null
  /** The scatter that helped is assumed. */
  isAssumed: boolean
  /** Whether the second arm used less or more, or no difference is shown. */
  says: 'less' | 'more' | 'none' | 'tooFew' | 'cannotSay'
}

export interface Verdict extends Difference {
  /** The difference that so many runs could have shown. */
  detectable: number | null
  /** Runs of each that would show `worthSeeing`; null: no number of them. */
  needed: number | null
  worthSeeing: number
  text: string
}

export const LEVEL = 0.05
/** The difference that is looked for where nobody says which. */
const WORTH_SEEING = 0.05

type Pair = readonly [AnyArm, AnyArm]
interface Options {
  prior?: PriorScatter
  /** What the arms' figures are of. */
  of?: Compared
}

/**
 * Welch's test on logarithms, paired where both arms were burned in the same blocks; with fewer than four runs the usual
 * scatter helps the arms' own. What both arms share (heat loss, Θ, one scale) enters by the difference of its effects
 * only.
 * @returns a verdict in plain words. Sources: welch, pooled.
 */
export function compareArms(arms: Pair, { prior = USUAL_SCATTER, of = 'fuel' }: Options = {}): Verdict {
  const found = foundOf(arms, prior)
  return typeof found === 'string' ? nothing(...saidOf(arms, found)) : worded(arms, found, { prior, of })
}

/** The p of it alone, where a ranking of many asks for thousands; null: nothing to compare. */
export function pOf(arms: Pair, { prior = USUAL_SCATTER }: Pick<Options, 'prior'> = {}): number | null {
  const found = foundOf(arms, prior)
  return typeof found === 'string' ? null : studentOf(found).p
}

/** Two arms' ratio, with what its line says: how many runs it would take is worked out where no difference is shown. */
export interface Brief extends Difference {
  needed: number | null
  worthSeeing: number
}
export function brieflyOf(arms: Pair, { prior = USUAL_SCATTER }: Pick<Options, 'prior'> = {}): Brief {
  const found = foundOf(arms, prior)
  if (typeof found === 'string')
    return { ...NO_DIFFERENCE, says: saidOf(arms, found)[0], needed: null, worthSeeing: WORTH_SEEING }
  const difference = plain(found, prior)
  return { ...difference, needed: difference.says === 'none' ? neededFor(found) : null, worthSeeing: WORTH_SEEING }
}

const neededFor = ({ known, sharedU }: Found): number | null =>
  known.sd > 0 ? replicatesNeeded(known.sd, WORTH_SEEING, sharedU) : null

interface Found {
  difference: number
  u: number
  known: Known
  sharedU: number
  isPaired: boolean
}

/** @returns why there is nothing to compare, in words; '': too few runs */
function foundOf([first, second]: Pair, prior: PriorScatter): Found | string {
  const refused = refusalOf([first, second])
  if (refused !== null) return refused
  const [a, b] = [sumsOf(first), sumsOf(second)]
  if (a.n === 0 || b.n === 0) return ''
  const pairs = pairsOf(a, b)
  const known = pairs === null ? ofDifference(first, second, prior) : ofPairs(first, second, pairs, prior)
  const sharedU = sharedDifference(a, b)
  const u = Math.sqrt(known.variance + sharedU ** 2)
  if (u === 0) return `Cannot say of ${second.name}: the scale does not see the scatter.`
  const difference = pairs === null ? b.mean - a.mean : meanOf(pairs)
  return { difference, u, known, sharedU, isPaired: pairs !== null }
}

const saidOf = ([first, second]: Pair, why: string): ['tooFew' | 'cannotSay', string] =>
  why === ''
    ? ['tooFew', `Too few runs to compare ${first.name} and ${second.name}: one each at least.`]
    : ['cannotSay', why]

function studentOf({ difference, u, known }: Found): { freedom: number; p: number } {
  const freedom = known.variance === 0 ? Infinity : (known.freedom * u ** 4) / known.variance ** 2
  return { freedom, p: studentTwoSided(difference / u, freedom) }
}

function plain(found: Found, prior: PriorScatter): Difference & { ratio: number; ci95: [number, number] } {
  const { difference, u, known } = found
  const { freedom, p } = studentOf(found)
  const half = studentFactor95(freedom) * u
  const ratio = Math.exp(difference)
  return {
    ratio,
    ci95: [Math.exp(difference - half), Math.exp(difference + half)],
    p,
    by: byOf(found),
    freedom,
    isAssumed: known.isHelped && prior.isAssumed,
    says: saysOf(p, ratio),
  }
}

function worded([first, second]: Pair, found: Found, { prior, of }: Required<Options>): Verdict {
  const { u } = found
  const fewest = Math.min(sumsOf(first).n, sumsOf(second).n)
  const difference = plain(found, prior)
  const said = {
    ...difference,
    detectable: fewest < 2 ? null : detectableDifference(fewest, Math.sqrt((fewest * u ** 2) / 2)),
    needed: neededFor(found),
    worthSeeing: WORTH_SEEING,
  }
  const says = difference.says === 'less' || difference.says === 'more' ? difference.says : 'none'
  return { ...said, text: verdictText({ ...said, of, says, name: second.name, fewest, prior }) }
}

const byOf = ({ isPaired, known }: Found): Verdict['by'] => (isPaired ? 'paired' : known.isHelped ? 'pooled' : 'welch')

const saysOf = (p: number, ratio: number): 'less' | 'more' | 'none' =>
  p >= LEVEL ? 'none' : ratio < 1 ? 'less' : 'more'

const NO_DIFFERENCE = { ratio: null, ci95: null, p: null, by: 'tooFew', freedom: null, isAssumed: false } as const

const nothing = (says: 'tooFew' | 'cannotSay', text: string): Verdict => ({
  ...NO_DIFFERENCE,
  says,
  detectable: null,
  needed: null,
  worthSeeing: WORTH_SEEING,
  text,
})

/** Log ratios of runs of one block; null unless every run has its partner. */
const pairsOf = ({ blocked: a }: ArmSums, { blocked: b }: ArmSums): number[] | null =>
  a === null || a.blocks !== b?.blocks ? null : a.logs.map((log, i) => b.logs[i]! - log)

/**
 * Relative standard uncertainty of the ratio from what the runs share: the difference of its effects on the two arms.
 */
function sharedDifference({ shared: a }: ArmSums, { shared: b }: ArmSums): number {
  let squares = 0
  for (const cause in b) squares += (b[cause]! - (a[cause] ?? 0)) ** 2
  for (const cause in a) if (!(cause in b)) squares += a[cause]! ** 2
  return Math.sqrt(squares)
}
