<script setup lang="ts">
import type { Choice, FieldSpec } from '#shared/fields'

/** One field of a record, as its kind wants to be typed. */
const props = defineProps<{ spec: FieldSpec; choices?: Choice[]; problem?: string }>()
const typed = defineModel<string | boolean | undefined>({ required: true })
const { units } = usePreferences()
const text = computed({
  get: () => (typeof typed.value === 'string' ? typed.value : ''),
  set: (value: string) => {
    typed.value = value
  },
})
const chosen = computed({
  get: () => (text.value === '' && props.spec.type === 'choice' && props.spec.empty ? null : text.value),
  set: (value: string | null) => {
    typed.value = value ?? ''
  },
})
const flag = computed({
  get: () => typed.value === true,
  set: (value: boolean) => {
    typed.value = value
  },
})
</script>

<template>
  <QuantityBox
    v-if="spec.type === 'quantity'"
    v-model="text"
    :label="spec.label"
    :kind="spec.kind"
    :units="units"
    :problem="problem"
    :hint="spec.hint"
  />
  <ChoiceBox
    v-else-if="spec.type === 'choice'"
    v-model="chosen"
    :label="spec.label"
    :choices="choices ?? [...(spec.choices ?? [])]"
    :empty="spec.empty"
    :problem="problem"
  />
  <label v-else-if="spec.type === 'flag'" class="flex items-start gap-2"
    ><input v-model="flag" type="checkbox" class="mt-1" /> <span>{{ spec.label }}</span></label
  >
  <TextBox
    v-else
    v-model="text"
    :label="spec.label"
    :problem="problem"
    :hint="spec.hint"
    :lines="spec.type === 'text' ? spec.lines : undefined"
    :figures="spec.type === 'number' || spec.type === 'date'"
    :type="spec.type === 'date' ? 'date' : 'text'"
    :example="spec.type === 'text' || spec.type === 'number' ? spec.example : undefined"
  />
</template>
