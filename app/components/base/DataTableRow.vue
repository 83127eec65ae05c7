<script setup lang="ts" generic="T extends object">
/** A row of a table: drawn anew when something of it changes, not when its neighbour is picked. */
interface TableRow {
  id: string
  original: T
  getToggleSelectedHandler: () => (event: unknown) => void
}
defineProps<{
  row: TableRow
  at: number
  columns: readonly DataColumn<T>[]
  /** Null: rows cannot be picked. */
  picked: boolean | null
  name: string
}>()
</script>

<template>
  <tr :data-id="row.id" :aria-rowindex="at + 2" :class="picked ? 'bg-ground' : ''">
    <td v-if="picked !== null" class="no-print">
      <input
        type="checkbox"
        class="grid"
        :aria-label="`Pick ${name}`"
        :checked="picked"
        @click="row.getToggleSelectedHandler()($event)"
      />
    </td>
    <td
      v-for="column in columns"
      :key="column.key"
      :class="[column.wide ? 'max-md:hidden' : '', column.figure ? 'figures text-right whitespace-nowrap' : '']"
      :data-column="column.key"
    >
      <slot name="cell" :row="row.original" :column="column">{{ column.of?.(row.original) ?? '' }}</slot>
    </td>
  </tr>
</template>
