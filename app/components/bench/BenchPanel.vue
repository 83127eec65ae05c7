<script setup lang="ts">
import { feedingCaution } from '#core/bench/cooling'
import { parseQuantity } from '#core/quantity/parseQuantity'
import { problemText } from '#core/result'
import { isBurning, isOver, type MarkPayload } from '#core/run/benchStep'
import { SETTINGS } from '#core/formats/document'
import type { EventKind } from '#core/run/events'
import type { Lane } from '#shared/bench'

/**
 * What an act still has to ask: how much was fed, which setting, what to note, how it ended. Over the lane, with the
 * lane's clock in sight.
 */
const props = defineProps<{ lane: Lane; name: BenchPanelName }>()
const emit = defineEmits<{
  mark: [kind: EventKind, payload: MarkPayload]
  note: [text: string]
  clear: []
  close: []
}>()
const { units } = usePreferences()
const text = ref('')
const problem = ref('')
const root = useTemplateRef<HTMLElement>('root')
const TITLES: Record<BenchPanelName, string> = {
  feed: 'Feed: mass of the piece',
  setting: 'Setting now',
  note: 'Note',
  giveUp: 'How did it end?',
}
const unlit = computed(() => props.lane.state.marks.length === 0)
const caution = computed(() => (props.name === 'feed' ? feedingCaution(props.lane) : null))
const lit = computed(() => isBurning(props.lane.state))
onMounted(() => root.value?.querySelector<HTMLElement>('input, button')?.focus())

function feed() {
  const typed = text.value.trim()
  const read = typed ? parseQuantity(typed, 'weighing', units.value) : null
  if (read && !read.ok) problem.value = `Mass: ${problemText(read.problem)}`
  else emit('mark', 'fuelAdded', read ? { massG: read.value.value * 1000, typed } : {})
}
function note() {
  if (text.value.trim()) emit('note', text.value.trim())
  else emit('close')
}
</script>

<template>
  <div ref="root" class="bench-panel" role="group" :aria-label="TITLES[name]" @keydown.esc.prevent.stop="emit('close')">
    <form v-if="name === 'feed'" class="contents" novalidate @submit.prevent="feed">
      <p v-if="caution" class="bench-panel-caution">
        {{ caution }}
      </p>
      <label class="bench-panel-field"
        >{{ TITLES.feed }}
        <input
          v-model="text"
          class="figures"
          placeholder="4.0 g"
          autocomplete="off"
          inputmode="decimal"
          :aria-invalid="problem ? 'true' : undefined"
      /></label>
      <BaseAlert v-if="problem">
        {{ problem }}
      </BaseAlert>
      <button type="submit" class="lane-act">
        {{ text.trim() ? 'Fed' : 'Fed, not weighed' }}
      </button>
    </form>
    <template v-else-if="name === 'setting'">
      <p>{{ TITLES.setting }}</p>
      <button
        v-for="one in SETTINGS"
        :key="one"
        type="button"
        class="lane-act capitalize"
        @click="emit('mark', 'settingChanged', { setting: one })"
      >
        {{ one }}
      </button>
    </template>
    <form v-else-if="name === 'note'" class="contents" @submit.prevent="note">
      <label class="bench-panel-field"
        >{{ TITLES.note }} <input v-model="text" dir="auto" autocomplete="off" maxlength="2000"
      /></label>
      <button type="submit" class="lane-act">Keep the note</button>
    </form>
    <template v-else-if="unlit">
      <p>Nothing is marked here yet.</p>
      <button type="button" class="lane-act" @click="emit('clear')">Clear the lane</button>
    </template>
    <template v-else>
      <label class="bench-panel-field"
        >Reason <input v-model="text" dir="auto" placeholder="rain, knocked over" autocomplete="off" maxlength="500"
      /></label>
      <button
        v-if="lit || !isOver(lane.state)"
        type="button"
        class="lane-act"
        @click="emit('mark', 'gaveUp', text.trim() ? { reason: text.trim() } : {})"
      >
        Given up: it does not boil
      </button>
      <button v-if="lit" type="button" class="lane-act" @click="emit('mark', 'flameOut', {})">Out of fuel</button>
      <button type="button" class="lane-act" @click="emit('mark', 'stopped', { reason: text.trim() || 'not said' })">
        Stopped from outside
      </button>
      <p class="text-ink-2">Rain or a knock is no failure to boil.</p>
    </template>
    <button type="button" class="lane-act" @click="emit('close')">Back</button>
  </div>
</template>
