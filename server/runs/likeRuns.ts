/** Which of picked runs can be held against each other, and which of them belong together. */
import type { RunAnswer } from '../../core/formats/answer'
import { byVolume } from '../../core/reduce/setupMeans'
import { DENSITY_20C } from '../../core/water/liquid'
import { formatNumber } from '../../core/quantity/format'
import { conventionsOf } from '../../shared/runOptions'
import type { RunComparison } from '../../shared/runComparison'
import { armKey } from './arms'
import { blockDay } from '../comparisons/comparedFacts'
import type { FoundRun } from './repository/findRuns'

export interface Taken {
  run: FoundRun
  answer: RunAnswer
}
export type LeftOut = RunComparison['leftOut'][number]

export const outOf = ({ record }: FoundRun, why: string): LeftOut => ({ id: record.id, setup: record.setup, why })

/** Those of the commonest kind of test and end, and of the commonest volume of these; the others, and why. */
export function ofOneTest(able: readonly Taken[]): { taken: Taken[]; others: LeftOut[] } {
  const [tests, ofOtherTests] = commonest(groupedBy(able, testOf))
  const [taken, ofOtherVolumes] = commonest(byVolume(tests.map((one) => ({ ...one, waterKg: waterOf(one) }))))
  const volume = taken[0] && volumeText(taken[0])
  return {
    taken,
    others: [
      ...ofOtherTests.map(({ run }) => outOf(run, 'its kind of test or its end is another than the others’')),
      ...ofOtherVolumes.map((one) => outOf(one.run, `it heated ${volumeText(one)}, and the others ${volume}`)),
    ],
  }
}

const testOf = ({ run }: Taken): string => {
  const { boil, targetC } = conventionsOf(run.method)
  return JSON.stringify([run.record.kind, boil === 'target' ? targetC : null])
}
const waterOf = ({ answer }: Taken): number => ((answer.litres ?? 0) / 1000) * DENSITY_20C
const volumeText = ({ answer }: Taken): string => `${formatNumber(answer.litres ?? 0, 2)} L`

/** The largest group, the first of as large ones; and all others. */
function commonest<T>(groups: readonly T[][]): [T[], T[]] {
  const most = groups.reduce<T[]>((a, b) => (b.length > a.length ? b : a), [])
  return [most, groups.filter((one) => one !== most).flat()]
}

function groupedBy<T>(all: readonly T[], keyOf: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>()
  for (const one of all) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one])
  return [...groups.values()]
}

/**
 * Runs of two arms by one person at one place on one day belong together, matched in the order of their times, before
 * any figure is seen: by run, the block it is in. An arm that has more of them there has some without a block.
 */
export function blocksOf(taken: readonly Taken[]): Map<string, string> {
  const blocks = new Map<string, string>()
  const stated = taken.filter((one) => blockDay(one.run) !== null)
  for (const day of groupedBy(stated, (one) => blockDay(one.run)!))
    for (const arm of groupedBy(day, ({ run }) => armKey(run)))
      [...arm]
        .sort((a, b) => a.run.record.startedAt.localeCompare(b.run.record.startedAt))
        .forEach((one, i) => blocks.set(one.run.record.id, `${blockDay(one.run)} ${i}`))
  return blocks
}
