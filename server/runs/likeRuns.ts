/** Which of picked runs can be held against each other, and which of them belong together. */
import { ofOneTest } from '../../core/compare/oneTest'
import type { RunAnswer } from '../../core/formats/answer'
import { formatNumber } from '../../core/quantity/format'
import { conventionsOf } from '../../shared/runOptions'
import type { RunComparison } from '../../shared/runComparison'
import type { FoundRun } from './repository/findRuns'

export interface Taken {
  run: FoundRun
  answer: RunAnswer
}
export type LeftOut = RunComparison['leftOut'][number]

export const outOf = ({ record }: FoundRun, why: string): LeftOut => ({ id: record.id, setup: record.setup, why })

/** Those of the commonest test, and why the others are not taken. */
export function likeRuns(able: readonly Taken[]): { taken: Taken[]; others: LeftOut[] } {
  const { taken, ofOtherTests, ofOtherVolumes } = ofOneTest(able, testOf)
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
const volumeText = ({ answer }: Taken): string => `${formatNumber(answer.litres ?? 0, 2)} L`
