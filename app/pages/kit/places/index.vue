<script setup lang="ts">
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
const name = ref('')
const problem = ref('')
async function addPerson() {
  const sent = await sendTo('/api/kit/people', 'POST', { id: uuidv7(), name: name.value })
  problem.value = sent.ok ? '' : sent.problems[0]!.text
  if (!sent.ok) return
  name.value = ''
  await refresh()
}
</script>

<template>
  <div>
    <h1 class="mb-2">Places and people</h1>
    <KitNav />
    <p class="mb-3">
      <BaseButton kind="main" to="/kit/places/new">Add a place</BaseButton>
    </p>
    <BasePanel as="div" bare class="mb-4 overflow-x-auto">
      <table class="w-full border-collapse">
        <caption class="sr-only">
          Places
        </caption>
        <thead>
          <tr class="border-b border-edge text-left">
            <th class="p-2">Place</th>
            <th class="p-2 text-right">Altitude</th>
            <th class="p-2 text-right">Water boils at</th>
            <th class="hidden p-2 md:table-cell">Time zone</th>
            <th class="p-2 text-right">Runs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="place in places" :key="place.id" class="border-b border-edge last:border-b-0">
            <td class="p-2">
              <NuxtLink :to="`/kit/places/${place.id}`" dir="auto">{{ place.name }}</NuxtLink>
            </td>
            <td class="figures p-2 text-right">
              {{ place.altitudeM === null ? '' : shown(place.altitudeM, 'altitude', units) }}
            </td>
            <td class="figures p-2 text-right">{{ boils(place) }}</td>
            <td class="hidden p-2 md:table-cell">{{ place.zone }}</td>
            <td class="figures p-2 text-right">{{ place.runs }}</td>
          </tr>
        </tbody>
      </table>
    </BasePanel>
    <BasePanel title="Who tests here" class="max-w-xl" label="People">
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
</template>
