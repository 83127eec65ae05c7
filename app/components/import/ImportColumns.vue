<script setup lang="ts">
/** Each column of the file: what it says, what it is, in which unit. */
const props = defineProps<{
  headings: readonly string[]
  first: readonly (readonly string[])[]
  choices: readonly { value: string; label: string }[]
  unitsOf: (to: string) => { id: string; label: string }[]
  /** Columns whose unit must still be said. */
  asked: readonly number[]
}>()
const columns = defineModel<{ to: string; unit: string }[]>({ required: true })
const set = (i: number, to: string) => {
  columns.value[i] = { to, unit: '' }
}
const example = (i: number) =>
  props.first
    .map((row) => row[i] ?? '')
    .filter((cell) => cell.trim() !== '')
    .slice(0, 3)
    .join(' · ')
const shownName = (i: number) => props.headings[i] || `column ${i + 1}`
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full">
      <caption class="sr-only">
        Columns of the file
      </caption>
      <thead>
        <tr class="text-left">
          <th class="pr-4">Column</th>
          <th class="pr-4">First values</th>
          <th class="pr-4">It is</th>
          <th>Unit</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(column, i) in columns" :key="i" class="border-t border-edge" :class="column.to ? '' : 'text-ink-2'">
          <th scope="row" class="max-w-44 py-1 pr-4 text-left font-normal" dir="auto">{{ shownName(i) }}</th>
          <td class="figures max-w-64 truncate pr-4" dir="auto">{{ example(i) }}</td>
          <td class="pr-4">
            <ChoiceList
              :model-value="column.to || null"
              class="w-44"
              :choices="choices"
              empty="left out"
              :aria-label="`${shownName(i)}: it is`"
              @update:model-value="set(i, $event ?? '')"
            />
          </td>
          <td>
            <ChoiceList
              v-if="unitsOf(column.to).length"
              :model-value="column.unit || null"
              class="w-32"
              :choices="unitsOf(column.to).map((unit) => ({ value: unit.id, label: unit.label }))"
              :empty="asked.includes(i) ? 'Which?' : 'in the cells'"
              :aria-label="`${shownName(i)}: unit`"
              :aria-invalid="asked.includes(i) ? 'true' : undefined"
              @update:model-value="column.unit = $event ?? ''"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
