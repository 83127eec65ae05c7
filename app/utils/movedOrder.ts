import type { PlannedLine } from '#shared/plan'

/** Ids of the runs with one moved up (−1) or down (1): within its block; at its end the whole block, past its neighbour. */
export function movedOrder(runs: readonly PlannedLine[], id: string, by: -1 | 1): string[] {
  const at = runs.findIndex((run) => run.id === id)
  const [here, there] = [runs[at], runs[at + by]]
  if (here === undefined || there === undefined) return runs.map((run) => run.id)
  if (here.block !== there.block) return withBlocksMoved(runs, here.block, by)
  const ids = runs.map((run) => run.id)
  ;[ids[at], ids[at + by]] = [there.id, here.id]
  return ids
}

function withBlocksMoved(runs: readonly PlannedLine[], block: number, by: -1 | 1): string[] {
  const blocks = [...new Set(runs.map((run) => run.block))]
  const at = blocks.indexOf(block)
  ;[blocks[at], blocks[at + by]] = [blocks[at + by]!, blocks[at]!]
  return blocks.flatMap((one) => runs.flatMap((run) => (run.block === one ? [run.id] : [])))
}
