/** Two lots of runs held against each other, and what else differs between them. */
import type { Arm } from '../statistics/arms'
import { brieflyOf, differenceOf, type Brief } from '../statistics/compareArms'
import { likeLots, type Compared, type ComparedLot, type LikeWithLike } from '../statistics/likeWithLike'
import type { PriorScatter } from '../statistics/scatter'
import type { ComparedFacts } from './facts'

export interface NamedFacts {
  name: string
  facts: readonly ComparedFacts[]
}

export const armOf = (name: string, facts: readonly ComparedFacts[], blocks: ReadonlyMap<string, string>): Arm => ({
  name,
  runs: facts.map((one) => ({ ...one, block: blocks.get(one.id) })),
})

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

/** Two lots of runs against each other, without words. */
export const ratioOf = (arms: readonly [NamedFacts, NamedFacts], prior: PriorScatter): number | null =>
  differenceOf(armsOf(arms), { prior }).ratio

/** Which block a run is in hangs on its own arm alone. */
const runsOfFacts = new WeakMap<readonly ComparedFacts[], Arm['runs']>()
function ownArm({ name, facts }: NamedFacts): Arm {
  const runs = runsOfFacts.get(facts) ?? armOf(name, facts, blocksOf([facts])).runs
  runsOfFacts.set(facts, runs)
  return { name, runs }
}
const armsOf = ([first, second]: readonly [NamedFacts, NamedFacts]): [Arm, Arm] => [ownArm(first), ownArm(second)]

const comparedOfFacts = new WeakMap<readonly ComparedFacts[], ComparedLot['runs']>()
function comparedRuns(facts: readonly ComparedFacts[]): ComparedLot['runs'] {
  const runs = comparedOfFacts.get(facts) ?? facts.map(({ values }) => ({ normalised: true, values }))
  comparedOfFacts.set(facts, runs)
  return runs
}

/** Two lots of runs against each other, and what else differs between them. */
export function twoArms(
  arms: readonly [NamedFacts, NamedFacts],
  { asked, prior, asUsed = false }: { asked: readonly Compared[]; prior: PriorScatter; asUsed?: boolean },
): { verdict: Brief; like: LikeWithLike } {
  const lots = arms.map(({ name, facts }) => ({ arm: name, runs: comparedRuns(facts) }))
  return { verdict: brieflyOf(armsOf(arms), { prior }), like: likeLots(lots, asked, { asUsed }) }
}
