/** Seeded randomness for the simulator: the same seed, the same stove. */
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'

export interface Random {
  /** In [0, 1). */
  uniform: () => number
  /** Mean 0, standard deviation 1 (Box–Muller). */
  normal: () => number
}

export function seededRandom(seed: number): Random {
  const generator = xoroshiro128plus(seed)
  const uniform = () => uniformFloat64(generator)
  return { uniform, normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()) }
}
