<script setup lang="ts">
import type { KitChoices } from '#shared/kitChoices'
import { targetOf } from '#shared/tableImport/targets'
import type { TopKey } from '~/composables/useNotebook'

/** A page of the notebook: what was the same on top, a row a run; stored together, and undone together. */
const props = defineProps<{ kit: KitChoices }>()
const notebook = useNotebook(props.kit)
const { page, columns, more, filled, problems, topProblems, refused, storing } = notebook
const tried = ref(false)
/** What it begins with is known. */
const isKnown = ref(false)
const grid = useTemplateRef<{ focusOn: (row: number, key: string | null) => void }>('grid')
const undo = useUndo()
const problemAt = (key: TopKey) => (tried.value ? topProblems.value.find((one) => one.key === key)?.text : undefined)
const moreChoices = computed(() => more.value.map((key) => ({ value: key, label: targetOf(key)!.name })))
const count = computed(() => filled.value.length)
onMounted(async () => {
  page.value.zone = props.kit.places.find((one) => one.id === page.value.placeId)?.zone ?? zoneHere()
  if (count.value > 0) void notebook.load()
  const like = page.value.setupId === '' ? await readLike({}) : null
  if (like) takeTop(like.chosen)
  isKnown.value = true
})
watch(
  () => page.value.placeId,
  (id) => {
    page.value.zone = props.kit.places.find((one) => one.id === id)?.zone ?? zoneHere()
  },
)
function takeTop(chosen: Partial<Record<keyof NotebookPage, unknown>>) {
  for (const key of ['setupId', 'fuelBatchId', 'methodId', 'personId', 'placeId'] as const)
    if (chosen[key]) Object.assign(page.value, { [key]: chosen[key] })
}
function remove(row: number) {
  const [taken] = page.value.rows.splice(row, 1)
  undo.offer(`Row ${row + 1} is out.`, () => page.value.rows.splice(row, 0, taken!))
}
function clearAll() {
  const before = { ...page.value }
  notebook.clear()
  undo.offer('The page is empty.', () => {
    page.value = before
  })
}
async function store(again = false) {
  tried.value = true
  await notebook.load()
  if (topProblems.value.length > 0 || count.value === 0) return
  const [first] = problems.value
  if (first) return grid.value?.focusOn(first.row, first.key)
  const stored = await notebook.store(again)
  if (stored === null) return
  notebook.clear()
  await navigateTo(`/runs/import/${stored}`)
}
</script>

<template>
  <BasePanel
    v-if="isKnown"
    as="form"
    class="grid grid-cols-1 gap-3"
    label="Notebook page"
    novalidate
    @submit.prevent="store()"
  >
    <NotebookTop v-model="page" :kit="kit" :problem-at="problemAt" />
    <div class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-edge pt-2">
      <BareUnits v-model="page.units" />
      <span
        ><WordChoice
          :model-value="null"
          label="A column more"
          empty="Add a column"
          :choices="moreChoices"
          @update:model-value="$event && page.added.push($event as (typeof page.added)[number])"
      /></span>
      <span class="text-ink-2">A ditto mark (") says what the row above says. Enter goes down.</span>
    </div>
    <NotebookGrid
      ref="grid"
      v-model="page"
      :columns="columns"
      :problems="problems"
      @typed="notebook.load()"
      @remove="remove"
    />
    <BaseAlert v-if="refused">
      {{ refused }} <BaseButton kind="plain" @click="store(true)">Store it all the same</BaseButton>
    </BaseAlert>
    <div class="log-save">
      <BaseButton kind="main" type="submit" :disabled="storing || count === 0">
        {{ storing ? 'Storing' : count === 1 ? 'Store 1 run' : `Store ${count} runs` }}
      </BaseButton>
      <UndoLine :undo="undo" />
      <span v-if="problems.length" role="status">
        {{ problems.length === 1 ? 'One cell wants another look.' : `${problems.length} cells want another look.` }}
      </span>
      <span v-else class="text-ink-2">Kept in this browser as you type. All of it is stored, or nothing.</span>
      <BaseButton v-if="count > 0" class="ml-auto" @click="clearAll">Empty the page</BaseButton>
    </div>
  </BasePanel>
  <p v-else>Opening the page.</p>
</template>
