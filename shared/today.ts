/** Today: the newest test day, what wants a decision, and what moved. */
import type { MeanOf } from '../core/formats/answer'
import type { RunLine } from './runRecord'

type SettleKind = 'impossible' | 'contradictory' | 'which' | 'unweighed' | 'doubtful' | 'stopped'
export interface ToSettle {
  run: RunLine
  revision: number
  kind: SettleKind
  words: string
}
/**
 * A mean of a set-up's runs that the newest day moved, or its place among those it may be held against. At the Standard
 * bench [g/L].
 */
export interface Moved {
  setupId: string
  setup: string
  of: MeanOf
  n: number
  /** Means of one fuel, kind of test, end temperature and volume, this one too. */
  among: number
  was: { gPerL: number; rank: number } | null
  now: { gPerL: number; rank: number }
}
export interface Today {
  /** Null: nothing was burned yet. */
  day: { date: string; runs: RunLine[] } | null
  settle: ToSettle[]
  /** All that want one. */
  unsettled: number
  moved: Moved[]
}

/** What a run wants settled, with the sentence that asks; null where nothing. */
export function settleOf({ worstFlag, status, ribbon, ended }: RunLine): Pick<ToSettle, 'kind' | 'words'> | null {
  if (worstFlag?.severity === 'error')
    return worstFlag.text === 'impossible'
      ? { kind: 'impossible', words: 'its figure is impossible. Which reading slipped?' }
      : { kind: 'contradictory', words: 'its readings contradict each other.' }
  if (worstFlag?.text.endsWith('Which?')) return { kind: 'which', words: worstFlag.text }
  if (!ribbon.weighed) return { kind: 'unweighed', words: 'its fuel was not weighed. What was used?' }
  if (status === 'partly' && worstFlag) return { kind: 'doubtful', words: worstFlag.text }
  if (ended === 'stopped')
    return { kind: 'stopped', words: 'stopped from outside. Not a failure to boil; burn it again?' }
  return null
}
