<script setup lang="ts">
import { idsOfNames, readRunList, writeRunList, type RunFilter, type RunSortKey } from '#shared/runList'

/** The logbook: the runs with their ribbons, filtered, sorted and grouped as the address says. */
useHead({ title: 'Runs · Vulcanum' })
const route = useRoute()
const { asked: query, ask: go } = useAskedQuery(readRunList, writeRunList)
const { lines, shown, count, next, failed, more, again, choices, groups, error } = await useRunList(query)
const { columns, toggle } = useRunColumns()
function sortBy(by: RunSortKey) {
  const { sort } = query.value
  void go({ ...query.value, sort: { by, down: sort.by === by ? !sort.down : by === 'startedAt' } })
}
/** A view or a bookmark that was kept when runs were found by names. */
function fromNames() {
  const ids = choices.value ? idsOfNames(route.query, choices.value) : null
  if (ids !== null) void go(readRunList({ ...route.query, ...ids }))
}
onMounted(fromNames)
watch(() => route.query, fromNames)
const isPlain = computed(() => Object.keys(route.query).length === 0)

const picked = ref(new Set<string>())
const pickNone = () => {
  picked.value = new Set()
}
watch(() => route.fullPath, pickNone)

const { left, ask } = useFiguresLeft(again)
const changed = ref('')
async function done(said: string) {
  changed.value = said
  await again()
  void ask()
}
const narrow = (change: Partial<RunFilter>) => go({ ...query.value, filter: { ...query.value.filter, ...change } })

/** Which of the drawers is open. */
const drawer = ref<'find' | 'columns' | null>(null)
const { said, problem, download } = useRunExport(
  picked,
  computed(() => query.value.filter),
)
const files = computed(() => {
  const of = picked.value.size > 0 ? `the ${picked.value.size} picked` : `all ${count.value.toLocaleString('en')} shown`
  return [
    { words: 'CSV', about: `A table of ${of}, for any program`, act: () => download('csv') },
    { words: 'Excel', about: `The same as a workbook`, act: () => download('xlsx') },
    { words: 'JSON', about: `All that is known of ${of}`, act: () => download('json') },
    { words: 'Bring runs in', about: 'From a table or a logger’s file', act: () => navigateTo('/runs/import') },
  ]
})
const FORMATS = ['csv', 'xlsx', 'json'] as const
useActs(() => [
  ...FORMATS.map((format) => ({ words: `Export these runs as ${format.toUpperCase()}`, act: () => download(format) })),
  { words: 'Find in these runs', act: () => (drawer.value = 'find') },
  { words: 'Choose columns', act: () => (drawer.value = 'columns') },
])
</script>

<template>
  <div>
    <BaseAlert v-if="error"> The runs could not be read. Check that Vulcanum is running, then reload. </BaseAlert>
    <EmptyState v-else-if="count === 0 && isPlain" title="Runs" words="Nothing burned here yet.">
      <BaseButton kind="main" to="/burn">Burn one now</BaseButton>
      <BaseButton to="/runs/new">Log a run from the notebook</BaseButton>
      <BaseButton to="/runs/import">Bring runs in from a file</BaseButton>
    </EmptyState>
    <template v-else>
      <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>Runs</h1>
        <RunSentence
          :query="query"
          :choices="choices ?? null"
          :count="count"
          class="basis-80"
          @filter="narrow"
          @sort="go({ ...query, sort: $event })"
          @group="go({ ...query, group: $event })"
        />
        <div class="no-print flex flex-wrap gap-2">
          <BaseButton aria-haspopup="dialog" @click="drawer = 'find'">Find in these</BaseButton>
          <BaseButton class="max-md:hidden" aria-haspopup="dialog" @click="drawer = 'columns'">Columns</BaseButton>
          <BaseMenu label="Export" :entries="files" />
          <BaseButton kind="main" to="/runs/new">Log a run</BaseButton>
        </div>
      </div>
      <p v-if="said || changed || left > 0" role="status" class="mb-2">
        {{ said }} {{ changed }}
        <span v-if="left > 0" data-figures-left
          >{{ left === 1 ? '1 figure is' : `${left.toLocaleString('en')} figures are` }} being worked out anew.</span
        >
      </p>
      <BaseAlert v-if="problem" class="mb-2">{{ problem }}</BaseAlert>
      <template v-if="lines.length">
        <RunTable
          :runs="lines"
          :count="count"
          :sort="shown.sort"
          :group="shown.group"
          :groups="groups ?? []"
          :columns="columns"
          :picked="picked"
          @sort="sortBy"
          @pick="picked = $event"
          @near="more"
        />
        <BaseAlert v-if="failed" class="mt-2">
          The next runs could not be read. <BaseButton kind="plain" @click="more">Try again</BaseButton>
        </BaseAlert>
        <p v-else-if="next" class="mt-2 text-ink-2">
          {{ lines.length.toLocaleString('en') }} of {{ count.toLocaleString('en') }} read; the rest comes as you go
          down.
        </p>
        <RunPicked v-if="picked.size" :picked="picked" @done="done" @clear="pickNone" />
      </template>
      <p v-else>No runs match. <NuxtLink to="/runs">Show all</NuxtLink>.</p>
      <p class="mt-3 flex gap-4">
        <NuxtLink v-if="!isPlain" to="/runs">Show all, newest first</NuxtLink>
        <NuxtLink to="/numbers">How the numbers are made</NuxtLink>
      </p>
    </template>
    <LazyRunFilters
      v-if="drawer === 'find'"
      :query="query"
      :choices="choices ?? null"
      :count="count"
      @filter="narrow"
      @group="go({ ...query, group: $event })"
      @close="drawer = null"
    />
    <LazyRunViews v-if="drawer === 'columns'" :columns="columns" @column="toggle" @close="drawer = null" />
  </div>
</template>
