<script setup lang="ts">
import { formatClock, formatNumber } from '#core/quantity/format'
import { EVENT_NAMES } from '#core/run/events'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '#shared/measuredQuantity'
import { TYPED_EVENTS, type TypedEventKind } from '#shared/typedRun'
import type { Corrected } from '#shared/correctable'
import { unitOf } from '#core/quantity/units'
import type { RunRecord } from '#shared/runRecord'

/** What was read, as it was typed, with its value in the units shown; each can be corrected. */
const props = defineProps<{ record: RunRecord }>()
const emit = defineEmits<{ correct: [what: Corrected] }>()
const { units } = usePreferences()
const KINDS: Record<string, ShownKind> = {
  mass: 'mass',
  volume: 'volume',
  temperature: 'temperature',
  speed: 'wind',
  duration: 'temperature',
  pressure: 'pressure',
  share: 'share',
  length: 'altitude',
}

const readings = computed(() =>
  props.record.measurements.map((one) => {
    const { dimension } = unitOf(one.unit)
    const kind = MEASURED_QUANTITIES[one.quantity]
    const value =
      kind === 'weighing' ||
      (kind === 'windSpeed' && one.value === 0) ||
      kind === 'fuel' ||
      kind === 'resolution' ||
      kind === 'clockTime'
        ? null
        : shown(one.value, KINDS[dimension]!, units.value)
    return { quantity: one.quantity, typed: one.typed, value, correction: correctionWords(one) }
  }),
)
/** What the last check of its instrument added. */
function correctionWords({ correction, instrument, unit }: RunRecord['measurements'][number]): string | null {
  if (correction === null || Math.abs(correction) < 1e-9) return null
  const of = unitOf(unit)
  const value = of.dimension === 'temperature' ? correction : correction / of.factor
  return `${value > 0 ? '+' : ''}${formatNumber(value, 2)}\u202f${of.dimension === 'temperature' ? 'K' : of.label}, ${instrument ?? 'its check'}`
}
const absent = computed(() =>
  (Object.keys(MEASURED_NAMES) as MeasuredQuantity[]).filter(
    (quantity) => !props.record.measurements.some((one) => one.quantity === quantity),
  ),
)
/** Of several of a kind, which. */
function eventName({ kind, atMs }: RunRecord['events'][number]): string {
  const several = props.record.events.filter((one) => one.kind === kind).length > 1
  return several ? `${EVENT_NAMES[kind]} at ${formatClock(atMs / 1000)}` : EVENT_NAMES[kind]
}
const isTyped = (kind: string): kind is TypedEventKind => (TYPED_EVENTS as readonly string[]).includes(kind)
</script>

<template>
  <BasePanel tight title="What was measured" label="Readings">
    <dl class="readings">
      <template v-for="one in readings" :key="one.quantity">
        <dt>{{ MEASURED_NAMES[one.quantity] }}</dt>
        <dd class="figures text-right sm:whitespace-nowrap" :data-reading="one.quantity">{{ one.typed }}</dd>
        <dd class="figures text-right text-ink-2" data-shown>
          {{ one.value
          }}<span
            v-if="one.correction"
            class="block text-[12px] sm:whitespace-nowrap"
            :data-correction="one.quantity"
            >{{ one.correction }}</span
          >
        </dd>
        <dd class="no-print">
          <BaseButton
            kind="plain"
            :aria-label="`Correct ${MEASURED_NAMES[one.quantity]}`"
            @click="emit('correct', { what: one.quantity })"
          >
            Correct
          </BaseButton>
        </dd>
      </template>
      <template v-for="event in record.events" :key="event.id">
        <dt>
          {{ EVENT_NAMES[event.kind] }}<template v-if="event.reason"> ({{ event.reason }})</template>
        </dt>
        <dd class="figures text-right" :data-reading="event.kind">{{ formatClock(event.atMs / 1000) }}</dd>
        <dd class="figures text-right text-ink-2">
          {{
            event.massG !== null
              ? `${event.massG.toFixed(1)} g`
              : event.waterC !== null
                ? shown(event.waterC, 'temperature', units)
                : ''
          }}
        </dd>
        <dd class="no-print">
          <BaseButton
            v-if="isTyped(event.kind)"
            kind="plain"
            :aria-label="`Correct ${eventName(event)}`"
            @click="emit('correct', { what: event.kind, eventId: event.id })"
          >
            Correct
          </BaseButton>
        </dd>
      </template>
    </dl>
    <p v-if="absent.length" class="no-print mt-2">
      <WordChoice
        :model-value="null"
        label="A reading that was not taken down"
        empty="Add a reading"
        :choices="absent.map((quantity) => ({ value: quantity, label: MEASURED_NAMES[quantity] }))"
        @update:model-value="$event && emit('correct', { what: $event as MeasuredQuantity })"
      />
    </p>
    <h2 class="mt-4 mb-2">With</h2>
    <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      <template v-for="part in record.parts" :key="part.role">
        <dt class="text-ink-2">{{ part.role }}</dt>
        <dd>{{ part.name }}</dd>
      </template>
    </dl>
  </BasePanel>
</template>
