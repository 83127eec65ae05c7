<script setup lang="ts">
/** The runs, with their ribbons: filtered and sorted as the address says. */
useHead({ title: 'Runs · Vulcanum' })
const { data: runs, error } = await useRunList()
const route = useRoute()
const query = computed(() => readRunQuery(route.query))
const selected = computed(() => selectRuns(runs.value ?? [], query.value.sort, query.value.filter))
const go = (sort: RunSort, filter: RunFilter) => navigateTo({ query: writeRunQuery(sort, filter) }, { replace: true })
const sortBy = (by: RunSortKey) => go({ by, down: query.value.sort.by === by ? !query.value.sort.down : by === 'startedAt' }, query.value.filter)
</script>

<template>
  <div>
    <div class="mb-3 flex flex-wrap items-center gap-4">
      <h1>Runs</h1>
      <NuxtLink to="/runs/new" class="act">Log a run</NuxtLink>
      <NuxtLink to="/numbers" class="ml-auto">How the numbers are made</NuxtLink>
    </div>
    <p v-if="error" role="alert" class="font-bold">
      The runs could not be read. Check that Vulcanum is running, then reload.
    </p>
    <p v-else-if="!runs?.length">
      Nothing burned here yet. <NuxtLink to="/runs/new">Log the first run</NuxtLink>.
    </p>
    <template v-else>
      <RunFilterBar :runs="runs" :filter="query.filter" :count="selected.length" @change="go(query.sort, $event)" />
      <RunTable v-if="selected.length" :runs="selected" :sort="query.sort" @sort="sortBy" />
      <p v-else>
        No run passes. <NuxtLink to="/runs">Show all</NuxtLink>.
      </p>
    </template>
  </div>
</template>
