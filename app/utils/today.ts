/** The test day that Today shows, and what wants a decision. */
import type { RunLine } from '#shared/runRecord'

export interface TestDay { runs: RunLine[], words: string, isToday: boolean, spanS: number }

/** The newest day with runs, by each run's own zone. */
export function latestDay(runs: readonly RunLine[], nowMs: number): TestDay | null {
  const newest = runs[0]
  if (!newest) return null
  const dayOf = (at: string | number, zone: string) => new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(new Date(at))
  const day = dayOf(newest.startedAt, newest.zone)
  const ofDay = runs.filter(run => dayOf(run.startedAt, run.zone) === day).reverse()
  const words = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: newest.zone }).format(new Date(newest.startedAt))
  return { runs: ofDay, words, isToday: dayOf(nowMs, newest.zone) === day, spanS: Math.max(60, ...ofDay.map(run => run.ribbon.endS)) * 1.02 }
}

/** What a run wants settled, in a sentence; null where nothing. */
export function settleSentence({ worstFlag, status, ribbon, ended }: RunLine): string | null {
  if (worstFlag?.severity === 'error') return worstFlag.text === 'impossible' ? 'its figure is impossible. Which reading slipped?' : 'its readings contradict each other.'
  if (worstFlag?.text.endsWith('Which?')) return worstFlag.text
  if (!ribbon.weighed) return 'its fuel was not weighed.'
  if (status === 'partly' && worstFlag) return worstFlag.text
  if (ended === 'stopped') return 'stopped from outside. Not a failure to boil; burn it again?'
  return null
}
