<script setup lang="ts">
import type { Origin } from '#core/formats/document'
import type { RunChoices, RunFilter, RunGroup, RunListQuery, RunSort } from '#shared/runList'

/** What the logbook shows, as a sentence whose parts are pressed to show something else. */
const props = defineProps<{ query: RunListQuery; choices: RunChoices | null; count: number }>()
const emit = defineEmits<{ filter: [change: Partial<RunFilter>]; sort: [by: RunSort]; group: [by: RunGroup | null] }>()
const PARTS = [
  { key: 'setup', before: 'of', label: 'Set-up', empty: 'every set-up' },
  { key: 'method', before: 'by', label: 'Method', empty: 'any method' },
  { key: 'place', before: 'at', label: 'Place', empty: 'any place' },
] as const
const further = computed(() => furtherParts(props.query.filter, props.choices))
const grouped = computed(() => groupWords(props.query))
</script>

<template>
  <p class="min-w-0 flex-1 text-[15px] leading-8" data-sentence>
    <strong class="figures" data-count role="status">{{
      count === 1 ? '1 run' : `${count.toLocaleString('en')} runs`
    }}</strong>
    <template v-for="part in PARTS" :key="part.key">
      {{ ` ${part.before} `
      }}<WordChoice
        :model-value="query.filter[part.key] || null"
        :label="part.label"
        :empty="part.empty"
        :choices="sentenceChoices(choices, part.key)"
        @update:model-value="emit('filter', { [part.key]: $event ?? '' })"
      /> </template
    >,
    <WordChoice
      :model-value="query.filter.origin || 'measured'"
      label="Origin"
      :choices="ORIGIN_CHOICES"
      @update:model-value="emit('filter', { origin: $event === 'measured' ? '' : ($event as Origin | 'all') })"
    /><template v-for="part in further" :key="part.words"
      >,
      <BaseButton kind="plain" :aria-label="`Take out: ${part.words}`" @click="emit('filter', part.change)"
        ><span dir="auto">{{ part.words }}</span
        ><span aria-hidden="true"> ×</span></BaseButton
      ></template
    >,
    <WordChoice
      :model-value="sortId(query.sort)"
      label="Order"
      :choices="SORT_CHOICES"
      @update:model-value="emit('sort', sortOfId($event!))"
    /><template v-if="grouped"
      >,
      <BaseButton kind="plain" :aria-label="`Take out: ${grouped}`" @click="emit('group', null)"
        >{{ grouped }}<span aria-hidden="true"> ×</span></BaseButton
      ></template
    >
  </p>
</template>
