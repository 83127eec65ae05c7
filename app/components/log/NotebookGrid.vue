<script setup lang="ts">
import { QUANTITY_KINDS } from '#core/quantity/kinds'
import { targetOf, type TargetKey } from '#shared/tableImport/targets'
import type { NotebookProblem } from '~/composables/useNotebook'

/** The rows: arrows and Enter go from cell to cell, a ditto mark is the row above, a block from a spreadsheet is laid in. */
const props = defineProps<{ columns: TargetKey[]; problems: readonly NotebookProblem[] }>()
const page = defineModel<NotebookPage>({ required: true })
const emit = defineEmits<{ typed: []; remove: [row: number] }>()
const table = useTemplateRef<HTMLElement>('table')
const id = useId()
const nameOf = (key: TargetKey) => targetOf(key)!.name
const exampleOf = (key: TargetKey): string => {
  const quantity = targetOf(key)!.quantity
  return key === 'time' ? '14:05' : quantity === null ? '' : QUANTITY_KINDS[quantity].example.split(', ')[0]!
}
const problemsOf = (row: number) => props.problems.filter((problem) => problem.row === row)
const isWrong = (row: number, key: TargetKey) => props.problems.some((one) => one.row === row && one.key === key)
/** Of words, more room. */
const isWords = (key: TargetKey) => key === 'notes' || key === 'tags'

function set(row: number, key: TargetKey, text: string) {
  const { rows } = page.value
  rows[row] = { ...rows[row], [key]: text }
  // A page does not end under the pen.
  if (row === rows.length - 1 && rows.length < NOTEBOOK_ROWS.most) rows.push({})
  emit('typed')
}
function left(row: number, key: TargetKey) {
  const said = settleDitto(page.value.rows, row, key)
  if (said !== (page.value.rows[row]?.[key] ?? '')) set(row, key, said)
}
const cellAt = (row: number, column: number) =>
  table.value?.querySelector<HTMLInputElement>(`[data-cell="${row}-${column}"]`)
function go(event: KeyboardEvent, to: HTMLInputElement | null | undefined) {
  if (!to) return
  event.preventDefault()
  to.focus()
  to.select()
}
type Step = [down: number, across: number]
/** Where a key goes from a cell; left and right only from the end of what is typed there. */
function stepOf(
  { key, shiftKey }: KeyboardEvent,
  { isAtStart, isAtEnd }: Record<'isAtStart' | 'isAtEnd', boolean>,
): Step {
  if (key === 'Enter') return [shiftKey ? -1 : 1, 0]
  if (key === 'ArrowDown' || key === 'ArrowUp') return [key === 'ArrowDown' ? 1 : -1, 0]
  if (key === 'ArrowRight' && isAtEnd) return [0, 1]
  return key === 'ArrowLeft' && isAtStart ? [0, -1] : [0, 0]
}
function walk(event: KeyboardEvent, row: number, column: number) {
  const { selectionStart, selectionEnd, value } = event.target as HTMLInputElement
  const isAll = selectionStart === 0 && selectionEnd === value.length
  const ends = { isAtStart: isAll || selectionEnd === 0, isAtEnd: isAll || selectionStart === value.length }
  const [down, across] = stepOf(event, ends)
  if (down !== 0 || across !== 0) go(event, cellAt(row + down, column + across))
}
async function paste(event: ClipboardEvent, row: number, column: number) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[\t\n]/.test(text.trim())) return
  event.preventDefault()
  const { laidOver } = await import('~/utils/notebookTable')
  page.value.rows = laidOver(page.value.rows, props.columns, { row, column }, text)
  emit('typed')
}
defineExpose({
  focusOn: (row: number, key: TargetKey | null) => cellAt(row, key ? props.columns.indexOf(key) : 0)?.focus(),
})
</script>

<template>
  <div ref="table" class="overflow-x-auto" tabindex="-1">
    <table class="notebook">
      <caption class="sr-only">
        Runs, a row each
      </caption>
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">Row</span></th>
          <th v-for="key in columns" :key="key" scope="col" :class="isWords(key) ? 'notebook-words' : ''">
            {{ nameOf(key) }}
          </th>
          <th><span class="sr-only">Take the row out</span></th>
        </tr>
        <tr>
          <th scope="row" class="text-ink-2">all</th>
          <td v-for="(key, column) in columns" :key="key">
            <input
              v-if="key !== 'time' && key !== 'notes'"
              v-model="page.all[key]"
              class="figures"
              :aria-label="`${nameOf(key)}, the same in all`"
              :data-cell="`-1-${column}`"
              :placeholder="exampleOf(key)"
              autocomplete="off"
              @input="emit('typed')"
              @keydown="walk($event, -1, column)"
            />
          </td>
          <td />
        </tr>
      </thead>
      <tbody>
        <template v-for="(row, i) in page.rows" :key="i">
          <tr>
            <th scope="row" class="figures text-ink-2">{{ i + 1 }}</th>
            <td v-for="(key, column) in columns" :key="key">
              <input
                :value="row[key] ?? ''"
                :class="isWords(key) ? '' : 'figures'"
                :aria-label="`${nameOf(key)}, row ${i + 1}`"
                :aria-invalid="isWrong(i, key) ? 'true' : undefined"
                :aria-describedby="problemsOf(i).length ? `${id}-${i}` : undefined"
                :data-cell="`${i}-${column}`"
                :placeholder="isRowBlank(row) ? '' : page.all[key]"
                autocomplete="off"
                spellcheck="false"
                @input="set(i, key, ($event.target as HTMLInputElement).value)"
                @blur="left(i, key)"
                @keydown="walk($event, i, column)"
                @paste="paste($event, i, column)"
              />
            </td>
            <td>
              <BaseButton
                v-if="!isRowBlank(row)"
                kind="plain"
                tabindex="-1"
                :aria-label="`Take row ${i + 1} out`"
                @click="emit('remove', i)"
                >×</BaseButton
              >
            </td>
          </tr>
          <tr v-if="problemsOf(i).length">
            <td />
            <td :id="`${id}-${i}`" :colspan="columns.length + 1" role="alert" class="font-bold">
              <p v-for="problem in problemsOf(i)" :key="problem.text">{{ problem.text }}</p>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>
