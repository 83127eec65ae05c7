/** Many arms: which pairs differ when all are looked at, and letters that show it. */
import type { Arm } from './arms'
import { compareArms, LEVEL, type Verdict } from './compareArms'
import type { PriorScatter } from './scatter'
import { notAmong } from './verdictText'

interface Pair {
  arms: [string, string]
  verdict: Verdict
  /** Adjusted for the number of pairs; null: too few runs. */
  adjustedP: number | null
}

export interface Ranking {
  /** Thriftiest first. Arms that share a letter are not shown to differ. */
  arms: { name: string; geometricMeanGPerL: number; n: number; letters: string }[]
  pairs: Pair[]
}

/**
 * Holm's step-down adjustment: p₍ᵢ₎ becomes max over j ≤ i of (m − j + 1)·p₍ⱼ₎, at most 1. Source: holm. Example: 0.01,
 * 0.04 → 0.02, 0.04.
 */
export function holm(pValues: readonly number[]): number[] {
  const order = pValues.map((_, i) => i).sort((a, b) => pValues[a]! - pValues[b]!)
  const adjusted = new Array<number>(pValues.length)
  let running = 0
  order.forEach((index, rank) => {
    running = Math.max(running, Math.min(1, (pValues.length - rank) * pValues[index]!))
    adjusted[index] = running
  })
  return adjusted
}

/**
 * Compact letters by insert-and-absorb: one column for all; each pair that differs splits every column that holds both;
 * columns inside others go.
 * @param n arms in the order of their means; `differs` pairs of positions. Source: letters.
 */
export function compactLetters(n: number, differs: readonly (readonly [number, number])[]): string[] {
  let columns: Set<number>[] = [new Set(Array.from({ length: n }, (_, i) => i))]
  for (const [a, b] of differs) {
    columns = columns.flatMap((column) =>
      column.has(a) && column.has(b) ? [without(column, a), without(column, b)] : [column],
    )
    columns = columns.filter(
      (column, i) =>
        !columns.some((other, j) => j !== i && isInside(column, other) && (other.size > column.size || j < i)),
    )
  }
  columns.sort((a, b) => Math.min(...a) - Math.min(...b))
  return Array.from({ length: n }, (_, i) => columns.map((column, c) => (column.has(i) ? letter(c) : '')).join(''))
}

const without = (column: Set<number>, one: number): Set<number> => new Set([...column].filter((value) => value !== one))
const isInside = (a: Set<number>, b: Set<number>): boolean => [...a].every((value) => b.has(value))
const letter = (index: number): string =>
  index < 26 ? String.fromCharCode(97 + index) : `${letter(Math.floor(index / 26) - 1)}${letter(index % 26)}`

/**
 * Ranks arms by geometric mean; no rank stands on a difference the data cannot show, and no words say more than the
 * adjusted p.
 */
export function rankArms(arms: readonly Arm[], { prior }: { prior?: PriorScatter } = {}): Ranking {
  const filled = arms
    .filter((arm) => arm.runs.length > 0)
    .map((arm) => ({
      arm,
      mean: Math.exp(arm.runs.reduce((sum, run) => sum + Math.log(run.gPerL), 0) / arm.runs.length),
    }))
  filled.sort((a, b) => a.mean - b.mean)
  const positions: [number, number][] = filled.flatMap((_, a) =>
    filled.slice(a + 1).map((__, i): [number, number] => [a, a + 1 + i]),
  )
  const looked = adjusted(positions.map(([a, b]) => compareArms([filled[a]!.arm, filled[b]!.arm], { prior })))
  const letters = compactLetters(
    filled.length,
    positions.filter((_, i) => looked[i]!.adjustedP !== null && looked[i]!.adjustedP! < LEVEL),
  )
  return {
    arms: filled.map(({ arm, mean }, i) => ({
      name: arm.name,
      geometricMeanGPerL: mean,
      n: arm.runs.length,
      letters: letters[i]!,
    })),
    pairs: positions.map(([a, b], i) => ({ arms: [filled[a]!.arm.name, filled[b]!.arm.name], ...looked[i]! })),
  }
}

/** Adjusted for how many they are; what is not shown any more is not said either. */
function adjusted(verdicts: readonly Verdict[]): Omit<Pair, 'arms'>[] {
  const byHolm = holm(verdicts.flatMap(({ p }) => p ?? []))
  let next = 0
  return verdicts.map((verdict) => {
    if (verdict.p === null) return { verdict, adjustedP: null }
    const adjustedP = byHolm[next++]!
    const isLost = adjustedP >= LEVEL && verdict.p < LEVEL
    if (!isLost) return { verdict, adjustedP }
    return { verdict: { ...verdict, says: 'none', text: notAmong(verdicts.length, verdict.ci95!) }, adjustedP }
  })
}
