<script setup lang="ts">
import { StorageSerializers, useLocalStorage } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'

/** A question becomes a test day: what is compared, what is kept the same, who burns it when. */
useHead({ title: 'Plan a test day · Vulcanum' })
const { data: kit, error } = await useKit()
const route = useRoute()
/** The study has its id before the server has heard of it: sent twice, it is one. */
const id = useState('planId', () => uuidv7())
const asked = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
const paired = computed(() => kit.value?.methods.find(({ body }) => body.test === 'paired') ?? kit.value?.methods[0])
const form = ref<PlanForm>({
  id: id.value,
  revision: 0,
  setupIds: [asked('a'), asked('b')],
  methodId: paired.value?.id ?? null,
  fuelBatchId: null,
  placeId: kit.value?.places[0]?.id ?? null,
  water: `${Math.round((paired.value?.body.waterKg ?? 0.5) * 1000)} g`,
  start: '15 °C',
  setting: null,
  levelOf: null,
  levels: '',
  differencePct: '10',
  replicates: '4',
  day: '',
  days: '1',
  from: '08:00',
  to: '12:00',
  people: kit.value?.people.slice(0, 1).map((one) => one.id) ?? [],
  flames: '1',
  peopleBy: 'block',
  stations: 'bench',
  stationsBy: 'block',
  containerIds: [],
  cooledInWater: false,
})
/** Left half-way it stands as it was left, in this browser, until it is planned. */
const left = useLocalStorage<PlanForm | null>('vulcanum.plan', null, {
  initOnMounted: true,
  serializer: StorageSerializers.object,
})
onMounted(() => {
  if (left.value !== null && asked('a') === '') form.value = { ...left.value }
  form.value.day ||= tomorrowHere()
  watch(form, (now) => (left.value = JSON.parse(JSON.stringify(now)) as PlanForm), { deep: true })
})
const { problems, put } = usePlanForm(form, () => form.value.people[0] ?? null)
async function make() {
  const study = await put()
  if (study === null) return
  left.value = null
  clearNuxtState('planId')
  await navigateTo(`/plan/${study.id}`)
}
</script>

<template>
  <div class="max-w-6xl">
    <h1 class="mb-3">
      <NuxtLink to="/plan" class="text-base font-normal text-ink-2">Plan</NuxtLink>
      <span class="text-base font-normal text-ink-2"> › </span>A test day
    </h1>
    <BaseAlert v-if="error || !kit">The kit could not be read. Check that Vulcanum is running, then reload.</BaseAlert>
    <EmptyState
      v-else-if="kit.setups.length === 0"
      words="Nothing to burn yet. Describe a burner and a pot, and put them together as a set-up."
    >
      <BaseButton kind="main" to="/kit">Describe the kit</BaseButton>
    </EmptyState>
    <PlanForm v-else v-model="form" :kit="kit" :problems="problems" button="Plan it" @send="make" />
  </div>
</template>
