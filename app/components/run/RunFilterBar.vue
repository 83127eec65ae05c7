<script setup lang="ts">
import {
  GROUP_NAMES,
  REMARK_NAMES,
  RUN_GROUPS,
  RUN_REMARKS,
  type RunChoices,
  type RunFilter,
  type RunGroup,
  type RunListQuery,
} from '#shared/runList'

/** Which runs are listed, and in which groups. */
const props = defineProps<{ query: RunListQuery; choices: RunChoices | null; count: number }>()
const emit = defineEmits<{ filter: [change: Partial<RunFilter>]; group: [by: RunGroup | null] }>()
const LISTS = [
  { key: 'setup', label: 'Set-up' },
  { key: 'place', label: 'Place' },
  { key: 'fuel', label: 'Fuel' },
  { key: 'method', label: 'Method' },
  { key: 'person', label: 'Who' },
  { key: 'tag', label: 'Tag' },
] as const
const lists = computed(() => LISTS.filter((list) => (props.choices?.[list.key].length ?? 0) > 0))
const DATES = [
  { key: 'from', label: 'From' },
  { key: 'to', label: 'To' },
] as const
const ORIGINS = [
  { value: 'measured', label: 'measured' },
  { value: 'rehearsal', label: 'rehearsals' },
  { value: 'published', label: 'published elsewhere' },
  { value: 'all', label: 'all, mixed' },
]
const REMARKS = RUN_REMARKS.map((remark) => ({ value: remark, label: REMARK_NAMES[remark] }))
const GROUPS = RUN_GROUPS.map((group) => ({ value: group, label: GROUP_NAMES[group] }))
const countedChoices = (of: (typeof LISTS)[number]['key']) =>
  (props.choices?.[of] ?? []).map(({ id, name, count }) => ({ value: id, label: `${name} (${count})` }))
const set = (key: keyof RunFilter, value: string) => emit('filter', { [key]: value })
const valueOf = (event: Event) => (event.target as HTMLInputElement).value
/** On a phone the runs come first: what narrows them opens when asked for. */
const open = ref(false)
const words = ref(props.query.filter.words)
watch(
  () => props.query.filter.words,
  (now) => {
    words.value = now
  },
)
let typing: ReturnType<typeof setTimeout> | undefined
function typed() {
  clearTimeout(typing)
  typing = setTimeout(() => set('words', words.value.trim()), 250)
}
</script>

<template>
  <form
    class="no-print mb-3 flex flex-wrap items-end gap-3"
    aria-label="Which runs"
    @submit.prevent="set('words', words.trim())"
  >
    <label class="grid text-ink-2"
      >Words
      <input v-model="words" type="search" class="w-40" autocomplete="off" @input="typed" />
    </label>
    <button type="button" class="act-quiet md:hidden" :aria-expanded="open" @click="open = !open">
      {{ open ? 'Fewer filters' : 'Filters' }}
    </button>
    <div class="contents" :class="open ? '' : 'max-md:hidden'">
      <ChoiceBox
        v-for="list in lists"
        :key="list.key"
        :model-value="query.filter[list.key] || null"
        :label="list.label"
        :choices="countedChoices(list.key)"
        empty="all"
        above
        @update:model-value="set(list.key, $event ?? '')"
      />
      <ChoiceBox
        :model-value="query.filter.remark || null"
        label="Remark"
        :choices="REMARKS"
        empty="any"
        above
        @update:model-value="set('remark', $event ?? '')"
      />
      <ChoiceBox
        :model-value="query.filter.origin || 'measured'"
        label="Origin"
        :choices="ORIGINS"
        above
        @update:model-value="set('origin', $event === 'measured' ? '' : $event!)"
      />
      <label v-for="date in DATES" :key="date.key" class="grid text-ink-2"
        >{{ date.label }}
        <input type="date" class="figures" :value="query.filter[date.key]" @change="set(date.key, valueOf($event))" />
      </label>
      <ChoiceBox
        :model-value="query.group"
        label="Group by"
        :choices="GROUPS"
        empty="nothing"
        above
        @update:model-value="emit('group', $event as RunGroup | null)"
      />
      <label class="flex items-center gap-2 pb-1.5"
        ><input
          type="checkbox"
          :checked="query.filter.voided === 'shown'"
          @change="set('voided', ($event.target as HTMLInputElement).checked ? 'shown' : '')"
        />
        Void ones too</label
      >
    </div>
    <p class="pb-1.5" role="status" data-count>
      {{ count === 1 ? '1 run' : `${count.toLocaleString('en')} runs` }}
    </p>
  </form>
</template>
