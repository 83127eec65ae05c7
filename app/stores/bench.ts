import { laneSeconds } from '#core/bench/laneTimes'
import { v7 as uuidv7 } from 'uuid'
import { applyAct } from '#shared/applyAct'
import { emptyBench, isBurning, lastPressed, nextEvent, outcomeOf, zeroOf, type MarkPayload } from '#core/run/benchStep'
import type { EventKind } from '#core/run/events'
import { EVENT_NAMES } from '#core/run/events'
import { formatClock } from '#core/quantity/format'
import type { Bench, BenchPush, Lane, SentNow } from '#shared/bench'
import { LANES, type BenchDeed, type LaneName } from '#shared/benchAct'
import type { MeasuredQuantity } from '#shared/measuredQuantity'

/**
 * The bench of this browser: what the server acknowledged, with what was pressed since on top. Shared with the other
 * tabs.
 */
export const useBench = defineStore('bench', () => {
  const { units } = usePreferences()
  const told = shallowRef<Bench>({ seq: -1, serverMs: 0, lanes: [] })
  const pending = shallowRef<PendingAct[]>([])
  const refused = shallowRef<RefusedAct[]>([])
  const photosWaiting = ref(0)
  /** Null: not known yet. */
  const online = ref<boolean | null>(null)
  /** What the server said of it; '': it did not answer. */
  const offlineWhy = ref('')
  const nowMs = ref(0)
  /** Grows with every push of samples: what shows the newest one watches it. */
  const sampled = ref(0)
  /** What instruments last said of the air. */
  const sentNow = shallowRef<SentNow>({})
  const device = shallowRef<DeviceCard>({ id: '', name: '' })
  const selected = ref<LaneName>('A')
  const said = ref('')
  const ready = ref(false)

  const lanes = computed<Lane[]>(() =>
    pending.value.reduce<Lane[]>(
      (all, { act, preview }) => applyAct(all, act, device.value.id, preview),
      told.value.lanes,
    ),
  )
  const burning = computed(() => lanes.value.some((lane) => isBurning(lane.state)))
  const freeLane = computed(() => LANES.find((name) => !lanes.value.some((lane) => lane.lane === name)) ?? null)
  const laneAt = (name: LaneName) => lanes.value.find((lane) => lane.lane === name) ?? null
  const waitingOf = (runId: string) => pending.value.filter((one) => one.act.runId === runId).length

  async function readPending() {
    pending.value = (await pendingActs()).map((one) => one.pending)
    refused.value = await refusedActs()
    photosWaiting.value = (await waitingPhotos()).length
  }
  /** Never backwards: an answer that was overtaken is dropped. */
  function take(bench: Bench) {
    if (bench.seq < told.value.seq) return
    void keepBench(bench, told.value)
    told.value = bench
  }
  function receive(push: Bench | BenchPush, whole: boolean) {
    take(whole ? (push as Bench) : merged(told.value, push as BenchPush))
  }
  let showing: ReturnType<typeof setTimeout> | null = null
  let shownAt = -Infinity
  const link = useBenchLink(() => device.value, {
    // The bench with them before they are let go of: a lane that was just set up would be gone for a moment, and what
    // is being typed on it.
    settled: (push, whole) => {
      receive(push, whole)
      void readPending()
    },
    seen: () => told.value.seq,
    received: receive,
    had: () => samplesHad(told.value.lanes.map((lane) => lane.runId)),
    have: () => samplesHere(told.value.lanes.map((lane) => lane.runId)),
    sampled: (pushes) => {
      takeSamples(pushes)
      // Seen a few times a second, however often they come: six lanes with four instruments each would draw at every
      // push.
      showing ??= setTimeout(
        () => {
          showing = null
          shownAt = performance.now()
          sampled.value++
        },
        Math.max(0, shownAt + SHOWN_EVERY_MS - performance.now()),
      )
    },
    sentNow: (now) => {
      sentNow.value = { ...sentNow.value, ...now }
    },
    online: (is, why) => {
      online.value = is
      offlineWhy.value = why ?? ''
    },
    elsewhere: (what) => void (what === 'pressed' ? readPending() : refetch().then(readPending)),
  })
  async function refetch() {
    try {
      take(await $fetch<Bench>('/api/bench', { retry: 0 }))
    } catch {
      // The stream will say it; what is pending stays shown.
    }
  }

  let starting: Promise<void> | null = null
  /** Reads this browser's store and begins to listen; once a page. */
  const start = () =>
    (starting ??= (async () => {
      await beginClock()
      // Before any lane is shown: a clock never begins at nothing after a reload.
      nowMs.value = benchNowMs()
      device.value = (await kept<DeviceCard>('device')) ?? (await newDevice())
      const before = await keptBench()
      if (before) told.value = { ...before, seq: -1 }
      await readPending()
      ready.value = true
      link.start()
      setInterval(() => {
        nowMs.value = benchNowMs()
      }, 100)
      void askServer().catch(() => undefined)
      setInterval(() => void askServer().catch(() => undefined), CLOCK_EVERY_MS)
    })())

  let turn: Promise<unknown> = Promise.resolve()
  /**
   * Kept in this browser, then shown, then sent. One after another, so that an undo finds the press before it; the
   * moment is the press's own.
   * @param what the deed, or how to find it when its turn comes; null: there is nothing to do
   */
  function press(
    runId: string,
    what: BenchDeed | (() => BenchDeed | null),
    preview: Lane | null = null,
  ): Promise<string | null> {
    const moment = momentOfPress()
    const id = uuidv7()
    const kept = turn.then(async () => {
      const deed = typeof what === 'function' ? what() : what
      if (deed === null) return null
      const pendingAct: PendingAct = { act: { id, runId, units: units.value, ...moment, deed }, preview }
      await keepAct(pendingAct)
      pending.value = [...pending.value, pendingAct]
      nowMs.value = Math.max(nowMs.value, moment.atMs)
      // Seen first: what sends reads the browser's store again, and would stand before the frame.
      afterPaint(() => {
        tellTabs({ type: 'pressed' })
        link.send()
      })
      return id
    })
    turn = kept.catch(() => undefined)
    return kept
  }
  const laneOf = (runId: string) => lanes.value.find((one) => one.runId === runId) ?? null

  async function mark(lane: Lane, kind: EventKind, payload: MarkPayload = {}): Promise<string | null> {
    const id = await press(lane.runId, { type: 'mark', kind, payload })
    const now = laneOf(lane.runId)
    const outcome = now && id ? outcomeOf(now.state, id) : null
    if (now)
      said.value =
        outcome?.as === 'double'
          ? `Lane ${lane.lane}: pressed twice, kept as one`
          : outcome?.as === 'already'
            ? `Lane ${lane.lane}: ${EVENT_NAMES[kind]} stands already; this press is kept beside it`
            : `Lane ${lane.lane}: ${EVENT_NAMES[kind]} at ${clockOf(now)}`
    return id
  }
  const clockOf = (lane: Lane) =>
    formatClock(laneSeconds(lane, Math.max(0, nowMs.value - (zeroOf(lane.state) ?? nowMs.value))))

  async function undo({ runId, lane }: Lane) {
    let words = ''
    await press(runId, () => {
      const last = lastPressed(laneOf(runId)?.state ?? emptyBench([]))
      words = last ? `Lane ${lane}: ${EVENT_NAMES[last.kind]} undone` : ''
      return last && { type: 'undo', ofId: last.id }
    })
    said.value = words
  }
  async function nudge({ runId, lane }: Lane, byMs: number) {
    let words = ''
    await press(runId, () => {
      const last = lastPressed(laneOf(runId)?.state ?? emptyBench([]))
      words = last ? `Lane ${lane}: ${EVENT_NAMES[last.kind]} a second ${byMs < 0 ? 'earlier' : 'later'}` : ''
      return last && { type: 'move', ofId: last.id, toMs: last.atMs + byMs }
    })
    said.value = words
  }
  const read = (lane: Lane, quantity: MeasuredQuantity, typed: string) =>
    press(lane.runId, { type: 'read', quantity, typed })

  async function photograph(lane: Lane, bytes: Blob) {
    const zero = zeroOf(lane.state)
    await keepPhoto({
      id: uuidv7(),
      runId: lane.runId,
      atMs: zero === null ? null : benchNowMs() - zero,
      bytes,
      refused: null,
    })
    photosWaiting.value++
    link.send()
  }
  async function forget(id: string) {
    await forgetRefused(id)
    await readPending()
  }
  const nextOf = (lane: Lane) => nextEvent(lane.state)

  return {
    sampled,
    sentNow,
    told,
    lanes,
    pending,
    refused,
    photosWaiting,
    online,
    offlineWhy,
    nowMs,
    device,
    selected,
    said,
    ready,
    burning,
    freeLane,
    laneAt,
    waitingOf,
    start,
    press,
    mark,
    undo,
    nudge,
    read,
    photograph,
    forget,
    nextOf,
  }
})

/** Once the next frame is drawn; soon, where none is. */
function afterPaint(work: () => void) {
  let begun = false
  const begin = () => {
    if (begun) return
    begun = true
    work()
  }
  requestAnimationFrame(() => setTimeout(begin))
  setTimeout(begin, AFTER_PAINT_AT_MOST_MS)
}
const AFTER_PAINT_AT_MOST_MS = 80

const CLOCK_EVERY_MS = 30_000
const SHOWN_EVERY_MS = 120

async function newDevice(): Promise<DeviceCard> {
  const card = { id: uuidv7(), name: /Mobi|Android|iPhone/.test(navigator.userAgent) ? 'phone' : 'this computer' }
  await keep('device', card)
  return card
}

function merged(bench: Bench, { seq, serverMs, lanes, gone }: BenchPush): Bench {
  const changed = [...lanes.map((lane) => lane.runId), ...gone.map((one) => one.runId)]
  return {
    seq,
    serverMs,
    lanes: [...bench.lanes.filter((lane) => !changed.includes(lane.runId)), ...lanes].sort((a, b) =>
      a.lane < b.lane ? -1 : 1,
    ),
  }
}
