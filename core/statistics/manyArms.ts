/** Many arms: which pairs differ when all are looked at, and letters that show it. */
import { sumsOf, type AnyArm } from './arms'
import { compareArms, LEVEL, pOf, type Difference, type Verdict } from './compareArms'
import type { PriorScatter } from './scatter'
import { notAmong, type Compared } from './verdictText'

interface PlacedPair {
  arms: [string, string]
  /** Adjusted for the number of pairs; null: too few runs. */
  adjustedP: number | null
}
interface Pair extends PlacedPair {
  verdict: Verdict
}

interface OrderedArm {
  name: string
  geometricMeanGPerL: number
  n: number
}
/** Arms that share a letter are not shown to differ. */
interface RankedArm extends OrderedArm {
  letters: string
}

/** Thriftiest first, without words or letters. */
export interface Order {
  arms: OrderedArm[]
  pairs: PlacedPair[]
}

export interface Ranking {
  arms: RankedArm[]
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
export function rankArms(
  arms: readonly AnyArm[],
  { prior, of }: { prior?: PriorScatter; of?: Compared } = {},
): Ranking {
  const filled = inOrder(arms)
  const verdicts = pairsOf(filled, (first, second) => compareArms([first, second], { prior, of }))
  const order = ordered(filled, verdicts)
  const letters = lettersOf(order)
  return {
    arms: order.arms.map((arm, i) => ({ ...arm, letters: letters[i]! })),
    pairs: order.pairs.map((pair, i): Pair => ({ ...pair, verdict: notMoreThan(pair.adjustedP, verdicts, i) })),
  }
}

/** The same without words and letters, of however many. */
export function orderArms(arms: readonly AnyArm[], { prior }: { prior?: PriorScatter } = {}): Order {
  const filled = inOrder(arms)
  return ordered(
    filled,
    pairsOf(filled, (first, second) => ({ p: pOf([first, second], { prior }) })),
  )
}

function lettersOf({ arms, pairs }: Order): string[] {
  const differs = positionsOf(arms.length).filter((_, i) => isShown(pairs[i]!))
  return compactLetters(arms.length, differs)
}

/** Of a pair among all of them. */
export const isShown = ({ adjustedP }: PlacedPair): boolean => adjustedP !== null && adjustedP < LEVEL

interface Filled {
  arm: AnyArm
  mean: number
}
const inOrder = (arms: readonly AnyArm[]): Filled[] =>
  arms
    .filter((arm) => sumsOf(arm).n > 0)
    .map((arm) => ({ arm, mean: Math.exp(sumsOf(arm).mean) }))
    .sort((a, b) => a.mean - b.mean)

const positionsOf = (n: number): [number, number][] =>
  Array.from({ length: n }, (_, a) => a).flatMap((a) =>
    Array.from({ length: n - a - 1 }, (_, i): [number, number] => [a, a + 1 + i]),
  )
const pairsOf = <T>(filled: readonly Filled[], compare: (first: AnyArm, second: AnyArm) => T): T[] =>
  positionsOf(filled.length).map(([a, b]) => compare(filled[a]!.arm, filled[b]!.arm))

/** With adjusted p of all pairs, in the order of `positionsOf`. */
function ordered(filled: readonly Filled[], differences: readonly HasP[]): Order {
  const adjustedP = adjusted(differences)
  return {
    arms: filled.map(({ arm, mean }) => ({ name: arm.name, geometricMeanGPerL: mean, n: sumsOf(arm).n })),
    pairs: positionsOf(filled.length).map(([a, b], i) => ({
      arms: [filled[a]!.arm.name, filled[b]!.arm.name],
      adjustedP: adjustedP[i]!,
    })),
  }
}
type HasP = Pick<Difference, 'p'>

/** Adjusted for how many they are; null: too few runs. */
function adjusted(differences: readonly HasP[]): (number | null)[] {
  const byHolm = holm(differences.flatMap(({ p }) => p ?? []))
  let next = 0
  return differences.map(({ p }) => (p === null ? null : byHolm[next++]!))
}

/** What is not shown any more among so many pairs is not said either. */
function notMoreThan(adjustedP: number | null, verdicts: readonly Verdict[], i: number): Verdict {
  const verdict = verdicts[i]!
  const isLost = adjustedP !== null && verdict.p !== null && adjustedP >= LEVEL && verdict.p < LEVEL
  return isLost ? { ...verdict, says: 'none', text: notAmong(verdicts.length, verdict.ci95!) } : verdict
}
