/** Two arms against each other: the ratio of their geometric means, and what may be said of it. */
import { detectableDifference } from './power'
import { studentFactor95, studentTwoSided } from './student'

export interface ArmRun {
  /** Normalised fuel per litre [g/L]. */
  gPerL: number
  /** What it owes to each shared input [g/L], as the answer of a run gives it: on one bench it cancels. */
  shared?: Readonly<Record<string, number>>
  /** Runs of the two arms with one block belong together (same place, same hour): compared in pairs. */
  block?: string
}

export interface Arm {
  name: string
  runs: readonly ArmRun[]
}

export interface CompareOptions {
  /** Scatter pooled over the bench's arms of this method, on logarithms: used where an arm has fewer than four runs. */
  pooled: { sd: number; freedom: number } | null
}

export interface Verdict {
  /** Fuel of the second arm over the first's; null: nothing to compare. */
  ratio: number | null
  ci95: [number, number] | null
  p: number | null
  by: 'welch' | 'paired' | 'pooled' | 'tooFew'
  freedom: number | null
  /** Whether the second arm used less or more, or no difference is shown. */
  says: 'less' | 'more' | 'none' | 'tooFew'
  /** The difference that so many runs could have shown. */
  detectable: number | null
  text: string
}

const ENOUGH = 4
const LEVEL = 0.05

/**
 * Welch's test on logarithms, paired where both arms were burned in the same blocks; with fewer than four runs in an
 * arm the bench's pooled
 * scatter stands in for the arm's own. What both arms share (heat loss, Θ, the scale) enters by the difference of its
 * effects only.
 * @returns a verdict in plain words. Sources: welch, pooled.
 */
export function compareArms([first, second]: readonly [Arm, Arm], { pooled }: CompareOptions): Verdict {
  const pairs = pairsOf(first, second)
  const way = pairs !== null ? pairedWay(pairs) : unpairedWay(first, second, pooled)
  if (way === null)
    return {
      ratio: null,
      ci95: null,
      p: null,
      by: 'tooFew',
      freedom: null,
      says: 'tooFew',
      detectable: null,
      text: `Too few runs to compare ${first.name} and ${second.name}: four each, or a bench whose scatter is known.`,
    }
  const sharedU = sharedDifference(first, second)
  const u = Math.hypot(way.se, sharedU)
  const freedom = way.se === 0 ? Infinity : way.freedom * (u / way.se) ** 4
  const p = u === 0 ? (way.difference === 0 ? 1 : 0) : studentTwoSided(way.difference / u, freedom)
  const half = studentFactor95(freedom) * u
  const ratio = Math.exp(way.difference)
  const ci95: [number, number] = [Math.exp(way.difference - half), Math.exp(way.difference + half)]
  const says = p >= LEVEL ? 'none' : ratio < 1 ? 'less' : 'more'
  const fewest = Math.min(first.runs.length, second.runs.length)
  const detectable = fewest < 2 || !(way.sd > 0) ? null : detectableDifference(fewest, way.sd)
  return {
    ratio,
    ci95,
    p,
    by: way.by,
    freedom,
    says,
    detectable,
    text: wordsOf({ ratio, ci95, says, detectable, fewest, name: second.name }),
  }
}

interface Way {
  difference: number
  se: number
  freedom: number
  sd: number
  by: Verdict['by']
}

const logsOf = (arm: Arm): number[] => arm.runs.map((run) => Math.log(run.gPerL))
const meanOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length
const squaresOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + (value - meanOf(values)) ** 2, 0)

function unpairedWay(first: Arm, second: Arm, pooled: CompareOptions['pooled']): Way | null {
  const [a, b] = [logsOf(first), logsOf(second)]
  if (a.length === 0 || b.length === 0) return null
  const difference = meanOf(b) - meanOf(a)
  if (Math.min(a.length, b.length) < ENOUGH) {
    if (pooled === null || pooled.freedom < 1) return null
    return {
      difference,
      se: pooled.sd * Math.sqrt(1 / a.length + 1 / b.length),
      freedom: pooled.freedom,
      sd: pooled.sd,
      by: 'pooled',
    }
  }
  const [va, vb] = [squaresOf(a) / (a.length - 1) / a.length, squaresOf(b) / (b.length - 1) / b.length]
  const freedom = va + vb === 0 ? Infinity : (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1))
  return {
    difference,
    se: Math.sqrt(va + vb),
    freedom,
    sd: Math.sqrt((squaresOf(a) + squaresOf(b)) / (a.length + b.length - 2)),
    by: 'welch',
  }
}

/** Log ratios of runs of one block; null unless every run has its partner. */
function pairsOf(first: Arm, second: Arm): number[] | null {
  const partners = new Map(second.runs.map((run) => [run.block, run.gPerL]))
  const whole =
    first.runs.length === second.runs.length &&
    first.runs.length >= ENOUGH &&
    partners.size === second.runs.length &&
    first.runs.every((run) => run.block !== undefined && partners.has(run.block)) &&
    new Set(first.runs.map((run) => run.block)).size === first.runs.length
  return whole ? first.runs.map((run) => Math.log(partners.get(run.block)! / run.gPerL)) : null
}

function pairedWay(ratios: readonly number[]): Way {
  const n = ratios.length
  const sd = Math.sqrt(squaresOf(ratios) / (n - 1))
  return { difference: meanOf(ratios), se: sd / Math.sqrt(n), freedom: n - 1, sd: sd / Math.SQRT2, by: 'paired' }
}

/**
 * Relative standard uncertainty of the ratio from what the runs share: the difference of its effects on the two arms.
 */
function sharedDifference(first: Arm, second: Arm): number {
  const causes: Record<string, number> = {}
  const add = (arm: Arm, sign: number) => {
    for (const { gPerL, shared = {} } of arm.runs)
      for (const [cause, effect] of Object.entries(shared))
        causes[cause] = (causes[cause] ?? 0) + (sign * effect) / gPerL / arm.runs.length
  }
  add(second, 1)
  add(first, -1)
  return Math.hypot(0, ...Object.values(causes))
}

/**
 * Scatter pooled over arms, on logarithms, with its degrees of freedom; null where no arm was repeated. Source: pooled.
 */
export function pooledScatter(arms: readonly Arm[]): { sd: number; freedom: number } | null {
  const repeated = arms.map(logsOf).filter((logs) => logs.length > 1)
  const freedom = repeated.reduce((sum, logs) => sum + logs.length - 1, 0)
  return freedom === 0
    ? null
    : { sd: Math.sqrt(repeated.reduce((sum, logs) => sum + squaresOf(logs), 0) / freedom), freedom }
}

const COUNT_WORDS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten']
const percent = (share: number): string => (100 * share).toFixed(Math.abs(share) < 0.0995 ? 1 : 0).replace(/\.0$/, '')

interface Said {
  ratio: number
  ci95: [number, number]
  says: Verdict['says']
  detectable: number | null
  fewest: number
  name: string
}

function wordsOf({ ratio, ci95, says, detectable, fewest, name }: Said): string {
  if (says === 'none')
    return `No difference shown.${detectable === null ? '' : ` ${COUNT_WORDS[fewest] ?? fewest} runs each could show ${percent(detectable)} %.`}`
  const sign = says === 'less' ? -1 : 1
  const [near, far] = [sign * (ci95[0] - 1), sign * (ci95[1] - 1)].sort((a, b) => a - b)
  return `${name} used ${percent(Math.abs(ratio - 1))} % ${says} fuel (${percent(near!)} to ${percent(far!)} %).`
}
