<script setup lang="ts">
import type { FieldSpec } from '#shared/fields'
import type { TypedRecord } from '#shared/record'

/** Two pages edited one record: both are shown where they differ, and one is chosen. */
const props = defineProps<{ specs: readonly FieldSpec[]; mine: TypedRecord; theirs: TypedRecord }>()
const emit = defineEmits<{ mine: []; theirs: [] }>()
const words = (value: string | boolean | undefined) =>
  value === true ? 'yes' : value === false ? 'no' : value || 'nothing'
const differing = computed(() =>
  props.specs.filter(({ key }) => (props.mine.fields[key] ?? '') !== (props.theirs.fields[key] ?? '')),
)
</script>

<template>
  <CautionBox as="section" role="alert" aria-label="Changed on another page">
    <p class="mb-2 font-bold">This was changed on another page since you opened it. Nothing is lost: which stays?</p>
    <table v-if="differing.length" class="mb-2 border-collapse">
      <thead>
        <tr class="text-left">
          <th class="pr-6" />
          <th class="pr-6">Yours</th>
          <th>The other’s</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="spec in differing" :key="spec.key" class="align-top">
          <th class="pr-6 text-left font-normal">{{ spec.label }}</th>
          <td class="pr-6 whitespace-pre-line" dir="auto">{{ words(mine.fields[spec.key]) }}</td>
          <td class="whitespace-pre-line" dir="auto">{{ words(theirs.fields[spec.key]) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="flex flex-wrap gap-3">
      <BaseButton kind="main" @click="emit('mine')">Yours</BaseButton>
      <BaseButton @click="emit('theirs')">The other’s</BaseButton>
    </p>
  </CautionBox>
</template>
