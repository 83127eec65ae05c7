/** Many seeded benches of few runs each: how often a difference is called that is none, and how often intervals hold. */
import { describe, expect, it } from 'vitest'
import { placesOf } from '../../core/compare/places'
import { seededRandom } from '../../core/simulate/random'
import { brieflyOf } from '../../core/statistics/compareArms'
import { orderArms } from '../../core/statistics/manyArms'
import { proofs } from '../proofs'

const BENCHES = proofs(1000)
/** The usual scatter of a burn, and twice that. */
const USUAL = 0.04
/** Of so many benches a share is seen no finer than two standard errors. */
const seen = (share: number): number => 2 * Math.sqrt((share * (1 - share)) / BENCHES)

/** Runs about a figure: two to six of them. */
function burned(random: ReturnType<typeof seededRandom>, gPerL: number, sd: number) {
  const n = 2 + Math.floor(random.uniform() * 5)
  return Array.from({ length: n }, () => ({ gPerL: gPerL * Math.exp(sd * random.normal()), uRandom: 0.005 * gPerL }))
}

function shareOf(of: (random: ReturnType<typeof seededRandom>) => boolean, seed: number): number {
  let count = 0
  for (let bench = 0; bench < BENCHES; bench++) if (of(seededRandom(seed + bench))) count++
  return count / BENCHES
}

describe(`${BENCHES} seeded benches of two to six runs each`, () => {
  const pair = (ratio: number, sd: number) => (random: ReturnType<typeof seededRandom>) =>
    brieflyOf([
      { name: 'A', runs: burned(random, 20, sd) },
      { name: 'B', runs: burned(random, 20 * ratio, sd) },
    ])

  it('a planted nought is called a difference in at most 6 %', () => {
    const called = shareOf((random) => ['less', 'more'].includes(pair(1, USUAL)(random).says), 1)
    expect(called).toBeLessThanOrEqual(0.06 + (BENCHES < 1000 ? seen(0.05) : 0))
  })

  it('a planted 27 % is held by its interval in 92 to 98 %; at twice the usual scatter in 90 %', () => {
    const holds = (sd: number) => (random: ReturnType<typeof seededRandom>) => {
      const [low, high] = pair(0.73, sd)(random).ci95!
      return low <= 0.73 && 0.73 <= high
    }
    const [usual, twice] = [shareOf(holds(USUAL), 100_001), shareOf(holds(2 * USUAL), 200_001)]
    expect(usual).toBeGreaterThanOrEqual(0.92 - (BENCHES < 1000 ? seen(0.95) : 0))
    expect(usual).toBeLessThanOrEqual(0.98 + (BENCHES < 1000 ? seen(0.95) : 0))
    expect(twice).toBeGreaterThanOrEqual(0.9 - (BENCHES < 1000 ? seen(0.9) : 0))
  })

  it('of rankings of five alike at most 6 % show any place that is none', () => {
    const wrong = shareOf((random) => {
      const arms = ['a', 'b', 'c', 'd', 'e'].map((name) => ({ name, runs: burned(random, 20, USUAL) }))
      return placesOf(orderArms(arms)).some(({ from, to }) => from !== 1 || to !== 5)
    }, 300_001)
    expect(wrong).toBeLessThanOrEqual(0.06 + (BENCHES < 1000 ? seen(0.05) : 0))
  })
})
