<script setup lang="ts">
import { FUEL_CHOICES } from '#shared/fuelBatch'
import { BURNER_WORDS } from '#shared/thing'
import type { ImportPreview } from '#shared/tableImport/imports'
import type { NameChoice, TableMapping } from '#shared/tableImport/mapping'
import { NAME_TARGETS, targetOf, type NameTarget } from '#shared/tableImport/targets'

/** Names that the kit does not have: what each stands for, or that it is to be made. */
const props = defineProps<{
  unknown: ImportPreview['unknown']
  choices: Record<NameTarget, { value: string; label: string }[]>
}>()
const names = defineModel<TableMapping['names']>({ required: true })
const MAKES: Record<NameTarget, { value: string; label: string }[]> = {
  setup: Object.entries(BURNER_WORDS).map(([value, label]) => ({ value: `make:${value}`, label: `new: ${label}` })),
  fuel: FUEL_CHOICES.map(({ value, label }) => ({ value: `make:${value}`, label: `new: ${label}` })),
  place: [{ value: 'make:', label: 'a new place' }],
  person: [{ value: 'make:', label: 'a new person' }],
  method: [],
}
/** Those that are not known, and those that were decided: so that a decision can be changed. */
const rows = computed(() =>
  NAME_TARGETS.flatMap((target) =>
    [...new Set([...props.unknown[target].map((one) => one.name), ...Object.keys(names.value[target])])].map(
      (name) => ({ target, name, count: props.unknown[target].find((one) => one.name === name)?.rows ?? 0 }),
    ),
  ),
)
function chosen(target: NameTarget, name: string): string {
  const choice = names.value[target][name]
  if (!choice) return ''
  return 'use' in choice ? choice.use : `make:${choice.burner ?? choice.fuel ?? ''}`
}
function choose(target: NameTarget, name: string, value: string) {
  const kind = value.startsWith('make:') ? value.slice(5) : null
  const choice: NameChoice =
    kind === null
      ? { use: value }
      : { make: true, ...(target === 'setup' ? { burner: kind as never } : target === 'fuel' ? { fuel: kind } : {}) }
  names.value = { ...names.value, [target]: { ...names.value[target], [name]: choice } }
}
</script>

<template>
  <div v-if="rows.length" class="grid grid-cols-1 gap-2">
    <h3 class="font-bold">Names that are not in the kit</h3>
    <ChoiceBox
      v-for="{ target, name, count } in rows"
      :key="`${target} ${name}`"
      :model-value="chosen(target, name)"
      :label="`${targetOf(target)!.name} “${name}”${count ? ` (${count} ${count === 1 ? 'row' : 'rows'})` : ''}`"
      :choices="[...choices[target], ...MAKES[target]]"
      @update:model-value="choose(target, name, $event ?? '')"
    />
  </div>
</template>
