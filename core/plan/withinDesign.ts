/** How far an order may be changed by hand without spoiling what it was drawn for. */
import type { DrawnRun, Level } from './study'

const RUN_TOGETHER = 'A block is one run of each arm and stays together: move it whole, or change the order within it.'
const LEVEL_TOGETHER = 'Fan steps stay together, the calm runs first and last.'

/** Why runs may not be burned in this order; null: they may. */
export function brokenDesign(runs: readonly DrawnRun[], levels: readonly Level[]): string | null {
  if (!isTogether(runs.map(({ block }) => String(block)))) return RUN_TOGETHER
  if (levels[0]?.of !== 'wind') return null
  const ids = runs.map(({ levelId }) => String(levelId))
  const calmest = levels.reduce((least, level) => (windOf(level) < windOf(least) ? level : least))
  const ends = ids.findIndex((id) => id !== calmest.id)
  const inner = ends < 0 ? [] : ids.slice(ends, ids.findLastIndex((id) => id !== calmest.id) + 1)
  return isTogether(inner) && !inner.includes(calmest.id) ? null : LEVEL_TOGETHER
}

const windOf = (level: Level): number => (level.of === 'wind' ? level.windMS : 0)

/** Alike ones stand beside each other. */
function isTogether(keys: readonly string[]): boolean {
  const begun = keys.filter((key, i) => key !== keys[i - 1])
  return new Set(begun).size === begun.length
}
