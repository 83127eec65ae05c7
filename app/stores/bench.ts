import { useThrottleFn } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import { nextEvent, zeroOf } from '#core/run/benchStep'
import type { Bench, Lane, SentNow } from '#shared/bench'
import type { LaneName } from '#shared/benchAct'
import { askServer, beginClock, benchNowMs } from '~/bench/clock'
import { forgetRefused, keep, keepPhoto, kept, keptBench, type DeviceCard } from '~/bench/disk'
import { BenchLink } from '~/bench/link'
import { usePresses } from '~/bench/presses'
import { samplesHad, samplesHere, takeSamples } from '~/bench/samples'
import { useStanding } from '~/bench/standing'

const TICK_MS = 100
const CLOCK_EVERY_MS = 30_000
/** However often samples come: six lanes with four instruments each would draw at every push. */
const SHOWN_EVERY_MS = 120

/** The bench of this browser, shared with its other tabs. */
export const useBench = defineStore('bench', () => {
  const { units } = usePreferences()
  const device = shallowRef<DeviceCard>({ id: '', name: '' })
  const { shown, laneOf, runIds, readPending, take, receive } = useStanding(device)
  /** Null: not known yet. */
  const online = ref<boolean | null>(null)
  /** What the server said of it; '': it did not answer. */
  const offlineWhy = ref('')
  const nowMs = ref(0)
  /** Grows as samples come: what shows the newest one watches it. */
  const sampled = ref(0)
  const showSamples = useThrottleFn(() => sampled.value++, SHOWN_EVERY_MS, true)
  /** What instruments last said of the air. */
  const sentNow = shallowRef<SentNow>({})
  const selected = ref<LaneName>('A')
  const ready = ref(false)

  const link = new BenchLink({
    device: () => device.value,
    // The bench with them before they are let go of: a lane that was just set up would be gone for a moment, and what
    // is being typed on it.
    settled: (push, whole) => {
      receive(push, whole)
      void readPending()
    },
    seen: () => shown.told.value.seq,
    received: receive,
    had: () => samplesHad(runIds()),
    have: () => samplesHere(runIds()),
    sampled: (pushes) => {
      takeSamples(pushes)
      void showSamples()
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
  const presses = usePresses({ units, pending: shown.pending, laneOf, nowMs, send: link.send })

  async function refetch() {
    try {
      take(await $fetch<Bench>('/api/bench', { retry: 0 }))
    } catch {
      // The stream will say it; what is pending stays shown.
    }
  }

  let starting: Promise<void> | null = null
  /** Reads this browser's store and begins to listen; once a page. */
  const start = () => (starting ??= begin())
  async function begin() {
    await beginClock()
    // Before any lane is shown: a clock never begins at nothing after a reload.
    nowMs.value = benchNowMs()
    device.value = (await kept<DeviceCard>('device')) ?? (await newDevice())
    const before = await keptBench()
    if (before) shown.told.value = { ...before, seq: -1 }
    await readPending()
    ready.value = true
    link.start()
    setInterval(() => {
      nowMs.value = benchNowMs()
    }, TICK_MS)
    const ask = () => void askServer().catch(() => undefined)
    ask()
    setInterval(ask, CLOCK_EVERY_MS)
  }

  async function photograph(lane: Lane, bytes: Blob) {
    const zero = zeroOf(lane.state)
    const atMs = zero === null ? null : benchNowMs() - zero
    await keepPhoto({ id: uuidv7(), runId: lane.runId, atMs, bytes, refused: null })
    shown.photosWaiting.value++
    link.send()
  }
  async function forget(id: string) {
    await forgetRefused(id)
    await readPending()
  }
  const nextOf = (lane: Lane) => nextEvent(lane.state)

  const frame = { sampled, sentNow, online, offlineWhy, nowMs, device, selected, ready }
  return { ...shown, ...presses, ...frame, start, photograph, forget, nextOf }
})

async function newDevice(): Promise<DeviceCard> {
  const card = { id: uuidv7(), name: /Mobi|Android|iPhone/.test(navigator.userAgent) ? 'phone' : 'this computer' }
  await keep('device', card)
  return card
}
