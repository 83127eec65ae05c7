<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
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

/** What narrows the logbook beside the words of its sentence. It counts as it is chosen. */
const props = defineProps<{ query: RunListQuery; choices: RunChoices | null; count: number }>()
const emit = defineEmits<{ filter: [change: Partial<RunFilter>]; group: [by: RunGroup | null]; close: [] }>()
const LISTS = [
  { key: 'fuel', label: 'Fuel' },
  { key: 'person', label: 'Who' },
  { key: 'tag', label: 'Tag' },
] as const
const lists = computed(() => LISTS.filter((list) => (props.choices?.[list.key].length ?? 0) > 0))
const DATES = [
  { key: 'from', label: 'From' },
  { key: 'to', label: 'To' },
] as const
const REMARKS = RUN_REMARKS.map((remark) => ({ value: remark, label: REMARK_NAMES[remark] }))
const GROUPS = RUN_GROUPS.map((group) => ({ value: group, label: GROUP_NAMES[group] }))
const set = (key: keyof RunFilter, value: string) => emit('filter', { [key]: value })
const words = ref(props.query.filter.words)
const typed = useDebounceFn(() => set('words', words.value.trim()), 250)
</script>

<template>
  <BaseDrawer open title="Find in these" @close="emit('close')">
    <form class="grid gap-2" aria-label="Which runs" @submit.prevent="set('words', words.trim())">
      <BaseField v-slot="{ box }" label="Words" hint="Of a set-up, place, fuel, method, tester, tag or note.">
        <input v-bind="box" v-model="words" type="search" class="w-full" autocomplete="off" @input="typed" />
      </BaseField>
      <ChoiceBox
        v-for="list in lists"
        :key="list.key"
        :model-value="query.filter[list.key] || null"
        :label="list.label"
        :choices="countedChoices(choices, list.key)"
        empty="all"
        @update:model-value="set(list.key, $event ?? '')"
      />
      <ChoiceBox
        :model-value="query.filter.remark || null"
        label="Remark"
        :choices="REMARKS"
        empty="any"
        @update:model-value="set('remark', $event ?? '')"
      />
      <DateBox
        v-for="date in DATES"
        :key="date.key"
        :model-value="query.filter[date.key]"
        :label="date.label"
        @update:model-value="set(date.key, $event)"
      />
      <ChoiceBox
        :model-value="query.group"
        label="Group by"
        :choices="GROUPS"
        empty="nothing"
        @update:model-value="emit('group', $event as RunGroup | null)"
      />
      <CheckBox
        :model-value="query.filter.voided === 'shown'"
        label="Void ones too"
        @update:model-value="set('voided', $event ? 'shown' : '')"
      />
      <p class="mt-2 flex items-center gap-4">
        <BaseButton kind="main" @click="emit('close')">{{
          count === 1 ? 'Show 1 run' : `Show ${count.toLocaleString('en')} runs`
        }}</BaseButton>
        <NuxtLink to="/runs">Show all</NuxtLink>
      </p>
    </form>
  </BaseDrawer>
</template>
