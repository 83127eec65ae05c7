<script setup lang="ts" generic="T">
import type { TableSort } from '~/composables/useDataTable'

/** The head of a table's column: what it is, in what, and a press that sorts by it. */
const props = defineProps<{ column: DataColumn<T>; sorted?: TableSort }>()
const emit = defineEmits<{ sort: [] }>()
const isSorted = computed(() => props.sorted?.by === props.column.key)
const direction = computed(() =>
  isSorted.value ? (props.sorted!.down ? ('descending' as const) : ('ascending' as const)) : undefined,
)
</script>

<template>
  <th
    scope="col"
    :class="[column.wide ? 'max-md:hidden' : '', column.figure ? 'text-right' : '']"
    :data-column="column.key"
    :aria-sort="direction"
  >
    <button v-if="column.sorts" type="button" class="font-bold" :aria-label="column.words" @click="emit('sort')">
      {{ column.head ?? column.words
      }}<span v-if="isSorted" class="ml-1" aria-hidden="true">{{ sorted!.down ? '↓' : '↑' }}</span>
    </button>
    <template v-else>{{ column.head ?? column.words }}</template>
    <span v-if="column.unit" class="ml-1 font-normal text-ink-2">{{ column.unit }}</span>
  </th>
</template>
