<script setup lang="ts">
/** Asked once where a lane is prepared at another place than the strip says: has one moved? */
const props = defineProps<{ placeId: string | null; places: { id: string; name: string }[] }>()
const { now, moveTo } = useNowConditions()
const { units } = usePreferences()
const answered = ref<string | null>(null)
const problem = ref('')
const place = computed(() => props.places.find((one) => one.id === props.placeId) ?? null)
const here = computed(() => now.value?.place ?? null)
const asks = computed(
  () =>
    here.value !== null &&
    place.value !== null &&
    place.value.id !== here.value.id &&
    place.value.id !== answered.value,
)

async function move() {
  const problems = await moveTo(place.value!.id, units.value)
  problem.value = problems[0]?.text ?? ''
}
</script>

<template>
  <div v-if="asks" role="group" :aria-label="`Now at ${place!.name}?`" class="border-l-4 border-edge pl-3">
    <p>
      The strip says you are at <span dir="auto">{{ here!.name }}</span>.
    </p>
    <p class="mt-1 flex flex-wrap gap-2">
      <BaseButton dir="auto" @click="move">{{ `Now at ${place!.name}` }}</BaseButton>
      <BaseButton @click="answered = place!.id">Leave the strip</BaseButton>
    </p>
    <BaseAlert v-if="problem" class="mt-1">{{ problem }}</BaseAlert>
  </div>
</template>
