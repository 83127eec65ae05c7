<script setup lang="ts">
import { runViewQuery, type RunView } from '#shared/runOptions'
import { MEASURED_QUANTITIES } from '#shared/measuredQuantity'
import type { TypedCorrection } from '#shared/correction'
import type { Corrected } from '#shared/correctable'

/**
 * A run's page: its ribbon, its figures, the ladder between them, the trace, what it rests on, and the working of each
 * number.
 */
const route = useRoute()
const id = String(route.params.id)
/** The address as it stands: the server reads it with the conventions of the run's method. */
const query = computed(() =>
  Object.fromEntries(
    Object.entries(route.query).filter((pair): pair is [string, string] => typeof pair[1] === 'string'),
  ),
)
const { data: page, error, refresh } = await useRunPage(id, query)
if (error.value)
  throw createError({
    statusCode: error.value.statusCode ?? 500,
    message: error.value.data?.problems?.[0]?.text ?? 'The run could not be read.',
    fatal: true,
  })
useHead({ title: () => `${page.value?.record.setup ?? 'Run'} · Vulcanum` })

const margin = useMargin()
margin.clear()
const { units } = usePreferences()
const correcting = ref<Corrected | null>(null)
const inView = useInView()
watchEffect(() => {
  if (page.value)
    inView.value = {
      then: thenSentence(page.value.record, units.value),
      correctedTo: `${page.value.view.reference.name}: ${referenceSentence(page.value.reference, units.value)}`,
    }
})
onUnmounted(() => {
  inView.value = null
})

/** Chosen, and not yet answered: the next choice is made on top of it. */
let chosen: RunView | null = null
watch(page, () => {
  chosen = null
})
const router = useRouter()
function choose(change: Partial<RunView>) {
  const { view, conventions } = page.value!
  chosen = { ...(chosen ?? view), ...change }
  void router.replace({ query: runViewQuery(chosen, conventions) })
}
function addReading(name: string) {
  if (name in MEASURED_QUANTITIES) correcting.value = { what: name as TypedCorrection['what'] }
}
function corrected() {
  correcting.value = null
  void refresh()
}
const download = (what: string) =>
  `/api/runs/${id}/${what}${Object.keys(query.value).length ? `?${new URLSearchParams(query.value).toString()}` : ''}`
const title = computed(() => {
  if (!page.value) return ''
  const { record, view } = page.value
  const burned = dateInZone(record.startedAt, record.zone)
  return `${record.setup}, ${burned}, corrected to ${view.reference.name} (model ${view.model})`
})
useActs(() => [
  { words: 'This run again, on a lane', act: () => navigateTo({ path: '/bench/prepare', query: { again: id } }) },
  { words: 'Log another run like this', act: () => navigateTo({ path: '/runs/new', query: { again: id } }) },
  { words: 'Print this run', act: () => window.print() },
  { words: 'This run as JSON', act: () => window.location.assign(download('document')) },
  { words: 'Its results as CSV', act: () => window.location.assign(download('results')) },
])
</script>

<template>
  <!-- The margin's column stands before the margin has come: nothing moves when it does. -->
  <div v-if="page" class="with-margin" :data-margin="margin.hidden ? undefined : ''">
    <div class="min-w-0 space-y-3">
      <RunHeading
        :record="page.record"
        :bench-notes="page.benchNotes"
        :void-reason="page.voids.at(-1)?.reason ?? null"
      />
      <RunContents :page="page" />
      <LazyRunRehearsed v-if="page.rehearsed" :rehearsed="page.rehearsed" />
      <RunFigures :answer="page.answer">
        <RunView :view="page.view" :reference="page.reference" @choose="choose" />
      </RunFigures>
      <RunLadder
        :answer="page.answer"
        :reference="page.reference"
        :title="title"
        @add="correcting = { what: $event }"
      />
      <RunRibbonFull :ribbon="page.ribbon" />
      <RunTracePanel v-if="page.trace.length > 1" :page="page" :file="`trace-${id}`" />
      <LazyRunChannels v-if="page.channels.length" :channels="page.channels" />
      <!-- Two columns, each as long as it is: no holes between what is short and what is long. -->
      <div class="grid items-start gap-3 lg:grid-cols-2">
        <div class="space-y-3">
          <RunReadings id="readings" :record="page.record" @correct="correcting = $event" />
          <RunObservations id="seen" :page="page" @changed="refresh()" />
          <PhotoShelf id="photos" owner="run" :owner-id="id" :photos="page.photos" timed @changed="refresh()" />
          <RunMonteCarlo
            v-if="page.answer.normalisedGPerL !== null"
            :run-id="id"
            :query="query"
            :download="download('monte-carlo')"
          />
          <BasePanel title="Files" tight class="no-print">
            <p class="flex flex-wrap gap-2">
              <BaseButton :href="download('document')" download>Run as JSON</BaseButton>
              <BaseButton :href="download('results')" download>Results as CSV</BaseButton>
              <BaseButton :to="{ path: '/runs/import', query: { run: id } }">Bring a logger’s file in</BaseButton>
            </p>
          </BasePanel>
          <LazyRunPresses v-if="page.presses.length" :presses="page.presses" />
        </div>
        <div class="space-y-3">
          <RunOtherFigures id="figures" :answer="page.answer" :cost="page.cost" />
          <RunMethod
            v-if="page.findings"
            id="method"
            :record="page.record"
            :findings="page.findings"
            :claim="page.claim"
            @add="addReading"
          />
          <RunSetup v-if="page.setup" id="setup" :setup="page.setup" :own="page.answer.mean" />
          <RunCare id="decisions" :page="page" @changed="refresh()" />
          <LazyRunHistory
            v-if="page.record.history.length || page.changed.length"
            id="history"
            :record="page.record"
            :changed="page.changed"
          />
        </div>
      </div>
    </div>
    <RunMargin v-if="!margin.hidden" :answer="page.answer" />
    <LazyRunCorrection
      v-if="correcting"
      :record="page.record"
      v-bind="correcting"
      @close="correcting = null"
      @corrected="corrected"
    />
  </div>
</template>
