<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { formatClock } from '#core/quantity/format'
import type { RunGroup, RunGroupLine, RunSort, RunSortKey } from '#shared/runList'
import type { RunLine } from '#shared/runRecord'

/** Runs, a line each, with ribbons on one time axis. However many there are, only those in view are drawn. */
const props = defineProps<{
  runs: RunLine[]
  count: number
  sort: RunSort
  group: RunGroup | null
  groups: RunGroupLine[]
  columns: RunColumnKey[]
  picked: ReadonlySet<string>
}>()
const emit = defineEmits<{ sort: [by: RunSortKey]; pick: [id: string]; pickAll: [is: boolean]; near: [] }>()
/** Up to so many are drawn whole, so that the page prints and copies as it stands. */
const DRAWN_WHOLE = 200
const ROW_PX = 36
const GROUP_PX = 36
const isAllPicked = computed(() => props.runs.length > 0 && props.runs.every((run) => props.picked.has(run.id)))
const spanS = computed(() => sharedSpan(props.runs.slice(0, DRAWN_WHOLE).map((run) => run.ribbon.endS)))
const hidden = (key: RunColumnKey) => (RUN_COLUMN[key].narrow ? '' : 'hidden md:table-cell')
const sorted = (key: RunColumnKey) =>
  RUN_COLUMN[key].sort === props.sort.by
    ? props.sort.down
      ? ('descending' as const)
      : ('ascending' as const)
    : undefined

type Row = { key: string; group: RunGroupLine } | { key: string; run: RunLine; at: number }
const rows = computed<Row[]>(() => {
  const { group } = props
  const heads = new Map(props.groups.map((one) => [one.id, one]))
  let before: string | null = null
  return props.runs.flatMap((run, i): Row[] => {
    const of = group === null ? null : groupOf(run, group)
    const head =
      of === null || of.id === before
        ? []
        : [{ key: `before ${run.id}`, group: heads.get(of.id) ?? { ...of, count: 0, lowGPerL: null, highGPerL: null } }]
    before = of?.id ?? null
    return [...head, { key: run.id, run, at: i }]
  })
})

const table = useTemplateRef<HTMLElement>('table')
/** Columns that go beyond the sheet are moved sideways; the head stays in sight only where they do not. */
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width: tablePx } = useElementSize(table)
const { width: sheetPx } = useElementSize(sheet)
const isWide = computed(() => tablePx.value > sheetPx.value + 1)
const top = ref(0)
onMounted(() => {
  top.value = (table.value?.getBoundingClientRect().top ?? 0) + window.scrollY
})
const whole = computed(() => props.count <= DRAWN_WHOLE)
const virtual = useWindowVirtualizer(
  computed(() => ({
    count: rows.value.length,
    estimateSize: (i: number) => ('group' in rows.value[i]! ? GROUP_PX : ROW_PX),
    overscan: 20,
    scrollMargin: top.value,
    enabled: !whole.value,
    initialRect: { width: 1280, height: 1600 },
    getItemKey: (i: number) => rows.value[i]!.key,
  })),
)
const seen = computed(() => virtual.value.getVirtualItems())
const shown = computed(() => (whole.value ? rows.value : seen.value.map((item) => rows.value[item.index]!)))
const above = computed(() => (whole.value ? 0 : Math.max(0, (seen.value[0]?.start ?? 0) - top.value)))
const below = computed(() =>
  whole.value ? 0 : Math.max(0, virtual.value.getTotalSize() - ((seen.value.at(-1)?.end ?? 0) - top.value)),
)
/** The end of what is here is near: more is wanted. */
watch(
  () => [seen.value.at(-1)?.index ?? 0, rows.value.length] as const,
  ([last, all]) => {
    if (!whole.value && last > all - 60) emit('near')
  },
)

const body = useTemplateRef<HTMLElement>('body')
const keys = useKeys()
const links = () => [...(body.value?.querySelectorAll<HTMLElement>('a[data-run]') ?? [])]
function step(by: number) {
  const all = links()
  all[Math.min(all.length - 1, Math.max(0, all.indexOf(document.activeElement as HTMLElement) + by))]?.focus()
}
keys.on('rowDown', () => step(1))
keys.on('rowUp', () => step(-1))
const idOfRow = () => document.activeElement?.closest('tr')?.dataset.id
keys.on('pick', () => {
  const id = idOfRow()
  if (id) emit('pick', id)
})
keys.on('again', () => {
  const id = idOfRow()
  if (id) void navigateTo({ path: '/bench/prepare', query: { again: id } })
})
</script>

<template>
  <BasePanel as="div" bare>
    <div ref="sheet" :class="isWide ? 'overflow-x-auto' : ''">
      <table ref="table" class="run-table" :aria-rowcount="count + 1">
        <caption class="sr-only">
          Runs
        </caption>
        <colgroup class="max-md:hidden">
          <col style="width: 36px" />
          <col v-for="key in columns" :key="key" :data-column="key" :style="{ width: `${RUN_COLUMN[key].em}em` }" />
        </colgroup>
        <thead>
          <tr>
            <th class="no-print w-8">
              <input
                type="checkbox"
                class="block"
                :aria-label="`Pick the ${runs.length} shown`"
                :checked="isAllPicked"
                @change="emit('pickAll', !isAllPicked)"
              />
            </th>
            <th
              v-for="key in columns"
              :key="key"
              :class="[hidden(key), RUN_COLUMN[key].figure ? 'text-right' : '']"
              :data-column="key"
              :aria-sort="sorted(key)"
            >
              <button
                v-if="RUN_COLUMN[key].sort"
                type="button"
                class="font-bold"
                :aria-label="RUN_COLUMN[key].words"
                @click="emit('sort', RUN_COLUMN[key].sort!)"
              >
                {{ RUN_COLUMN[key].head ?? RUN_COLUMN[key].words
                }}<span v-if="sorted(key)" class="ml-1" aria-hidden="true">{{ sort.down ? '↓' : '↑' }}</span>
              </button>
              <template v-else>{{ RUN_COLUMN[key].words }}</template>
              <span v-if="key === 'ribbon'" class="figures ml-1 font-normal text-ink-2"
                >0–{{ formatClock(spanS) }}</span
              >
              <span v-else-if="RUN_COLUMN[key].unit" class="ml-1 font-normal text-ink-2">{{
                RUN_COLUMN[key].unit
              }}</span>
            </th>
          </tr>
        </thead>
        <tbody ref="body">
          <tr v-if="above > 0" aria-hidden="true" :style="{ height: `${above}px` }" />
          <template v-for="row in shown" :key="row.key">
            <RunGroupRow
              v-if="'group' in row"
              :line="row.group"
              :group="group!"
              :span="columns.length + 1"
              :style="{ height: `${GROUP_PX}px` }"
            />
            <tr
              v-else
              :data-id="row.run.id"
              :aria-rowindex="row.at + 2"
              :class="picked.has(row.run.id) ? 'bg-ground' : ''"
              :style="{ height: `${ROW_PX}px` }"
            >
              <td class="no-print">
                <input
                  type="checkbox"
                  class="block"
                  :aria-label="`Pick ${row.run.setup}, ${dateInZone(row.run.startedAt, row.run.zone)}`"
                  :checked="picked.has(row.run.id)"
                  @change="emit('pick', row.run.id)"
                />
              </td>
              <td
                v-for="key in columns"
                :key="key"
                :class="[
                  hidden(key),
                  RUN_COLUMN[key].figure ? 'figures text-right whitespace-nowrap' : '',
                  key === 'when' ? 'figures md:whitespace-nowrap' : '',
                ]"
                :data-column="key"
              >
                <RunCell :run="row.run" :column="key" :span-s="spanS" />
              </td>
            </tr>
          </template>
          <tr v-if="below > 0" aria-hidden="true" :style="{ height: `${below}px` }" />
        </tbody>
      </table>
    </div>
  </BasePanel>
</template>
