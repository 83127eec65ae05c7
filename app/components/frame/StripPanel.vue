<script setup lang="ts">
import { isBurning } from '#core/run/benchStep'
import { MEASURED_NAMES, MEASURED_QUANTITIES } from '#shared/measuredQuantity'
import { NOW_QUANTITIES, readTypedNow, type NowQuantity, type TypedNow } from '#shared/nowConditions'
import type { FieldProblem } from '#shared/readProblems'

/** Now, as it is set; then, of the run in view; corrected to, its reference. */
const emit = defineEmits<{ done: [] }>()
const { now, save } = useNowConditions()
const { units } = usePreferences()
const inView = useInView()
const { data: kit } = await useKit()
const bench = useBench()

const placeId = ref(now.value?.place?.id ?? null)
const typed = reactive(
  Object.fromEntries(NOW_QUANTITIES.map((quantity) => [quantity, ''])) as Record<NowQuantity, string>,
)
const refused = ref<FieldProblem[]>([])
const places = computed(() => namedChoices(kit.value?.places ?? []))
const form = computed<TypedNow>(() => ({
  units: units.value,
  placeId: placeId.value,
  measured: { ...typed },
  clear: [],
}))
const problemAt = (path: string) => {
  const read = readTypedNow(form.value)
  return [...(read.ok ? [] : read.problems), ...refused.value].find((problem) => problem.path === path)?.text
}
const lastOf = (quantity: NowQuantity) => now.value?.readings.find((one) => one.quantity === quantity)?.typed

async function keep() {
  if (!readTypedNow(form.value).ok) return
  refused.value = await save(form.value)
  if (refused.value.length > 0) return
  changed.value = NOW_QUANTITIES.filter((quantity) => typed[quantity].trim() !== '')
  if (changed.value.length === 0 || burning.value.length === 0) emit('done')
}
/** What burns was set up with the conditions of then: whether it follows is asked, never guessed. */
const changed = ref<NowQuantity[]>([])
const burning = computed(() => bench.lanes.filter((lane) => isBurning(lane.state)))
const asking = computed(() => changed.value.length > 0 && burning.value.length > 0)
async function follow() {
  for (const lane of burning.value)
    for (const quantity of changed.value) await bench.read(lane, quantity, typed[quantity].trim())
  emit('done')
}
</script>

<template>
  <div class="grid gap-6 border-t border-edge p-4 md:grid-cols-3">
    <section
      v-if="asking"
      class="grid content-start gap-3 md:col-span-2 lg:col-span-1"
      aria-label="Do burning runs follow?"
      role="group"
    >
      <h2>
        {{
          burning.length === 1
            ? `Lane ${burning[0]!.lane} burns`
            : `Lanes ${burning.map((lane) => lane.lane).join(', ')} burn`
        }}. {{ burning.length === 1 ? 'Does it' : 'Do they' }} follow?
      </h2>
      <p>{{ changed.map((quantity) => `${MEASURED_NAMES[quantity]} ${typed[quantity].trim()}`).join(', ') }}</p>
      <p class="flex flex-wrap gap-2">
        <BaseButton kind="main" glove @click="follow">Yes, it is read there too</BaseButton>
        <BaseButton glove @click="emit('done')">No, only what comes next</BaseButton>
      </p>
      <p class="text-ink-2">Where it follows, the reading before is kept beside the new one.</p>
    </section>
    <form
      v-else
      class="grid content-start gap-2 md:col-span-2 lg:col-span-1"
      aria-label="Now"
      novalidate
      @submit.prevent="keep"
    >
      <h2>Now</h2>
      <ChoiceBox
        v-model="placeId"
        label="Place"
        :choices="places"
        empty="Nowhere in the list"
        :problem="problemAt('placeId')"
      />
      <QuantityBox
        v-for="quantity in NOW_QUANTITIES"
        :key="quantity"
        v-model="typed[quantity]"
        :label="MEASURED_NAMES[quantity]"
        :kind="MEASURED_QUANTITIES[quantity]"
        :units="units"
        :problem="problemAt(`measured.${quantity}`)"
        :example="lastOf(quantity) ? `last read ${lastOf(quantity)}` : 'not read'"
      />
      <BaseAlert v-if="problemAt('')">
        {{ problemAt('') }}
      </BaseAlert>
      <BaseButton kind="main" type="submit" class="justify-self-start">Set what is so now</BaseButton>
    </form>
    <section>
      <h2>Then</h2>
      <p>{{ inView?.then ?? 'No run is in view.' }}</p>
    </section>
    <section>
      <h2>Corrected to</h2>
      <p>{{ inView?.correctedTo ?? 'No figure is in view.' }}</p>
    </section>
  </div>
</template>
