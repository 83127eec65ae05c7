<script setup lang="ts">
import { LANES } from '#shared/lanes'
import type { ReplayLine } from '#shared/simulated'

/** A file that an instrument recorded, sent again to a lane: at its own pace, or faster. */
defineProps<{ running: readonly ReplayLine[] }>()
const emit = defineEmits<{ changed: [] }>()
const file = shallowRef<File | null>(null)
const lane = ref<string | null>('A')
const speed = ref<string | null>('1')
const { problem, begin, stop } = useStarted<ReplayLine>('/api/instruments/replays', () => emit('changed'))
const SPEEDS = [
  ['1', 'at its own pace'],
  ['10', 'ten times as fast'],
  ['60', 'sixty times as fast'],
].map(([value, label]) => ({ value: value!, label: label! }))

async function send() {
  problem.value = file.value === null ? 'File: choose one.' : ''
  if (file.value !== null)
    await begin({ name: file.value.name, lane: lane.value, speed: Number(speed.value), text: await file.value.text() })
}
</script>

<template>
  <BasePanel title="A recording, sent again" class="grid grid-cols-1 gap-3" label="A recording">
    <p class="text-ink-2">
      A file of lines such as <code class="figures">2026-05-01T10:00:00Z,water,93.4,degC</code>, sent to a lane as if it
      came now. A logger’s own table is brought in on the run’s page instead.
    </p>
    <ul v-if="running.length">
      <li v-for="one in running" :key="one.id" class="flex flex-wrap items-center gap-3 border-t border-edge py-1">
        <span dir="auto">{{ one.name }}</span> to lane {{ one.lane
        }}<template v-if="one.speed > 1">, {{ one.speed }} times as fast</template>{{ ' ' }}
        <span v-if="one.said" class="text-ink-2">{{ one.said }}</span>
        <BaseButton kind="plain" class="ml-auto" @click="stop(one.id)">Stop it</BaseButton>
      </li>
    </ul>
    <form class="grid grid-cols-1 gap-2" aria-label="Send a recording" novalidate @submit.prevent="send">
      <BaseField v-slot="{ box }" label="File">
        <input
          v-bind="box"
          type="file"
          accept=".csv,.txt,.jsonl,.ndjson"
          @change="file = ($event.target as HTMLInputElement).files?.[0] ?? null"
        />
      </BaseField>
      <ChoiceBox v-model="lane" label="To lane" :choices="LANES.map((one) => ({ value: one, label: one }))" />
      <ChoiceBox v-model="speed" label="Time runs" :choices="SPEEDS" />
      <BaseAlert v-if="problem">
        {{ problem }}
      </BaseAlert>
      <BaseButton kind="main" type="submit" class="justify-self-start">Send it</BaseButton>
    </form>
  </BasePanel>
</template>
