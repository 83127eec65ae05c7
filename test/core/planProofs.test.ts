/** Many studies burned: what is planned for is found as often as was said, and what is not there is not. */
import { describe, expect, it } from 'vitest'
import { drawOrder } from '../../core/plan/drawOrder'
import { seededRandom, type Random } from '../../core/simulate/random'
import { brieflyOf } from '../../core/statistics/compareArms'
import { shownByBlocks } from '../../core/statistics/power'
import { proofs } from '../proofs'

const STUDIES = proofs(4000)
const SCATTER = 0.04
/** Over the day: a warming bench, an emptying can. */
const DRIFT = 0.03
/** Of so many studies a share is seen no finer than two standard errors. */
const seen = (share: number): number => (STUDIES < 4000 ? 2 * Math.sqrt((share * (1 - share)) / STUDIES) : 0)

/** A study of A and B in blocks, over a day that drifts; B takes so much less. */
function burned(replicates: number, less: number, seed: number) {
  const random: Random = seededRandom(seed)
  for (let i = 0; i < 32; i++) random.uniform()
  const drift = DRIFT * random.normal()
  const order = drawOrder({ armIds: ['A', 'B'], levels: [], replicates }, seed)
  const runs = order.map(({ armId, block }, i) => {
    const ln = (armId === 'B' ? -Math.log1p(less) : 0) + (drift * i) / order.length + SCATTER * random.normal()
    return { armId, run: { gPerL: 20 * Math.exp(ln), uRandom: 0.02, block: String(block) } }
  })
  const arm = (name: string) => ({ name, runs: runs.flatMap(({ armId, run }) => (armId === name ? [run] : [])) })
  return brieflyOf([arm('A'), arm('B')])
}

const shareOf = (replicates: number, less: number) =>
  Array.from({ length: STUDIES }, (_, i) => burned(replicates, less, 7919 * (i + 1))).filter(
    ({ says }) => says === 'less' || says === 'more',
  ).length / STUDIES

describe(`${STUDIES} studies in blocks, burned over days that drift`, () => {
  for (const replicates of [4, 8])
    it(`of ${replicates} runs each find what so many show in 80 ± 3 %, and a planted nought in at most 7 %`, () => {
      expect(Math.abs(shareOf(replicates, shownByBlocks(replicates, SCATTER)) - 0.8)).toBeLessThanOrEqual(
        0.03 + seen(0.8),
      )
      expect(shareOf(replicates, 0)).toBeLessThanOrEqual(0.07 + seen(0.05))
    })
})
