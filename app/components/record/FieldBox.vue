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
  <CheckBox v-else-if="spec.type === 'flag'" v-model="flag" :label="spec.label" />
  <DateBox v-else-if="spec.type === 'date'" v-model="text" :label="spec.label" :problem="problem" :hint="spec.hint" />
  <TextBox
    v-else
    v-model="text"
    :label="spec.label"
    :problem="problem"
    :hint="spec.hint"
    :lines="spec.type === 'text' ? spec.lines : undefined"
    :figures="spec.type === 'number'"
    :example="spec.type === 'text' || spec.type === 'number' ? spec.example : undefined"
  />
</template>
