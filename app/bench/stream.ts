/** The server's stream of changes: opened anew where it ends, from where this page had it. */
import type { Bench, BenchPush, SamplesHad, SamplesPush, SentNow } from '#shared/bench'

export interface StreamEvents {
  /** The number of the last change that was heard; -1: none. */
  seen: () => number
  /** How far this tab has samples of what burns. */
  had: () => SamplesHad
  received: (push: Bench | BenchPush, whole: boolean) => void
  sampled: (pushes: SamplesPush[]) => void
  /** Of the air at this moment. */
  sentNow: (now: SentNow) => void
  /** Whether the server is heard. */
  heard: (is: boolean) => void
}

const REOPEN_MS = 500

/** Listens as long as the page is there. */
export function listen(events: StreamEvents): void {
  const source = opened(events)
  source.onerror = () => {
    // Opened anew and not by itself, to say how far it had heard.
    source.close()
    events.heard(false)
    setTimeout(() => listen(events), REOPEN_MS)
  }
}

function opened(events: StreamEvents): EventSource {
  const had = encodeURIComponent(JSON.stringify(events.had()))
  const source = new EventSource(`/api/bench/stream?seen=${events.seen()}&had=${had}`)
  const on = <T>(name: string, take: (data: T) => void) =>
    source.addEventListener(name, (event) => take(JSON.parse((event as MessageEvent<string>).data) as T))
  let isHeard = false
  const take = (push: Bench | BenchPush, whole: boolean) => {
    events.received(push, whole)
    if (!isHeard) events.heard(true)
    isHeard = true
  }
  on<Bench>('bench', (bench) => take(bench, true))
  on<BenchPush>('change', (push) => take(push, false))
  on<SamplesPush[]>('samples', events.sampled)
  on<SentNow>('now', events.sentNow)
  return source
}
