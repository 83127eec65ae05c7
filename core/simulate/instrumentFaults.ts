/** What an instrument shows, with its noise and what ails it on request. The physics it feels is the stove's alone. */
import type { Random } from './random'

/**
 * `value` as a faultless instrument would show it; `noise`: standard deviation of one reading, `step`: its resolution,
 * both in `unit`.
 */
export interface Reading {
  channel: string
  unit: string
  value: number
  noise: number
  step: number
}

export interface InstrumentFaults {
  /** Standard deviation in place of each reading's own; null: its own. */
  noise: number | null
  /** What it shows too much [unit/min], more with each minute. */
  driftPerMin: number
  /** The share of moments of which nothing is heard, 0 to 1. */
  dropoutShare: number
  /** From then on it shows what it showed; null: never. */
  stuckAfterS: number | null
  /** From then on ever fewer moments are heard, the last of them half a minute later; null: never. */
  batteryAfterS: number | null
}
export const FAULTLESS: InstrumentFaults = {
  noise: null,
  driftPerMin: 0,
  dropoutShare: 0,
  stuckAfterS: null,
  batteryAfterS: null,
}

const BATTERY_FADES_S = 30
/** Lost as the battery ends. */
const BATTERY_WORST_SHARE = 0.5

/**
 * An instrument switched on now. @returns what it shows after so many seconds by channel [unit of the reading]; null:
 * of this moment nothing is heard. Call it in the order of time.
 */
export function instrumentWith(
  faults: InstrumentFaults,
  random: Random,
): (seconds: number, readings: readonly Reading[]) => Map<string, number> | null {
  let shown = new Map<string, number>()
  return (seconds, readings) => {
    const fadingS = faults.batteryAfterS === null ? 0 : Math.max(0, seconds - faults.batteryAfterS)
    if (
      fadingS > BATTERY_FADES_S ||
      random.uniform() < faults.dropoutShare + BATTERY_WORST_SHARE * (fadingS / BATTERY_FADES_S)
    )
      return null
    const stuck = faults.stuckAfterS !== null && seconds > faults.stuckAfterS
    shown = new Map(
      readings.map(({ channel, value, noise, step }) => {
        const noisy = value + random.normal() * (faults.noise ?? noise) + faults.driftPerMin * (seconds / 60)
        return [channel, stuck ? (shown.get(channel) ?? stepped(noisy, step)) : stepped(noisy, step)]
      }),
    )
    return shown
  }
}
const stepped = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(6))
