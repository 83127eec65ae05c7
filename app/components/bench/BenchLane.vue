<script setup lang="ts">
import { coolWords } from '#core/bench/cooling'
import type { Lane } from '#shared/bench'

/** One lane: what it stands at, and what can be pressed. Its sizes come with its layout. */
const props = defineProps<{ lane: Lane; layout: BenchLayout; selected: boolean }>()
const emit = defineEmits<{ select: []; finish: [again?: boolean] }>()
const view = useLaneView(toRef(props, 'lane'))
const { state, says, waiting } = view
const root = useTemplateRef<HTMLElement>('root')
const reading = ref<string | null>(null)
const panel = ref<BenchPanelName | null>(null)

/** The selected lane is focus on its Next, unless something is being typed or asked. */
const focusNext = () =>
  void nextTick(() => {
    if (props.selected && reading.value === null && panel.value === null)
      root.value?.querySelector<HTMLElement>('[data-next]')?.focus({ preventScroll: true })
  })
watch(
  () => props.selected,
  (is) => is && focusNext(),
)
function closed() {
  reading.value = null
  panel.value = null
  focusNext()
}
/** Closed at once: the next key is the bench's again. */
function leavePanel(press: () => Promise<unknown>) {
  closed()
  void press()
}
function pressNext() {
  emit('select')
  const { value: next } = view.next
  if (next.type === 'mark') void view.mark(next.kind)
  else if (next.type === 'read') reading.value = ''
  else emit('finish')
  focusNext()
}
const skip = () => {
  if (view.skip.value) view.answer(view.skip.value)
  focusNext()
}
const ACTS: Record<BenchActName, () => unknown> = {
  knock: () => view.mark('disturbance'),
  lid: () => view.mark(view.lidOff.value ? 'lidOn' : 'lidOff'),
  flameOut: () => view.mark('flameOut'),
  undo: () => view.bench.undo(props.lane),
  earlier: () => view.bench.nudge(props.lane, -1000),
  later: () => view.bench.nudge(props.lane, 1000),
  photo: () => root.value?.querySelector<HTMLElement>('input[type=file]')?.click(),
  feed: () => {
    panel.value = 'feed'
  },
  setting: () => {
    panel.value = 'setting'
  },
  note: () => {
    panel.value = 'note'
  },
  giveUp: () => {
    panel.value = 'giveUp'
  },
}
function act(name: BenchActName) {
  emit('select')
  void ACTS[name]()
  focusNext()
}
const startReading = (text: string) => {
  reading.value = text
}
defineExpose({ pressNext, act, startReading, focusNext, readNow: () => startReading('') })
onMounted(() => props.selected && focusNext())
</script>

<template>
  <section
    ref="root"
    :aria-label="`Lane ${lane.lane}`"
    class="lane"
    :class="[`lane-${layout}`, `lane-is-${state}`, { 'lane-selected': selected, 'lane-kept': waiting > 0 }]"
    :data-lane="lane.lane"
    :data-state="state"
    @click.capture="emit('select')"
  >
    <BenchHead :lane="lane" :state="state" :waiting="waiting" :undoable="layout === 'phone'" @undo="act('undo')" />
    <BenchClock
      :clock="view.clock.value"
      :name="view.clockName.value"
      :others="view.others.value"
      :state="state"
      :cool="state === 'cooling' ? coolWords(lane) : ''"
    />
    <BenchWater :lane="lane" :view="view" :reading="reading" @begin="startReading('')" @done="closed" />
    <BenchSays
      v-if="says.length || (view.cardDue.value && layout !== 'one')"
      class="lane-says"
      :says="says"
      :card="view.cardDue.value && layout !== 'one' ? (lane.fuelKind ?? '') : null"
      @answer="(key, what) => void view.take(key, what).then(focusNext)"
    />
    <BenchTrace :lane="lane" :layout="layout" :now-ms="view.second.value" />
    <BenchSeen :lane="lane" :now-ms="view.second.value" />
    <BenchNext
      :lane="lane"
      :next="view.next.value"
      :layout="layout"
      :skip="view.skip.value"
      :burning="state === 'burning'"
      :card="view.cardDue.value && layout === 'one'"
      @next="pressNext"
      @skip="skip"
      @flame-out="act('flameOut')"
      @again="emit('finish', true)"
    />
    <template v-if="layout !== 'cell'">
      <BenchActs :lane="lane" :lid-off="view.lidOff.value" @act="act" />
      <BenchUndo v-if="layout !== 'phone'" :lane="lane" @act="act" />
    </template>
    <BenchPanel
      v-if="panel"
      :lane="lane"
      :name="panel"
      @mark="(kind, payload) => leavePanel(() => view.mark(kind, payload))"
      @note="(text) => leavePanel(() => view.bench.press(lane.runId, { type: 'note', text }))"
      @clear="leavePanel(() => view.bench.press(lane.runId, { type: 'clear' }))"
      @close="closed"
    />
    <input
      type="file"
      accept="image/jpeg,image/png,image/webp"
      capture="environment"
      class="sr-only"
      tabindex="-1"
      :aria-label="`Photo for lane ${lane.lane}`"
      @change="
        (event) => {
          const file = (event.target as HTMLInputElement).files?.[0]
          if (file) void view.bench.photograph(lane, file).then(closed)
        }
      "
    />
  </section>
</template>
