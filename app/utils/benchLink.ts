/**
 * Between the page and the server: acts are sent in order by one tab at a time, changes come by one stream for all tabs
 * of a browser.
 */
import { FetchError } from 'ofetch'
import type { Bench, BenchPush, SamplesHad, SamplesPush, SentNow } from '#shared/bench'
import type { BenchAck } from '#shared/benchAct'
import type { FieldProblem } from '#shared/readProblems'
import { dropPhoto, keepPhoto, pendingActs, settleActs, waitingPhotos, type DeviceCard } from './benchDisk'
import { askServer, clockUnsure, retimed } from './benchTime'

export interface LinkEvents {
  /** Acts were acknowledged: the bench as it stands with them. */
  settled: (push: Bench | BenchPush, whole: boolean) => void
  /** The number of the last change that was heard; -1: none. */
  seen: () => number
  received: (push: Bench | BenchPush, whole: boolean) => void
  sampled: (pushes: SamplesPush[]) => void
  /** How far this tab has samples of what burns; and all of them, for a tab that has none. */
  had: () => SamplesHad
  have: () => SamplesPush[]
  /** Of the air at this moment. */
  sentNow: (now: SentNow) => void
  /** `why` it is not, where the server said it. */
  online: (is: boolean, why?: string) => void
  /** Another tab pressed or sent something. */
  elsewhere: (what: 'pressed' | 'settled') => void
}

const AT_ONCE = 100
/** The server answered, and did not take what was sent: it says why. */
class NotTaken extends Error {}
const REOPEN_MS = 500
const PAUSES_MS = [250, 500, 1000, 2000, 3000]
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('vulcanum-bench')
type Told =
  | { type: 'samples'; pushes: SamplesPush[] }
  | { type: 'wanted' }
  | { type: 'now'; now: SentNow }
  | { type: 'pressed' }
  | { type: 'settled' }
  | { type: 'push'; push: Bench | BenchPush; whole: boolean }
  | { type: 'online'; is: boolean; why?: string }
export const tellTabs = (told: Told) => channel?.postMessage(told)

/** One tab holds it at a time; where there are no locks, each does for itself: the server takes an act once. */
const alone = (name: string, work: () => Promise<void>): Promise<void> =>
  navigator.locks ? (navigator.locks.request(name, work) as Promise<void>) : work()

export function useBenchLink(device: () => DeviceCard, events: LinkEvents) {
  let wanted = false
  let pumping = false
  let failures = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let stopped = false

  /** Sends what waits, soon; once more if something came meanwhile. */
  function send() {
    wanted = true
    clearTimeout(timer)
    if (pumping) return
    pumping = true
    void alone('vulcanum-bench-send', pump)
      .catch(() => undefined)
      .finally(() => {
        pumping = false
        if (wanted && !stopped)
          timer = setTimeout(send, failures === 0 ? 0 : PAUSES_MS[Math.min(failures, PAUSES_MS.length) - 1])
      })
  }

  async function pump() {
    while (wanted && !stopped) {
      wanted = false
      try {
        await sendActs()
        await sendPhotos()
        failures = 0
        events.online(true)
      } catch (error) {
        failures++
        wanted = true
        const why = error instanceof NotTaken ? error.message : undefined
        events.online(false, why)
        tellTabs({ type: 'online', is: false, why })
        return
      }
    }
  }

  async function sendActs() {
    for (;;) {
      const waiting = (await pendingActs()).slice(0, AT_ONCE)
      if (waiting.length === 0) return
      if (clockUnsure()) await askServer()
      const acts = waiting.map(({ pending }) => retimed(pending.act))
      const answer = await $fetch<{
        acks: BenchAck[]
        bench: Bench | BenchPush | null
        whole: boolean
        problems?: FieldProblem[]
      }>('/api/bench/acts', {
        method: 'POST',
        body: { device: device(), acts, seen: events.seen() },
        retry: 0,
        timeout: 15_000,
        ignoreResponseError: true,
      })
      const why = answer?.problems?.[0]?.text ?? 'The server did not take them.'
      if (!Array.isArray(answer?.acks)) throw new NotTaken(why)
      const settled = answer.acks
        .map((ack) => ({ ack, at: waiting.find(({ pending }) => pending.act.id === ack.id) }))
        .filter((one) => one.at !== undefined)
      const refused = settled
        .filter(({ ack }) => ack.as === 'refused' || ack.as === 'conflict')
        .map(({ ack, at }) => ({ ack, act: at!.pending.act, lane: at!.pending.preview?.lane ?? null }))
      await settleActs(
        settled.map(({ at }) => at!.key),
        refused,
      )
      if (answer.bench) events.settled(answer.bench, answer.whole)
      tellTabs({ type: 'settled' })
      if (settled.length < waiting.length) throw new NotTaken(why)
    }
  }

  async function sendPhotos() {
    for (const photo of (await waitingPhotos()).filter((one) => one.refused === null)) {
      const { id, runId, atMs, bytes } = photo
      try {
        await $fetch(`/api/photos/${id}`, {
          method: 'PUT',
          query: { owner: 'run', ownerId: runId, ...(atMs === null ? {} : { atMs }) },
          body: bytes,
          headers: { 'content-type': 'application/octet-stream' },
          retry: 0,
          timeout: 60_000,
        })
        await dropPhoto(id)
      } catch (error) {
        const status = error instanceof FetchError ? (error.statusCode ?? 0) : 0
        if (status < 400 || status >= 500) throw error
        // Kept here, and said; it does not hold up the others.
        await keepPhoto({
          ...photo,
          refused:
            ((error as FetchError).data as { problems?: { text: string }[] } | undefined)?.problems?.[0]?.text ??
            'The server refused it.',
        })
      }
    }
  }

  /** The stream is one tab's; it tells the others. When that tab goes, the next takes it up. */
  function listen() {
    void alone(
      'vulcanum-bench-stream',
      () =>
        new Promise<void>((resolve) => {
          let source: EventSource | null = null
          let heard = false
          const open = () => {
            if (stopped) return resolve()
            source = new EventSource(
              `/api/bench/stream?seen=${events.seen()}&had=${encodeURIComponent(JSON.stringify(events.had()))}`,
            )
            heard = false
            const on = (name: string, whole: boolean) =>
              source!.addEventListener(name, (event) => {
                const push = JSON.parse((event as MessageEvent<string>).data) as Bench | BenchPush
                events.received(push, whole)
                tellTabs({ type: 'push', push, whole })
                if (!heard) back(true)
                heard = true
              })
            source.addEventListener('samples', (event) => {
              const pushes = JSON.parse((event as MessageEvent<string>).data) as SamplesPush[]
              events.sampled(pushes)
              tellTabs({ type: 'samples', pushes })
            })
            source.addEventListener('now', (event) => {
              const now = JSON.parse((event as MessageEvent<string>).data) as SentNow
              events.sentNow(now)
              tellTabs({ type: 'now', now })
            })
            on('bench', true)
            on('change', false)
            source.onerror = () => {
              // Opened anew and not by itself, to say how far it had heard.
              source?.close()
              back(false)
              setTimeout(open, REOPEN_MS)
            }
          }
          const back = (is: boolean) => {
            events.online(is)
            tellTabs({ type: 'online', is })
            if (is) send()
          }
          open()
          stopStream = () => {
            source?.close()
            resolve()
          }
        }),
    )
  }
  /** Null: the stream is another tab's. */
  let stopStream: (() => void) | null = null

  /** The tab with the stream tells one that was opened later. */
  function tellWhatIsHere() {
    if (stopStream !== null) tellTabs({ type: 'samples', pushes: events.have() })
  }
  function onTold({ data }: MessageEvent<Told>) {
    if (data.type === 'push') events.received(data.push, data.whole)
    else if (data.type === 'online') events.online(data.is, data.why)
    else if (data.type === 'samples') events.sampled(data.pushes)
    else if (data.type === 'now') events.sentNow(data.now)
    else if (data.type === 'wanted') tellWhatIsHere()
    else events.elsewhere(data.type)
    if (data.type === 'pressed') send()
  }

  return {
    send,
    start() {
      channel?.addEventListener('message', onTold)
      window.addEventListener('online', send)
      tellTabs({ type: 'wanted' })
      listen()
      send()
    },
    stop() {
      stopped = true
      clearTimeout(timer)
      channel?.removeEventListener('message', onTold)
      window.removeEventListener('online', send)
      stopStream?.()
    },
  }
}
