import { dueWords } from '#core/bench/cooling'
import { laneClocks } from '#core/bench/laneClocks'
import { laneNext, skippable, laneState } from '#core/bench/laneNext'
import type { LaneAnswer } from '#core/bench/laneSays'
import { forecastWords } from '#core/bench/predictLane'
import { useLocalStorage } from '@vueuse/core'
import type { EventKind } from '#core/run/events'
import type { Lane } from '#shared/bench'

/** What was passed over and answered on a lane: of this browser, by run. */
export const useAnswered = () => useLocalStorage<Record<string, string[]>>('vulcanum.bench.answered', {})
/** The last day on which this fuel's safety card was shown before lighting. */
const useCardsSeen = () => useLocalStorage<Record<string, string>>('vulcanum.bench.cards', {})

/** A lane as it is shown and pressed. */
export function useLaneView(lane: Ref<Lane>) {
  const bench = useBench()
  const answered = useAnswered()
  const { units } = usePreferences()
  const second = computed(() => laneSecond(lane.value, bench.nowMs))
  const done = computed(() => answered.value[lane.value.runId] ?? [])
  const answer = (key: string) => {
    answered.value = { ...answered.value, [lane.value.runId]: [...done.value, key] }
  }
  const waiting = computed(() => bench.waitingOf(lane.value.runId))
  const temperature = (tempC: number) => degrees(tempC, units.value)
  const seen = useLaneSeen(lane, { second, done })
  const acts = useLaneActs(lane, seen.next)

  /** What an offer's button does. */
  async function take(key: string, act: LaneAnswer) {
    answer(key)
    await acts.follow(act)
  }
  const { cardDue, mark } = acts
  return { bench, units, second, ...seen, waiting, cardDue, answer, mark, take, temperature }
}
export type LaneView = ReturnType<typeof useLaneView>

/** What stands on it, what comes next, and what the tool says of it. */
function useLaneSeen(lane: Ref<Lane>, { second, done }: { second: Ref<number>; done: Ref<string[]> }) {
  const bench = useBench()
  const lastMark = (...kinds: EventKind[]) =>
    lane.value.state.marks.findLast((mark) => kinds.includes(mark.kind)) ?? null
  const prediction = computed(() => lanePredicts(lane.value, second.value))
  const falling = computed(() => prediction.value?.fallingSinceS != null)
  const next = computed(() => laneNext(lane.value, done.value, falling.value))
  const clocks = computed(() => laneClocks(lane.value, bench.nowMs))
  return {
    prediction,
    next,
    skip: computed(() => skippable(lane.value, next.value)),
    state: computed(() => laneState(lane.value)),
    clock: computed(() => clocks.value.main),
    clockName: computed(() => clocks.value.name),
    others: computed(() => clocks.value.others),
    says: computed(() => laneSaysNow(lane.value, second.value, prediction.value, done.value)),
    forecast: computed(() => forecastWords(prediction.value, lane.value.method?.body.giveUpS ?? null)),
    due: computed(() => dueWords(lane.value, second.value)),
    lastReading: computed(() => lastMark('reading')),
    lidOff: computed(() => lastMark('lidOff', 'lidOn')?.kind === 'lidOff'),
  }
}

/** Its presses; before the first flame of a day with a fuel, its safety card. */
function useLaneActs(lane: Ref<Lane>, next: Ref<ReturnType<typeof laneNext>>) {
  const bench = useBench()
  const cards = useCardsSeen()
  const today = () => new Date().toDateString()
  const cardDue = computed(
    () =>
      next.value.type === 'mark' && next.value.kind === 'lit' && cards.value[lane.value.fuelKind ?? '?'] !== today(),
  )
  async function mark(kind: EventKind, payload = {}) {
    if (kind === 'lit') cards.value = { ...cards.value, [lane.value.fuelKind ?? '?']: today() }
    await bench.mark(lane.value, kind, payload)
  }
  async function follow(act: LaneAnswer) {
    if (act.type === 'mark') await mark(act.kind)
    else if (act.type === 'move') await bench.press(lane.value.runId, { type: 'move', ofId: act.ofId, toMs: act.toMs })
    else if (act.type === 'boilAt') await boilAt(act.atMs)
  }
  async function boilAt(atMs: number) {
    const payload = { reason: 'pressed late; the readings’ time taken' }
    const id = await bench.press(lane.value.runId, { type: 'mark', kind: 'rollingBoil', payload })
    if (id) await bench.press(lane.value.runId, { type: 'move', ofId: id, toMs: atMs })
  }
  return { cardDue, mark, follow }
}
