/** The order in which a study's runs are burned: drawn by lot, so that what drifts leans to no arm. */
import { seededRandom, type Random } from '../simulate/random'
import type { Design, DrawnRun, Level } from './study'

/** Levels that stand together, and in how many blocks. */
interface Group {
  levelIds: readonly (string | null)[]
  blocks: number
}
type Cell = Omit<DrawnRun, 'block'>

const BEGINNING = 32

/**
 * Blocks of one run of each arm, shuffled, every second one the reverse of the one before: what drifts evenly leans to
 * no arm (A, B, B, A). Settings and volumes are shuffled within each block. Fan steps are grouped and shuffled, with the
 * calm runs first and last; air temperatures stand as they are given. The same seed, the same order.
 * Source: commonPractice.
 */
export function drawOrder({ armIds, levels, replicates }: Design, seed: number): DrawnRun[] {
  const random = seededRandom(seed)
  // Seeds that lie close begin alike.
  for (let i = 0; i < BEGINNING; i++) random.uniform()
  const runs: DrawnRun[] = []
  let block = 0
  for (const { levelIds, blocks } of groupsOf(levels, replicates, random)) {
    const cells = levelIds.flatMap((levelId) => armIds.map((armId) => ({ armId, levelId })))
    for (const order of alternating(cells, blocks, random)) {
      runs.push(...order.map((cell) => ({ ...cell, block })))
      block++
    }
  }
  return runs
}

function groupsOf(levels: readonly Level[], blocks: number, random: Random): Group[] {
  const [first] = levels
  if (first === undefined) return [{ levelIds: [null], blocks }]
  if (first.of === 'wind') return ofWinds(levels, blocks, random)
  if (first.of === 'air') return levels.map(({ id }) => ({ levelIds: [id], blocks }))
  return [{ levelIds: levels.map(({ id }) => id), blocks }]
}

/** Calm first and last: what changed over the day shows in it. */
function ofWinds(levels: readonly Level[], blocks: number, random: Random): Group[] {
  const windOf = (level: Level) => (level.of === 'wind' ? level.windMS : 0)
  const calmest = levels.reduce((least, level) => (windOf(level) < windOf(least) ? level : least))
  const steps = levels.filter((level) => level !== calmest).map(({ id }) => ({ levelIds: [id], blocks }))
  const calm = (some: number): Group[] => (some > 0 ? [{ levelIds: [calmest.id], blocks: some }] : [])
  return [...calm(Math.ceil(blocks / 2)), ...shuffled(steps, random), ...calm(Math.floor(blocks / 2))]
}

/** Two cells take turns all the way; of more, each pair of blocks is drawn anew. */
function alternating(cells: readonly Cell[], blocks: number, random: Random): Cell[][] {
  const orders: Cell[][] = []
  for (let i = 0; i < blocks; i++) {
    const before = orders.at(-1)
    const isTurn = before !== undefined && (i % 2 === 1 || cells.length <= 2)
    orders.push(isTurn ? [...before].reverse() : shuffled(cells, random))
  }
  return orders
}

/** Fisher and Yates's shuffle. */
function shuffled<T>(values: readonly T[], random: Random): T[] {
  const order = [...values]
  for (let i = order.length - 1; i > 0; i--) {
    const other = Math.floor(random.uniform() * (i + 1))
    ;[order[i], order[other]] = [order[other]!, order[i]!]
  }
  return order
}
