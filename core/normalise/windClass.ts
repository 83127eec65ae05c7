/** What wind does to a kind of burner that has no series of its own. Source: commonPractice. */
import type { Head, Screen } from '../formats/document'

/** ln(q0/ṁ) falls by γ per m/s of wind. */
const CLASS_GAMMA = { sheltered: 0.21, exposed: 0.39, cone: 0.05 } as const
/** One standard deviation of the class, as a factor. */
export const CLASS_SPREAD = 1.6
/** Nobody tested beyond. */
export const CLASS_REACH_MS = 4

export function classGamma({ head, screen }: { head: Head | null; screen: Screen | null }): number | null {
  if (screen === 'cone') return CLASS_GAMMA.cone
  return head === null ? null : CLASS_GAMMA[head]
}

/**
 * Where the calm figure may lie when the wind rung is open [g/L]: between no wind and the class's strongest, or, where
 * wind was
 * measured, within one spread of the class. For the drawing only: it enters no figure.
 */
export function windGhost(gPerL: number, windMS: number | null, gamma: number | null): [number, number] | null {
  if (gamma === null) return null
  if (windMS === null) return [gPerL * Math.exp(-gamma * CLASS_REACH_MS * 0.5), gPerL]
  const v = Math.min(windMS, CLASS_REACH_MS)
  return [gPerL * Math.exp(-gamma * CLASS_SPREAD * v), gPerL * Math.exp((-gamma / CLASS_SPREAD) * v)]
}
