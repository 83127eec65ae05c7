/** How one run scatters, for a plan: the set-up's own runs say it, else the bench's, else what is usual. */
import { ENOUGH, type PriorScatter } from '../statistics/scatter'

export interface PlanScatter {
  /** Of one run, relative. */
  sd: number
  from: 'own' | 'bench' | 'usual'
  runs: number
}

/**
 * @param means of the arms, with the relative scatter of their runs; pooled where one has four runs or more
 * @param prior the bench's own scatter for tests of this kind, or the usual one
 * Source: pooled.
 */
export function planScatter(means: readonly { n: number; sd: number | null }[], prior: PriorScatter): PlanScatter {
  const own = means.flatMap(({ n, sd }) => (sd !== null && sd > 0 && n >= ENOUGH ? [{ n, sd }] : []))
  const freedom = own.reduce((sum, { n }) => sum + n - 1, 0)
  if (freedom === 0) return { sd: prior.sd, from: prior.isAssumed ? 'usual' : 'bench', runs: 0 }
  const squares = own.reduce((sum, { n, sd }) => sum + (n - 1) * sd ** 2, 0)
  return { sd: Math.sqrt(squares / freedom), from: 'own', runs: own.reduce((sum, { n }) => sum + n, 0) }
}
