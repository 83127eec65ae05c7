<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { PlannedLine, StudyPage } from '#shared/plan'
import type { LaidOut } from '~/composables/usePlannedDays'

/** The runs in their order: when, what, where, by whom; moved by a press or by Alt and an arrow. */
const props = defineProps<{ study: StudyPage; laidOut: LaidOut | null }>()
const emit = defineEmits<{ move: [id: string, by: -1 | 1] }>()
const { units } = usePreferences()
const lines = computed(() =>
  props.study.runs.map((run) => ({
    run,
    label: labelOfRun(props.study, run),
    when: whenOf(run),
    length: lengthOf(run),
    where: [run.station, props.study.people.find(({ id }) => id === run.personId)?.name]
      .filter((one) => one)
      .join(', '),
    level: levelWords(
      props.study.levels.find(({ id }) => id === run.levelId),
      units.value,
    ),
    from: props.study.containers.find(({ id }) => id === run.containerId)?.name ?? '',
  })),
)
function whenOf({ id, runId }: PlannedLine): string {
  if (runId !== null) return 'burned'
  for (const day of props.laidOut?.days ?? []) {
    const times = day.runs.find((one) => one.id === id)
    if (times)
      return `${props.laidOut!.days.length > 1 ? `${weekdayWord(day.day)} ` : ''}${clockInZone(times.lightMs, props.study.held.zone)}`
  }
  const left = props.laidOut?.left.find((one) => one.id === id)
  return left ? LEFT_WORDS[left.why] : ''
}
function lengthOf(run: PlannedLine): string {
  const one = props.study.lengths.find(({ armId, levelId }) => armId === run.armId && levelId === run.levelId)
  return one ? `about ${formatClock(one.burnS)}` : ''
}
const MOVES = [
  { by: -1, words: 'Up', keys: 'Alt+ArrowUp' },
  { by: 1, words: 'Down', keys: 'Alt+ArrowDown' },
] as const
const list = useTemplateRef<HTMLElement>('list')
/** What was moved keeps the focus where it went: the next press moves it on. */
const moving = ref<string | null>(null)
function move(id: string, by: -1 | 1) {
  moving.value = `${id} ${by}`
  emit('move', id, by)
}
watch(
  () => props.study.revision,
  async () => {
    await nextTick()
    const buttons = [...(list.value?.querySelectorAll('button') ?? [])]
    buttons.find((one) => one.dataset.moves === moving.value)?.focus()
  },
)
</script>

<template>
  <ol ref="list" class="plan-runs">
    <li
      v-for="(line, i) in lines"
      :key="line.run.id"
      :data-run="line.run.id"
      :class="i > 0 && line.run.block !== study.runs[i - 1]!.block ? 'plan-block' : ''"
      @keydown.alt.up.prevent="move(line.run.id, -1)"
      @keydown.alt.down.prevent="move(line.run.id, 1)"
    >
      <span class="figures" data-when>{{ line.when }}</span>
      <strong>{{ line.label }}</strong>
      <span>{{ [line.level, line.length, line.from].filter((one) => one).join(' · ') }}</span>
      <span class="text-ink-2" dir="auto">{{ line.where }}</span>
      <span class="no-print flex gap-1">
        <BaseButton
          v-for="{ by, words, keys } in MOVES"
          :key="by"
          kind="plain"
          :disabled="lines[i + by] === undefined"
          :data-moves="`${line.run.id} ${by}`"
          :aria-label="`Move ${line.label} ${words.toLowerCase()}`"
          :aria-keyshortcuts="keys"
          @click="move(line.run.id, by)"
          >{{ words }}</BaseButton
        >
      </span>
    </li>
  </ol>
</template>
