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
  const cards = useCardsSeen()
  const { units } = usePreferences()
  const second = computed(() => laneSecond(lane.value, bench.nowMs))
  const done = computed(() => answered.value[lane.value.runId] ?? [])
  const answer = (key: string) => {
    answered.value = { ...answered.value, [lane.value.runId]: [...done.value, key] }
  }

  const prediction = computed(() => lanePredicts(lane.value, second.value))
  const falling = computed(() => prediction.value?.fallingSinceS != null)
  const next = computed(() => laneNext(lane.value, done.value, falling.value))
  const skip = computed(() => skippable(lane.value, next.value))
  const state = computed(() => laneState(lane.value))
  const clocks = computed(() => laneClocks(lane.value, bench.nowMs))
  const clock = computed(() => clocks.value.main)
  const clockName = computed(() => clocks.value.name)
  const others = computed(() => clocks.value.others)
  const says = computed(() => laneSaysNow(lane.value, second.value, prediction.value, done.value))
  const forecast = computed(() => forecastWords(prediction.value, lane.value.method?.body.giveUpS ?? null))
  const due = computed(() => dueWords(lane.value, second.value))
  const lastReading = computed(() => lane.value.state.marks.findLast((mark) => mark.kind === 'reading') ?? null)
  const lidOff = computed(
    () => lane.value.state.marks.findLast((mark) => mark.kind === 'lidOff' || mark.kind === 'lidOn')?.kind === 'lidOff',
  )
  const waiting = computed(() => bench.waitingOf(lane.value.runId))

  const today = () => new Date().toDateString()
  const cardDue = computed(
    () =>
      next.value.type === 'mark' && next.value.kind === 'lit' && cards.value[lane.value.fuelKind ?? '?'] !== today(),
  )

  async function mark(kind: EventKind, payload = {}) {
    if (kind === 'lit') cards.value = { ...cards.value, [lane.value.fuelKind ?? '?']: today() }
    await bench.mark(lane.value, kind, payload)
  }
  /** What an offer's button does. */
  async function take(key: string, act: LaneAnswer) {
    answer(key)
    if (act.type === 'mark') await mark(act.kind)
    else if (act.type === 'move') await bench.press(lane.value.runId, { type: 'move', ofId: act.ofId, toMs: act.toMs })
    else if (act.type === 'boilAt') {
      const id = await bench.press(lane.value.runId, {
        type: 'mark',
        kind: 'rollingBoil',
        payload: { reason: 'pressed late; the readings’ time taken' },
      })
      if (id) await bench.press(lane.value.runId, { type: 'move', ofId: id, toMs: act.atMs })
    }
  }
  const temperature = (tempC: number) => degrees(tempC, units.value)
  return {
    bench,
    units,
    second,
    prediction,
    next,
    skip,
    state,
    clock,
    clockName,
    others,
    says,
    forecast,
    due,
    lastReading,
    lidOff,
    waiting,
    cardDue,
    answer,
    mark,
    take,
    temperature,
  }
}
export type LaneView = ReturnType<typeof useLaneView>
