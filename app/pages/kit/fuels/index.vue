<script setup lang="ts">
import { FUELS } from '#core/constants/fuels'
import type { BatchLine } from '#shared/kitRecords'

/** Fuels and their batches: a run names the batch it burned. */
useHead({ title: 'Fuels · Vulcanum' })
const { data: batches } = await useFetch<BatchLine[]>('/api/kit/fuels')
const { units } = usePreferences()
</script>

<template>
  <div>
    <h1 class="mb-2">Fuels</h1>
    <KitNav />
    <p class="mb-3">
      <BaseButton kind="main" to="/kit/fuels/new">Add a batch</BaseButton>
    </p>
    <BasePanel as="div" bare class="overflow-x-auto">
      <table class="w-full border-collapse">
        <caption class="sr-only">
          Batches of fuel
        </caption>
        <thead>
          <tr class="border-b border-edge text-left">
            <th class="p-2">Fuel</th>
            <th class="p-2">Batch</th>
            <th class="hidden p-2 md:table-cell">Opened</th>
            <th class="hidden p-2 md:table-cell">Stored</th>
            <th class="p-2 text-right">Heat, MJ/kg</th>
            <th class="hidden p-2 text-right md:table-cell">Price</th>
            <th class="p-2 text-right">Runs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in batches" :key="one.id" class="border-b border-edge last:border-b-0">
            <td class="p-2" dir="auto">{{ one.fuel }}</td>
            <td class="p-2">
              <NuxtLink :to="`/kit/fuels/${one.id}`" dir="auto">{{ one.batch }}</NuxtLink>{{
                one.retired ? ', retired' : ''
              }}
            </td>
            <td class="figures hidden p-2 md:table-cell">{{ one.openedOn }}</td>
            <td class="hidden p-2 md:table-cell" dir="auto">{{ one.storage }}</td>
            <td class="figures p-2 text-right">{{ FUELS[one.kind]?.lowerHeatingValue.value.toFixed(1) }}</td>
            <td class="figures hidden p-2 text-right md:table-cell">
              {{
                one.price === null
                  ? ''
                  : `${one.price.amount.toFixed(2)} ${one.price.currency}${one.price.forKg === null ? '' : ` / ${shown(one.price.forKg, 'mass', units)}`}`
              }}
            </td>
            <td class="figures p-2 text-right">{{ one.runs }}</td>
          </tr>
        </tbody>
      </table>
    </BasePanel>
  </div>
</template>
