import { useThrottleFn } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import { nextEvent, zeroOf } from '#core/run/benchStep'
import type { Bench, Lane, SamplesPush, SentNow } from '#shared/bench'
import type { LaneName } from '#shared/lanes'
import { askServer, beginClock, benchNowMs } from '~/bench/clock'
import { forgetRefused, keep, keepPhoto, kept, keptBench, type DeviceCard } from '~/bench/disk'
import { BenchLink, type LinkEvents } from '~/bench/link'
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
  const standing = useStanding(device)
  const { shown, laneOf, readPending } = standing
  const nowMs = ref(0)
  const selected = ref<LaneName>('A')
  const { online, offlineWhy, setOnline } = useOnline()
  const sent = useSent()
  const link = new BenchLink(linkEvents({ device, standing, sent, setOnline }))
  const presses = usePresses({ units, pending: shown.pending, laneOf, nowMs, send: link.send })
  const { ready, start } = useStart({ device, nowMs, standing, link })

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

  const { sampled, sentNow } = sent
  const frame = { sampled, sentNow, online, offlineWhy, nowMs, device, selected, ready }
  return { ...shown, ...presses, ...frame, start, photograph, forget, nextOf }
})

function useOnline() {
  /** Null: not known yet. */
  const online = ref<boolean | null>(null)
  /** What the server said of it; '': it did not answer. */
  const offlineWhy = ref('')
  const setOnline = (is: boolean, why = '') => {
    online.value = is
    offlineWhy.value = why
  }
  return { online, offlineWhy, setOnline }
}

/** What instruments send. */
function useSent() {
  /** Grows as samples come: what shows the newest one watches it. */
  const sampled = ref(0)
  const show = useThrottleFn(() => sampled.value++, SHOWN_EVERY_MS, true)
  /** What they last said of the air. */
  const sentNow = shallowRef<SentNow>({})
  const takeNow = (now: SentNow) => {
    sentNow.value = { ...sentNow.value, ...now }
  }
  const take = (pushes: readonly SamplesPush[]) => {
    takeSamples(pushes)
    void show()
  }
  return { sampled, sentNow, take, takeNow }
}

type Standing = ReturnType<typeof useStanding>
interface Linked {
  device: Ref<DeviceCard>
  standing: Standing
  sent: ReturnType<typeof useSent>
  setOnline: (is: boolean, why?: string) => void
}
/** What the link tells, and what it is asked. */
function linkEvents({ device, standing, sent, setOnline }: Linked): LinkEvents {
  const { shown, runIds, readPending, receive } = standing
  return {
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
    sampled: sent.take,
    sentNow: sent.takeNow,
    online: setOnline,
    elsewhere: (what) => void (what === 'pressed' ? readPending() : refetch(standing).then(readPending)),
  }
}

async function refetch({ take }: Standing): Promise<void> {
  try {
    take(await $fetch<Bench>('/api/bench', { retry: 0 }))
  } catch {
    // The stream will say it; what is pending stays shown.
  }
}

/** Reads this browser's store and begins to listen; once a page. */
function useStart(parts: { device: Ref<DeviceCard>; nowMs: Ref<number>; standing: Standing; link: BenchLink }) {
  const { device, nowMs, standing, link } = parts
  const ready = ref(false)
  let starting: Promise<void> | null = null
  const start = () => (starting ??= begin())
  async function begin() {
    await beginClock()
    // Before any lane is shown: a clock never begins at nothing after a reload.
    nowMs.value = benchNowMs()
    device.value = (await kept<DeviceCard>('device')) ?? (await newDevice())
    const before = await keptBench()
    if (before) standing.shown.told.value = { ...before, seq: -1 }
    await standing.readPending()
    ready.value = true
    link.start()
    setInterval(() => {
      nowMs.value = benchNowMs()
    }, TICK_MS)
    const ask = () => void askServer().catch(() => undefined)
    ask()
    setInterval(ask, CLOCK_EVERY_MS)
  }
  return { ready, start }
}

async function newDevice(): Promise<DeviceCard> {
  const card = { id: uuidv7(), name: /Mobi|Android|iPhone/.test(navigator.userAgent) ? 'phone' : 'this computer' }
  await keep('device', card)
  return card
}
