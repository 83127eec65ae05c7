<script setup lang="ts">
import type { ImportPreview } from '#shared/tableImport/imports'

/** The first rows as they would be stored, and the faults of those that cannot, by row. */
const props = defineProps<{ preview: ImportPreview; headings: readonly string[] }>()
const heads = computed(() => [...new Set(props.preview.rows.flatMap((row) => Object.keys(row.cells)))])
/** The column's own heading, where the words do not begin with it. */
const columnName = ({ column, text }: ImportPreview['faults'][number]) => {
  const name = column === null || column < 0 ? '' : props.headings[column] || `column ${column + 1}`
  return text.startsWith(`${name}:`) ? '' : name
}
</script>

<template>
  <div class="grid grid-cols-1 gap-3">
    <div
      v-if="preview.rows.length"
      class="overflow-x-auto"
      tabindex="0"
      role="region"
      aria-label="As it would be stored"
    >
      <table>
        <caption class="text-left font-bold">
          As it would be stored
        </caption>
        <thead>
          <tr class="text-left">
            <th class="pr-4">Row</th>
            <th v-for="head in heads" :key="head" class="pr-4 whitespace-nowrap">{{ head }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in preview.rows" :key="row.row" class="border-t border-edge">
            <td class="figures pr-4">{{ row.row }}</td>
            <td v-for="head in heads" :key="head" class="figures py-0.5 pr-4 whitespace-nowrap" dir="auto">
              {{ row.cells[head] ?? '' }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <CautionBox
      v-if="preview.faults.length"
      class="max-h-64 overflow-auto"
      tabindex="0"
      role="region"
      aria-label="Rows that cannot be stored"
    >
      <p class="font-bold">
        {{
          preview.bad === 1 ? 'One row cannot be stored' : `${preview.bad.toLocaleString('en')} rows cannot be stored`
        }}
      </p>
      <ul>
        <li v-for="(fault, i) in preview.faults" :key="i">
          Row {{ fault.row }}<template v-if="columnName(fault)">, {{ columnName(fault) }}</template
          >: {{ fault.text }}
        </li>
      </ul>
      <p v-if="preview.faults.length >= 200">… and more like these.</p>
    </CautionBox>
  </div>
</template>
