<script setup lang="ts">
import { LANES } from '#shared/lanes'
import { FAULTS, SIMULATED, SIMULATED_KINDS, SIMULATED_STOVES, type SimulatedLine } from '#shared/simulated'

/** Instruments that are programs: they feel what a simulated stove does as the lane's marks are pressed. */
defineProps<{ running: readonly SimulatedLine[] }>()
const emit = defineEmits<{ changed: [] }>()
const start = reactive({
  kind: 'thermometer' as string | null,
  lane: 'A' as string | null,
  stove: 'narrow-open' as string | null,
  fault: 'none' as string | null,
  hz: '1' as string | null,
  speed: '1' as string | null,
})
const { problem, begin, stop } = useStarted<SimulatedLine>('/api/instruments/simulated', () => emit('changed'))
const choices = (entries: readonly (readonly [string, string])[]) => entries.map(([value, label]) => ({ value, label }))
const KINDS = choices(SIMULATED_KINDS.map((kind) => [kind, SIMULATED[kind].name] as const))
const STOVES = choices(SIMULATED_STOVES.map((stove) => [stove, stove.replace('-', ', ')] as const))
const FAULT_CHOICES = choices(Object.entries(FAULTS))
const SPEEDS = choices([
  ['1', 'as fast as a stove'],
  ['10', 'ten times'],
  ['60', 'sixty times'],
])
const RATES = choices([
  ['0.5', 'every two seconds'],
  ['1', 'every second'],
  ['10', 'ten a second'],
])
</script>

<template>
  <BasePanel title="Simulated instruments" class="grid grid-cols-1 gap-3">
    <p class="text-ink-2">
      Programs that stand in for instruments, to try a bench without a flame. What they send goes to the run on the
      lane. To learn a method, <NuxtLink to="/bench/prepare?rehearse">rehearse</NuxtLink>: those runs bring instruments
      of their own and stay out of every measured figure.
    </p>
    <ul v-if="running.length">
      <li v-for="one in running" :key="one.id" class="flex flex-wrap items-center gap-3 border-t border-edge py-1">
        {{ SIMULATED[one.kind].name }} on lane {{ one.lane }}, {{ one.stove.replace('-', ', ')
        }}<template v-if="one.speed > 1">, {{ one.speed }} times as fast</template
        ><template v-if="one.fault !== 'none'">, {{ FAULTS[one.fault] }}</template>
        <span v-if="one.said" class="text-ink-2">{{ one.said }}</span>
        <BaseButton kind="plain" class="ml-auto" @click="stop(one.id)">Stop it</BaseButton>
      </li>
    </ul>
    <form
      class="grid grid-cols-1 gap-2"
      aria-label="Start a simulated instrument"
      novalidate
      @submit.prevent="begin({ ...start, hz: Number(start.hz), speed: Number(start.speed) })"
    >
      <ChoiceBox v-model="start.kind" label="Instrument" :choices="KINDS" />
      <ChoiceBox v-model="start.lane" label="On lane" :choices="choices(LANES.map((lane) => [lane, lane] as const))" />
      <ChoiceBox v-model="start.stove" label="Stove" :choices="STOVES" />
      <ChoiceBox v-model="start.fault" label="It works" :choices="FAULT_CHOICES" />
      <ChoiceBox v-model="start.hz" label="Sends" :choices="RATES" />
      <ChoiceBox v-model="start.speed" label="Time runs" :choices="SPEEDS" />
      <BaseAlert v-if="problem">
        {{ problem }}
      </BaseAlert>
      <BaseButton kind="main" type="submit" class="justify-self-start">Start it</BaseButton>
    </form>
  </BasePanel>
</template>
