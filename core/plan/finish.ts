/** When a day will be over, with how sure. */
import { seededRandom } from '../simulate/random'
import type { RunToSchedule } from './runHolds'
import type { DayToSchedule } from './burningTimes'
import { scheduleDay } from './scheduleDay'

export interface UncertainRun extends RunToSchedule {
  /** Standard deviation of the logarithm of its burning time. */
  spread: number
  /** Of each cool-down, relative. */
  coolSpread: number
}

export interface Finish {
  /** Half of such days are over by then, and nine in ten [ms since 1970]. */
  medianMs: number
  nineInTenMs: number
}

const DRAWS = 100

/**
 * The same order burned many times over, each run as long as it may be: what waits for what is worked out anew each
 * time. Null: nothing is to be burned.
 */
export function finishOf(runs: readonly UncertainRun[], day: DayToSchedule, seed: number): Finish | null {
  if (runs.length === 0) return null
  const random = seededRandom(seed)
  // What fits at its median is burned to its end, however late.
  const openDay = { ...day, toMs: Infinity, people: day.people.map((person) => ({ ...person, toMs: Infinity })) }
  const openWindows = openDay.windows.map((window) => ({ ...window, toMs: Infinity }))
  const ends = Array.from({ length: DRAWS }, () => {
    const drawn = runs.map((run) => drawnOf(run, random.normal))
    return scheduleDay(drawn, { ...openDay, windows: openWindows }).endMs ?? day.fromMs
  }).sort((a, b) => a - b)
  return { medianMs: ends[DRAWS / 2]!, nineInTenMs: ends[DRAWS * 0.9]! }
}

/** A run that stands has its times; others are longer or shorter than their median. */
function drawnOf(run: UncertainRun, normal: () => number): UncertainRun {
  const longer = Math.exp(run.spread * normal())
  const slower = Math.max(0, 1 + run.coolSpread * normal())
  return {
    ...run,
    burnS: run.burnS * longer,
    weighAfterS: run.weighAfterS * slower,
    hardware: run.hardware.map((part) => ({ ...part, coolS: part.coolS * slower })),
    windows: null,
  }
}
