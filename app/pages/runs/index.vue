<script setup lang="ts">
import { idsOfNames, readRunList, writeRunList, type RunSortKey } from '#shared/runList'

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
function pick(id: string) {
  const now = new Set(picked.value)
  if (!now.delete(id)) now.add(id)
  picked.value = now
}
const pickNone = () => {
  picked.value = new Set()
}
const pickShown = () => {
  picked.value = new Set(lines.value.map((line) => line.id))
}
watch(() => route.fullPath, pickNone)

const { left, ask } = useFiguresLeft(again)
async function changed() {
  await again()
  void ask()
}
</script>

<template>
  <div>
    <div class="mb-3 flex flex-wrap items-center gap-4">
      <h1>Runs</h1>
      <NuxtLink to="/runs/new" class="act">Log a run</NuxtLink>
      <NuxtLink to="/runs/import" class="act-quiet">Bring runs in</NuxtLink>
      <NuxtLink to="/numbers" class="ml-auto">How the numbers are made</NuxtLink>
    </div>
    <p v-if="error" role="alert" class="font-bold">
      The runs could not be read. Check that Vulcanum is running, then reload.
    </p>
    <p v-else-if="count === 0 && isPlain">
      Nothing burned here yet. <NuxtLink to="/runs/new">Log the first run</NuxtLink>, or
      <NuxtLink to="/runs/import">bring a table in</NuxtLink>.
    </p>
    <template v-else>
      <RunFilterBar
        :query="query"
        :choices="choices ?? null"
        :count="count"
        @filter="go({ ...query, filter: { ...query.filter, ...$event } })"
        @group="go({ ...query, group: $event })"
      />
      <p v-if="query.filter.import" class="mb-2">
        Those that came in with <NuxtLink :to="`/runs/import/${query.filter.import}`">one file</NuxtLink> alone.
        <NuxtLink to="/runs">Show all</NuxtLink>
      </p>
      <RunViews :columns="columns" @column="toggle" />
      <p v-if="left > 0" role="status" class="mb-2" data-figures-left>
        {{ left === 1 ? '1 figure is' : `${left.toLocaleString('en')} figures are` }} being worked out anew.
      </p>
      <template v-if="lines.length">
        <RunPicked
          :picked="picked"
          :filter="query.filter"
          :count="count"
          :loaded="lines.length"
          @done="changed"
          @clear="pickNone"
          @all="pickShown"
        />
        <RunTable
          :runs="lines"
          :count="count"
          :sort="shown.sort"
          :group="shown.group"
          :groups="groups ?? []"
          :columns="columns"
          :picked="picked"
          @sort="sortBy"
          @pick="pick"
          @near="more"
        />
        <p v-if="failed" role="alert" class="mt-2 font-bold">
          The next runs could not be read. <button type="button" class="underline" @click="more">Try again</button>
        </p>
        <p v-else-if="next" class="mt-2 text-ink-2">
          {{ lines.length.toLocaleString('en') }} of {{ count.toLocaleString('en') }} read; the rest comes as you go
          down.
        </p>
      </template>
      <p v-else>No runs match. <NuxtLink to="/runs">Show all</NuxtLink>.</p>
    </template>
  </div>
</template>
