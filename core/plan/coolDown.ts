/** How long hot hardware is left to cool before the next run. */
import { squaresOf } from '../statistics/arms'

export interface Wait {
  s: number
  /** Standard uncertainty [s]. */
  u: number
  /** Earlier waits, Newton's law, or what is usual. */
  from: 'waits' | 'newton' | 'estimate'
}

export interface CoolingBody {
  /** Heat capacity of what cools [J/K], with its standard uncertainty. */
  capacityJPerK: number
  capacityU: number
  lossWPerK: number
  lossU: number
}

/**
 * t = (C/K_loss)·ln((T_hot − T_air)/ΔT_limit), Newton's law; its uncertainty by C and K_loss.
 * @param withinK how much warmer than the air it may still be, > 0 [K]
 * Source: newton. Example: 140 J/K, 0.2 W/K, from 90 °C in air of 10 °C to within 3 K: 2 298 s.
 */
export function coolDownWait(body: CoolingBody, at: { hotC: number; airC: number; withinK: number }): Wait {
  const excess = (at.hotC - at.airC) / at.withinK
  if (excess <= 1) return { s: 0, u: 0, from: 'newton' }
  const s = (body.capacityJPerK / body.lossWPerK) * Math.log(excess)
  return {
    s,
    u: s * Math.hypot(body.capacityU / body.capacityJPerK, body.lossU / body.lossWPerK),
    from: 'newton',
  }
}

/** Fewer say little of the next. Source: estimate. */
const FEWEST_WAITS = 3

/**
 * Of the waits that were enough before, from flame out to the next lighting of hardware that was cool [s]: their mean.
 * Null: fewer than three.
 */
export function learntWait(waitsS: readonly number[]): Wait | null {
  const n = waitsS.length
  if (n < FEWEST_WAITS) return null
  const s = waitsS.reduce((sum, one) => sum + one, 0) / n
  return { s, u: Math.sqrt((squaresOf(waitsS) / (n - 1)) * (1 + 1 / n)), from: 'waits' }
}
