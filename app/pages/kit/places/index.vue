<script setup lang="ts">
import { problemOf, send } from '~/api/send'
import { v7 as uuidv7 } from 'uuid'
import { boilingPointAt } from '#core/air/pressureOf'
import type { PlaceLine } from '#shared/kitRecords'

/** Where stoves are burned, and by whom. */
useHead({ title: 'Places and people · Vulcanum' })
const { data: places } = await useFetch<PlaceLine[]>('/api/kit/places')
const { data: kit, refresh } = await useKit()
const { units } = usePreferences()
const boils = (place: PlaceLine) => {
  const boilingC = boilingPointAt({ ...place, airC: null }, null)
  return boilingC === null ? 'not known' : shown(boilingC, 'temperature', units.value)
}
const columns = computed((): DataColumn<PlaceLine>[] => [
  { key: 'name', words: 'Place', sorts: true, of: (place) => place.name },
  { key: 'altitude', words: 'Altitude', figure: true, sorts: true, of: (place) => place.altitudeM },
  { key: 'boils', words: 'Water boils at', figure: true, of: boils },
  { key: 'zone', words: 'Time zone', wide: true, of: (place) => place.zone },
  { key: 'runs', words: 'Runs', figure: true, sorts: true, of: (place) => place.runs },
])
const name = ref('')
const problem = ref('')
async function addPerson() {
  const sent = await send('/api/kit/people', 'POST', { id: uuidv7(), name: name.value })
  problem.value = problemOf(sent)
  if (!sent.ok) return
  name.value = ''
  await refresh()
}
</script>

<template>
  <div>
    <KitRoom title="Places and people" add="Add a place" to="/kit/places/new" />
    <div class="kit-record">
      <BasePanel as="div" bare>
        <DataTable caption="Places" :rows="places ?? []" :columns="columns" :id-of="(place) => place.id">
          <template #cell="{ row, column }">
            <NuxtLink v-if="column.key === 'name'" :to="`/kit/places/${row.id}`" dir="auto">{{ row.name }}</NuxtLink>
            <template v-else-if="column.key === 'altitude'">{{
              row.altitudeM === null ? '' : shown(row.altitudeM, 'altitude', units)
            }}</template>
            <template v-else>{{ column.of!(row) }}</template>
          </template>
        </DataTable>
      </BasePanel>
      <BasePanel title="Who tests here" label="People">
        <ul class="mb-2">
          <li v-for="person in kit?.people" :key="person.id" dir="auto">
            {{ person.name }}
          </li>
        </ul>
        <form class="grid gap-2" novalidate @submit.prevent="addPerson">
          <TextBox v-model="name" label="A new tester" :problem="problem" />
          <BaseButton type="submit" class="justify-self-start">Add</BaseButton>
        </form>
      </BasePanel>
    </div>
  </div>
</template>
