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
            <select
              :value="column.to"
              class="w-44"
              :aria-label="`${shownName(i)}: it is`"
              @change="set(i, ($event.target as HTMLSelectElement).value)"
            >
              <option value="">left out</option>
              <option v-for="choice in choices" :key="choice.value" :value="choice.value">{{ choice.label }}</option>
            </select>
          </td>
          <td>
            <select
              v-if="unitsOf(column.to).length"
              v-model="column.unit"
              class="w-32"
              :aria-label="`${shownName(i)}: unit`"
              :aria-invalid="asked.includes(i) ? 'true' : undefined"
            >
              <option value="">{{ asked.includes(i) ? 'Which?' : 'in the cells' }}</option>
              <option v-for="unit in unitsOf(column.to)" :key="unit.id" :value="unit.id">{{ unit.label }}</option>
            </select>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
