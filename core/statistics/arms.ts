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

/** What cannot be compared, by its name; null: all can. */
export function refusalOf(arms: readonly Arm[]): string | null {
  for (const { name, runs } of arms)
    for (const [i, { gPerL }] of runs.entries())
      if (!(gPerL > 0 && Number.isFinite(gPerL)))
        return `Run ${i + 1} of ${name} has ${gPerL} g/L: no fuel per litre is that. Correct it or leave it out.`
  return null
}

/** What is worked out of the same runs for one arm after another is worked out once, as long as they are held. */
export function onceFor<T>(work: (runs: readonly ArmRun[]) => T): (runs: readonly ArmRun[]) => T {
  const done = new WeakMap<readonly ArmRun[], T>()
  return (runs) => {
    let result = done.get(runs)
    if (result === undefined) {
      result = work(runs)
      done.set(runs, result)
    }
    return result
  }
}

const logsOfRuns = onceFor((runs) => runs.map((run) => Math.log(run.gPerL)))
export const logsOf = (arm: Arm): number[] => logsOfRuns(arm.runs)
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
