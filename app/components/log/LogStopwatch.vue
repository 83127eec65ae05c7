<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import {
  benchStep,
  emptyBench,
  lastPressed,
  nextEvent,
  zeroOf,
  type BenchAction,
  type BenchState,
} from '#core/run/benchStep'
import { formatClock } from '#core/quantity/format'
import { EVENT_NAMES, type EventKind } from '#core/run/events'
import { cautionsFor } from '#shared/cautions'
import type { TypedEventKind } from '#shared/typedRun'

/** The run's events by pressing as they happen. What is pressed stands in the boxes of times, and outlives a reload. */
const props = defineProps<{ order: EventKind[]; fuelKind: string | null }>()
const lane = defineModel<BenchState | null>({ required: true })
const emit = defineEmits<{ times: [times: Partial<Record<TypedEventKind, string>>] }>()
const NEXT_WORDS: Partial<Record<EventKind, string>> = {
  lit: 'Light',
  bloomed: 'Full flame',
  potOn: 'Pot on',
  rollingBoil: 'Boil',
  shutOff: 'Out',
}
const OTHERS: EventKind[] = ['flameOut', 'gaveUp', 'stopped']
const nowMs = ref(Date.now())
const said = ref('')
useIntervalFn(() => {
  nowMs.value = Date.now()
}, 100)

const state = computed(() =>
  lane.value === null || lane.value.marks.length === 0 ? emptyBench(props.order) : lane.value,
)
const next = computed(() => nextEvent(state.value))
const last = computed(() => lastPressed(state.value))
const zeroMs = computed(() => zeroOf(state.value))
const running = computed(() => zeroMs.value !== null && next.value !== null)
const clock = computed(() => {
  if (zeroMs.value === null) return '0:00'
  return formatClock(
    (next.value === null ? state.value.marks.at(-1)!.atMs : Math.max(zeroMs.value, nowMs.value)) / 1000 -
      zeroMs.value / 1000,
  )
})
/** A warm-up that is not timed may be skipped. */
const skippable = computed(() => next.value === 'bloomed')

function act(action: BenchAction) {
  const stepped = benchStep(state.value, action)
  if (!stepped.ok) {
    said.value = `${stepped.problem.what}.`
    return
  }
  lane.value = stepped.value
  const times = Object.fromEntries(
    [...new Set([...stepped.value.order, ...OTHERS])].map((kind) => [kind, timeOf(stepped.value, kind)]),
  ) as Partial<Record<TypedEventKind, string>>
  emit('times', times)
  if (action.type === 'mark') said.value = `${EVENT_NAMES[action.kind]} at ${timeOf(stepped.value, action.kind)}`
  if (action.type === 'undo') said.value = 'Undone'
}
function timeOf(lane: BenchState, kind: EventKind): string {
  const mark = lane.marks.find((one) => one.kind === kind)
  return mark ? formatClock((mark.atMs - zeroOf(lane)!) / 1000, 1) : ''
}
const mark = (kind: EventKind) => act({ type: 'mark', id: uuidv7(), kind, nowMs: Date.now() })
</script>

<template>
  <section aria-label="Stop-watch" class="border-l-4 pl-3" :class="running ? 'border-flame' : 'border-edge'">
    <p class="figures text-4xl" role="timer" aria-live="off">
      {{ clock }} <span v-if="running" class="text-base text-flame">lit</span>
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <BaseButton v-if="next" kind="main" glove class="px-8 text-xl" data-next @click="mark(next)">
        {{ NEXT_WORDS[next] ?? EVENT_NAMES[next] }}
      </BaseButton>
      <BaseButton v-if="skippable" glove @click="mark('potOn')">Pot on</BaseButton>
      <BaseButton
        v-for="kind in running ? OTHERS.filter((one) => one !== next) : []"
        :key="kind"
        glove
        @click="mark(kind)"
      >
        {{ EVENT_NAMES[kind] }}
      </BaseButton>
      <BaseButton v-if="last" glove @click="act({ type: 'undo', ofId: last.id })">
        Undo {{ EVENT_NAMES[last.kind].toLowerCase() }}
      </BaseButton>
      <BaseButton
        v-if="last"
        glove
        aria-label="Last mark a second earlier"
        @click="act({ type: 'move', ofId: last.id, toMs: last.atMs - 1000 })"
      >
        − 1 s
      </BaseButton>
      <BaseButton
        v-if="last"
        glove
        aria-label="Last mark a second later"
        @click="act({ type: 'move', ofId: last.id, toMs: last.atMs + 1000 })"
      >
        + 1 s
      </BaseButton>
    </div>
    <p class="mt-2" aria-live="polite">
      {{ said }}
    </p>
    <CautionBox v-if="last === null" class="mt-1 max-w-md" data-cautions>
      <p class="font-bold">Before you light</p>
      <ul class="list-disc pl-4">
        <li v-for="caution in cautionsFor(fuelKind)" :key="caution">
          {{ caution }}
        </li>
      </ul>
    </CautionBox>
  </section>
</template>
