<script setup lang="ts">
import { formatInUnit, formatClock } from '#core/quantity/format'
import { type QuantityKindName, type UnitSystem, QUANTITY_KINDS } from '#core/quantity/kinds'
import { unitOf } from '#core/quantity/units'
import { parseQuantity } from '#core/quantity/parseQuantity'

/** A box that takes a quantity as it is said, and says what it read. */
const props = defineProps<{
  label: string
  kind: QuantityKindName
  units: UnitSystem
  problem?: string
  hint?: string
  example?: string
  taken?: boolean
  /** What may stand there, by one press. */
  offer?: { text: string; why: string }
  /** Its label above it. */
  above?: boolean
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ left: [] }>()

const METRIC: Record<string, string> = {
  mass: 'g',
  volume: 'ml',
  temperature: 'degC',
  length: 'm',
  speed: 'mps',
  pressure: 'hPa',
  share: 'pct',
}
const readAs = computed(() => {
  if (!text.value.trim()) return null
  const read = parseQuantity(text.value, props.kind, props.units)
  if (!read.ok) return null
  const { dimension, value, unit } = read.value
  if (dimension === 'duration') return text.value.includes(':') ? null : formatClock(value)
  const own = QUANTITY_KINDS[props.kind].bare.metric
  const target = own !== '' && unitOf(own).dimension === dimension ? own : METRIC[dimension]!
  return unit === target && /[a-z°%]/i.test(text.value) ? null : formatInUnit(value, target)
})
const said = computed(() => ({
  readAs: readAs.value,
  isEmpty: !text.value.trim(),
  offer: props.offer,
  onTake: (taken: string) => {
    text.value = taken
  },
}))
const bareUnit = computed(() => QUANTITY_KINDS[props.kind].bare[props.units])
</script>

<template>
  <BaseField :label="label" :problem="problem" :hint="hint" :taken="taken" :above="above" @clear="text = ''">
    <template #said><QuantitySaid v-bind="said" /></template>
    <template #default="{ box }">
      <div class="flex flex-wrap items-center gap-x-2">
        <input
          v-bind="box"
          v-model="text"
          class="figures"
          :class="above ? 'w-full' : 'w-44'"
          :placeholder="example"
          autocomplete="off"
          spellcheck="false"
          :data-bare-unit="bareUnit"
          @blur="emit('left')"
        />
        <QuantitySaid v-if="!above" v-bind="said" />
      </div>
    </template>
  </BaseField>
</template>
