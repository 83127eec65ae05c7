/** What questions take of the runs of one mean, summed up: kept with the mean, so that few questions read its runs. */
import { meanOf, sumsOf, type Arm, type ArmSums, type SummedArm } from '../statistics/arms'
import { setupMean } from '../statistics/setupMean'
import { NORMAL_95 } from '../statistics/student'
import type { Column } from '../statistics/conditionColumns'
import { COMPARED, lotOf, type Compared, type ComparedLot } from '../statistics/likeWithLike'
import type { ComparedFacts } from './facts'

/** Middle of what was measured to the boil, fuel [g] and time [s]; null: none was read. */
export interface AsMeasured {
  fuelG: number | null
  boilS: number | null
}

export interface LotSums extends ArmSums {
  columns: Readonly<Record<Compared, Column>>
  asMeasured: AsMeasured
  /** Its geometric mean with 95 % of it, and that of its times to the boil [s]; null: no time is known. */
  middle: { mean: number; low: number; high: number }
  timeS: number | null
  /** Heat in a gram of its fuel [kJ]; null: not known, or not one. */
  heatKJPerG: number | null
  /** Its runs; of very many, none. */
  ids: readonly string[]
}

/** A question of more runs does not say which of them moved it. */
export const MOST_TOLD = 200

/** A lot of runs by its name. */
export interface NamedLot extends SummedArm {
  sums: LotSums
}
/** One whose runs are at hand. */
export interface NamedFacts extends NamedLot {
  facts: readonly ComparedFacts[]
}

const sumsOfFacts = new WeakMap<readonly ComparedFacts[], LotSums>()
/** Worked out once for the same facts, as long as they are held. */
export function lotSums(facts: readonly ComparedFacts[]): LotSums {
  const sums = sumsOfFacts.get(facts) ?? summedUp(facts)
  sumsOfFacts.set(facts, sums)
  return sums
}

function summedUp(facts: readonly ComparedFacts[]): LotSums {
  const lot = lotOf(
    '',
    facts.map(({ values }) => ({ normalised: true, values })),
  )
  return {
    ...sumsOf(armOf('', facts)),
    columns: Object.fromEntries(COMPARED.map((what) => [what, lot.columnOf(what)])) as Record<Compared, Column>,
    asMeasured: measuredBy(facts),
    middle: middleOf(facts),
    timeS: timeOf(facts),
    heatKJPerG: facts.every((one) => one.heatKJPerG === facts[0]!.heatKJPerG) ? facts[0]!.heatKJPerG : null,
    ids: facts.length > MOST_TOLD ? [] : facts.map(({ id }) => id),
  }
}

/** Whether two lots are burned in pairs hangs on each one's own blocks. */
const armOf = (name: string, facts: readonly ComparedFacts[]): Arm => {
  const blocks = blocksOf([facts])
  return { name, runs: facts.map((one) => ({ ...one, block: blocks.get(one.id) })) }
}

/**
 * Runs of two arms by one person at one place on one day belong together, matched in the order of their times, before
 * any figure is seen: by run, the block it is in. An arm that has more of them there has some without a partner.
 */
export function blocksOf(
  arms: readonly (readonly Pick<ComparedFacts, 'id' | 'startedAt' | 'day'>[])[],
): Map<string, string> {
  const blocks = new Map<string, string>()
  for (const arm of arms) {
    const taken = new Map<string, number>()
    for (const { id, day } of [...arm].sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1))) {
      if (day === null) continue
      const n = taken.get(day) ?? 0
      taken.set(day, n + 1)
      blocks.set(id, `${day} ${n}`)
    }
  }
  return blocks
}

/** By the heat burned in place of grams; null: it is not known. */
export function inHeat({ mean, middle, ...sums }: LotSums): LotSums | null {
  if (sums.heatKJPerG === null) return null
  const scale = sums.heatKJPerG / 1000
  return {
    ...sums,
    mean: mean + Math.log(scale),
    middle: { mean: middle.mean * scale, low: middle.low * scale, high: middle.high * scale },
    blocked: sums.blocked && { ...sums.blocked, logs: sums.blocked.logs.map((log) => log + Math.log(scale)) },
  }
}

function middleOf(facts: readonly ComparedFacts[]): LotSums['middle'] {
  const runs = facts.map((one) => ({ ...one, uReadingRandom: one.uRandom, uRandom: one.u }))
  const { meanGPerL, meanU, ci95 } = setupMean(runs)
  const half = (NORMAL_95 * meanU) / meanGPerL
  const [low, high] = ci95 ?? [meanGPerL * Math.exp(-half), meanGPerL * Math.exp(half)]
  return { mean: meanGPerL, low, high }
}

function timeOf(facts: readonly ComparedFacts[]): number | null {
  const logs = facts.flatMap(({ timeS }) => (timeS === null ? [] : Math.log(timeS)))
  return logs.length === 0 ? null : Math.exp(meanOf(logs))
}

export const namedFacts = (name: string, facts: readonly ComparedFacts[]): NamedFacts => ({
  name,
  facts,
  sums: lotSums(facts),
})

export function measuredBy(facts: readonly ComparedFacts[], middle = meanOf): AsMeasured {
  const of = (values: readonly number[]) => (values.length === 0 ? null : middle(values))
  return { fuelG: of(facts.flatMap((one) => one.fuelG ?? [])), boilS: of(facts.flatMap((one) => one.boilS ?? [])) }
}

/** Every figure of such a lot is fully normalised. */
export const comparedLot = ({ name, sums }: NamedLot): ComparedLot => ({
  arm: name,
  normalised: true,
  columnOf: (what) => sums.columns[what],
})
