<script setup lang="ts">
import type { ImportLine } from '#shared/tableImport/imports'

/** Runs, traces and whole workspaces brought in from files. */
useHead({ title: 'Bring runs in · Vulcanum' })
const route = useRoute()
const { data: imports, error } = await useFetch<ImportLine[]>('/api/imports')
const runId = computed(() => (typeof route.query.run === 'string' ? route.query.run : undefined))
</script>

<template>
  <div class="grid max-w-4xl grid-cols-1 gap-4">
    <div>
      <h1>Bring runs in</h1>
      <p class="text-ink-2">
        {{
          runId
            ? 'A logger’s file for the run you came from.'
            : 'A table with a row for each run, a logger’s file for one run, or a document of runs that Vulcanum wrote.'
        }}
      </p>
    </div>
    <BaseAlert v-if="error">
      What was brought in before could not be read. Check that Vulcanum is running, then reload.
    </BaseAlert>
    <ImportFile :run-id="runId" />
    <ImportList :imports="imports ?? []" />
    <ImportWorkspace v-if="!runId" />
  </div>
</template>
