<script setup lang="ts" generic="T extends object">
/** A row of a table, or the line that heads a group: drawn anew when something of it changes, not its neighbour. */
interface TableRow {
  id: string
  original: T
  getToggleSelectedHandler: () => (event: unknown) => void
}
defineProps<{
  row: TableRow
  at: number
  /** Given where this is the line that heads a group. */
  head: string | null
  columns: readonly DataColumn<T>[]
  /** Null: rows cannot be picked. */
  picked: boolean | null
  /** What the row is called: asked here, as it costs a date's words for each row. */
  nameOf: ((row: T) => string) | undefined
}>()
</script>

<template>
  <tr v-if="head !== null" data-group class="bg-ground">
    <th scope="colgroup" :colspan="columns.length + (picked === null ? 0 : 1)"><slot name="head" /></th>
  </tr>
  <tr v-else :data-id="row.id" :aria-rowindex="at + 2" :class="picked ? 'bg-ground' : ''">
    <td v-if="picked !== null" class="no-print">
      <input
        type="checkbox"
        class="grid"
        :aria-label="`Pick ${nameOf?.(row.original) ?? row.id}`"
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
