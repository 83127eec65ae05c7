<script setup lang="ts">
import { runViewFrom, runViewQuery, type RunView } from '#shared/runOptions'
import type { TypedCorrection } from '#shared/correction'

/** A run's page: its ribbon, its figures, the ladder between them, the trace, what it rests on, and the working of each number. */
const route = useRoute()
const id = String(route.params.id)
const view = computed(() => runViewFrom(route.query))
const query = computed(() => runViewQuery(view.value))
const { data: page, error, refresh } = await useRunPage(id, query)
if (error.value) throw createError({ statusCode: error.value.statusCode ?? 500, message: error.value.data?.message ?? 'The run could not be read.', fatal: true })
useHead({ title: () => `${page.value?.record.setup ?? 'Run'} · Vulcanum` })

const margin = useMargin()
margin.clear()
const { units } = usePreferences()
const correcting = ref<TypedCorrection['what'] | null>(null)
const inView = useInView()
watchEffect(() => {
  if (page.value) inView.value = { then: thenSentence(page.value.record, units.value), broughtTo: `${view.value.reference.name}: ${referenceSentence(page.value.reference, units.value)}` }
})
onUnmounted(() => { inView.value = null })

const choose = (change: Partial<RunView>) => navigateTo({ query: runViewQuery({ ...view.value, ...change }) }, { replace: true })
const download = (what: string) => `/api/runs/${id}/${what}${Object.keys(query.value).length ? `?${new URLSearchParams(query.value).toString()}` : ''}`
const title = computed(() => (page.value ? `${page.value.record.setup}, ${dateInZone(page.value.record.startedAt, page.value.record.zone)}, brought to ${view.value.reference.name} (model ${view.value.model})` : ''))
</script>

<template>
  <div v-if="page" class="flex flex-col gap-4 xl:flex-row">
    <div class="min-w-0 flex-1 space-y-3">
      <RunHeading :record="page.record" />
      <RunFigures :answer="page.answer" />
      <RunView :view="view" :reference="page.reference" @choose="choose" />
      <RunLadder :answer="page.answer" :reference="page.reference" :title="title" @add="correcting = $event" />
      <RunRibbonFull :ribbon="page.ribbon" />
      <section v-if="page.trace.length > 1" aria-label="Trace" class="enamel p-3">
        <h2 class="mb-1">
          Water temperature
        </h2>
        <LazyRunTrace :trace="page.trace" :marks="page.ribbon.marks" :boiling-c="page.answer.boilingPointC" :fit="page.answer.traceFit" :found-s="page.answer.boilFound?.atS ?? null" />
        <RunTraceSays :answer="page.answer" />
        <RunTraceTable :trace="page.trace" />
      </section>
      <div class="grid items-start gap-3 lg:grid-cols-2">
        <RunOtherFigures :answer="page.answer" />
        <RunReadings :record="page.record" @correct="correcting = $event" />
        <RunSetup v-if="page.setup" :setup="page.setup" />
        <RunMonteCarlo v-if="page.answer.normalisedGPerL !== null" :run-id="id" :query="query" :download="download('monte-carlo')" />
      </div>
      <RunHistory v-if="page.record.history.length" :record="page.record" />
      <p class="no-print flex flex-wrap gap-3">
        <a class="act-quiet" :href="download('document')" download>Run as JSON</a>
        <a class="act-quiet" :href="download('results')" download>Results as CSV</a>
      </p>
    </div>
    <RunMargin v-if="!margin.hidden" :answer="page.answer" class="w-full shrink-0 xl:w-margin" />
    <RunCorrection v-if="correcting" :record="page.record" :what="correcting" @close="correcting = null" @corrected="correcting = null; refresh()" />
  </div>
</template>
