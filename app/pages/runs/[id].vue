<script setup lang="ts">
/** A run's page: its figures, the rungs between them, what it rests on, and the working of each number. */
const route = useRoute()
const id = String(route.params.id)
const { data: page, error } = await useRunPage(id)
if (error.value) throw createError({ statusCode: error.value.statusCode ?? 500, message: error.value.data?.message ?? 'The run could not be read.', fatal: true })
useHead({ title: () => `${page.value?.record.setup ?? 'Run'} · Vulcanum` })
const margin = useMargin()
margin.close()
</script>

<template>
  <div v-if="page" class="flex flex-col gap-4 xl:flex-row">
    <div class="min-w-0 flex-1 space-y-4">
      <RunHeading :record="page.record" />
      <RunFigures :answer="page.answer" />
      <RunRungs :answer="page.answer" :reference="page.reference" />
      <div class="grid gap-4 lg:grid-cols-2">
        <RunOtherFigures :answer="page.answer" />
        <RunReadings :record="page.record" />
      </div>
      <p class="no-print flex flex-wrap gap-3">
        <a class="act-quiet" :href="`/api/runs/${id}/document`" download>Run as JSON</a>
        <a class="act-quiet" :href="`/api/runs/${id}/results`" download>Results as CSV</a>
      </p>
    </div>
    <RunMargin :answer="page.answer" class="w-full shrink-0 xl:w-margin" />
  </div>
</template>
