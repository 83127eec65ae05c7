<script setup lang="ts">
import { send } from '~/api/send'
import type { PriceLine } from '#shared/kitRecords'
import type { FieldProblem } from '#shared/readProblems'
import { FUEL_PRICE_FIELDS, PRICE_FIELDS } from '#shared/thing'

/** What it cost, from which day on. A price is no heat: it makes no version. */
const props = defineProps<{ prices: readonly PriceLine[]; url: string; fuel?: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const { units } = usePreferences()
const specs = computed(() => (props.fuel ? FUEL_PRICE_FIELDS : PRICE_FIELDS))
const adding = ref(false)
const record = ref(newRecord({ currency: 'EUR' }))
const problems = ref<FieldProblem[]>([])
async function add() {
  const sent = await send(props.url, 'POST', { ...record.value, units: units.value })
  problems.value = sent.ok ? [] : sent.problems
  if (!sent.ok) return
  record.value = newRecord({ currency: String(record.value.fields.currency ?? 'EUR') })
  adding.value = false
  emit('changed')
}
</script>

<template>
  <BasePanel tight title="Price" label="Prices">
    <ul>
      <li v-for="price in prices" :key="price.id">
        <span class="figures">{{ price.amount.toFixed(2) }} {{ price.currency }}</span
        ><template v-if="price.forKg !== null">
          for <span class="figures">{{ shown(price.forKg, 'mass', units) }}</span></template
        >{{ ' ' }}
        <span class="text-ink-2">from {{ price.fromDay }}</span>
      </li>
    </ul>
    <BaseButton v-if="!adding" kind="plain" @click="adding = true">Add a price</BaseButton>
    <RecordForm
      v-else
      v-model="record"
      label="A new price"
      :specs="specs"
      :problems="problems"
      :theirs="null"
      :saving="false"
      class="mt-2"
      @save="add"
    />
  </BasePanel>
</template>
