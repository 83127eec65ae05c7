/** The tabs of one browser: what one tells the others, and what only one of them does at a time. */
import type { Bench, BenchPush, SamplesPush, SentNow } from '#shared/bench'

export type Told =
  | { type: 'samples'; pushes: SamplesPush[] }
  | { type: 'wanted' }
  | { type: 'now'; now: SentNow }
  | { type: 'pressed' }
  | { type: 'settled' }
  | { type: 'push'; push: Bench | BenchPush; whole: boolean }
  | { type: 'online'; is: boolean; why?: string }

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('vulcanum-bench')
export const tellTabs = (told: Told) => channel?.postMessage(told)

/** @returns to be called when no more is to be heard */
export function hearTabs(heard: (told: Told) => void): () => void {
  const onMessage = ({ data }: MessageEvent<Told>) => heard(data)
  channel?.addEventListener('message', onMessage)
  return () => channel?.removeEventListener('message', onMessage)
}

/** One tab holds it at a time; where there are no locks, each does for itself: the server takes an act once. */
export const alone = (name: string, work: () => Promise<void>): Promise<void> =>
  navigator.locks ? (navigator.locks.request(name, work) as Promise<void>) : work()
