<script setup lang="ts">
import { FUELS } from '#core/constants/fuels'
import type { BatchLine } from '#shared/kitRecords'

/** Fuels and their batches: a run names the batch it burned. */
useHead({ title: 'Fuels · Vulcanum' })
const { data: batches } = await useFetch<BatchLine[]>('/api/kit/fuels')
const { units } = usePreferences()
const priceOf = ({ price }: BatchLine) => {
  if (price === null) return null
  const per = price.forKg === null ? '' : ` / ${shown(price.forKg, 'mass', units.value)}`
  return `${price.amount.toFixed(2)} ${price.currency}${per}`
}
const columns: DataColumn<BatchLine>[] = [
  { key: 'fuel', words: 'Fuel', sorts: true, of: (one) => one.fuel },
  { key: 'batch', words: 'Batch', sorts: true, of: (one) => one.batch },
  { key: 'opened', words: 'Opened', sorts: true, wide: true, of: (one) => one.openedOn },
  { key: 'stored', words: 'Stored', wide: true, of: (one) => one.storage },
  {
    key: 'heat',
    words: 'Heat',
    unit: 'MJ/kg',
    figure: true,
    sorts: true,
    of: (one) => FUELS[one.kind]?.lowerHeatingValue.value ?? null,
  },
  { key: 'price', words: 'Price', figure: true, wide: true, of: priceOf },
  { key: 'runs', words: 'Runs', figure: true, sorts: true, of: (one) => one.runs },
]
</script>

<template>
  <div>
    <KitRoom title="Fuels" add="Add a batch" to="/kit/fuels/new" />
    <BasePanel as="div" bare>
      <DataTable caption="Batches of fuel" :rows="batches ?? []" :columns="columns" :id-of="(one) => one.id">
        <template #cell="{ row, column }">
          <template v-if="column.key === 'batch'">
            <NuxtLink :to="`/kit/fuels/${row.id}`" dir="auto">{{ row.batch }}</NuxtLink>{{
              row.retired ? ', retired' : ''
            }}
          </template>
          <template v-else-if="column.key === 'heat'">{{
            FUELS[row.kind]?.lowerHeatingValue.value.toFixed(1)
          }}</template>
          <span v-else dir="auto">{{ column.of!(row) }}</span>
        </template>
      </DataTable>
    </BasePanel>
  </div>
</template>
