/** Runs of one thing, as they are held against another's. */

export interface ArmRun {
  /** Normalised fuel per litre [g/L]. */
  gPerL: number
  /** What its readings alone would scatter by, standard [g/L]; not known: 0. */
  uRandom?: number
  /** One step of the scale, as this figure sees it [g/L]; not known: 0. */
  stepGPerL?: number
  /** What it owes to each shared input [g/L], as the answer of a run gives it: on one bench it cancels. */
  shared?: Readonly<Record<string, number>>
  /** Runs of the two arms with one block belong together (same place, same hour): compared in pairs. */
  block?: string
}

export interface Arm {
  name: string
  runs: readonly ArmRun[]
}

/** What readings alone would scatter by, and the scale's steps, on logarithms. */
export interface Reads {
  /** Variance of one run by its readings. */
  random: number
  /** One step. */
  step: number
}

/** All that a comparison takes of an arm: it may stand in place of the runs. */
export interface ArmSums {
  n: number
  /** Of the logarithms, with the sum of their squares about it. */
  mean: number
  squares: number
  reads: Reads
  /** Mean relative effect of each shared input. */
  shared: Readonly<Record<string, number>>
  /** Where every run has a block of its own: the blocks as one word, and the logarithms in their order. */
  blocked: { blocks: string; logs: readonly number[] } | null
  /** The first run whose figure none can be; null: all can. */
  refused: { run: number; gPerL: number } | null
}

export interface SummedArm {
  name: string
  sums: ArmSums
}
export type AnyArm = Arm | SummedArm

/** What is worked out of the same runs for one arm after another is worked out once, as long as they are held. */
const sumsOfRuns = new WeakMap<readonly ArmRun[], ArmSums>()
export function sumsOf(arm: AnyArm): ArmSums {
  if ('sums' in arm) return arm.sums
  const sums = sumsOfRuns.get(arm.runs) ?? summedUp(arm.runs)
  sumsOfRuns.set(arm.runs, sums)
  return sums
}

function summedUp(runs: readonly ArmRun[]): ArmSums {
  const logs = runs.map(({ gPerL }) => Math.log(gPerL))
  const refused = runs.findIndex(({ gPerL }) => !(gPerL > 0 && Number.isFinite(gPerL)))
  return {
    n: runs.length,
    mean: meanOf(logs),
    squares: squaresOf(logs),
    reads: {
      random: meanOf(runs.map((run) => ((run.uRandom ?? 0) / run.gPerL) ** 2)),
      step: meanOf(runs.map((run) => (run.stepGPerL ?? 0) / run.gPerL)),
    },
    shared: sharedOf(runs),
    blocked: blockedOf(runs, logs),
    refused: refused < 0 ? null : { run: refused, gPerL: runs[refused]!.gPerL },
  }
}

function sharedOf(runs: readonly ArmRun[]): Record<string, number> {
  const causes: Record<string, number> = {}
  for (const { gPerL, shared } of runs)
    for (const cause in shared) causes[cause] = (causes[cause] ?? 0) + shared[cause]! / gPerL / runs.length
  return causes
}

function blockedOf(runs: readonly ArmRun[], logs: readonly number[]): ArmSums['blocked'] {
  const blocks = runs.flatMap(({ block }, i) => (block === undefined ? [] : [{ block, log: logs[i]! }]))
  if (runs.length < 2 || new Set(blocks.map(({ block }) => block)).size < runs.length) return null
  blocks.sort((a, b) => (a.block < b.block ? -1 : 1))
  return { blocks: blocks.map(({ block }) => block).join('\n'), logs: blocks.map(({ log }) => log) }
}

/** What cannot be compared, by its name; null: all can. */
export function refusalOf(arms: readonly AnyArm[]): string | null {
  for (const arm of arms) {
    const { refused } = sumsOf(arm)
    if (refused !== null)
      return `Run ${refused.run + 1} of ${arm.name} has ${refused.gPerL} g/L: no fuel per litre is that. Correct it or leave it out.`
  }
  return null
}

export const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length
export const squaresOf = (values: readonly number[]): number => {
  const mean = meanOf(values)
  return values.reduce((sum, value) => sum + (value - mean) ** 2, 0)
}
/** At least one. */
export function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
