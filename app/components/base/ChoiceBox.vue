<script setup lang="ts">
/** A labelled list to choose one from. */
const props = defineProps<{
  label: string
  choices: readonly { value: string; label: string }[]
  problem?: string
  hint?: string
  empty?: string
  above?: boolean
  taken?: boolean
}>()
const chosen = defineModel<string | null>({ required: true })
const clear = () => {
  chosen.value = props.empty === undefined ? '' : null
}
</script>

<template>
  <BaseField
    v-slot="{ box }"
    :label="label"
    :problem="problem"
    :hint="hint"
    :above="above"
    :taken="taken"
    @clear="clear"
  >
    <ChoiceList
      v-model="chosen"
      v-bind="box"
      :class="above ? 'w-full' : 'w-full max-w-md'"
      :choices="choices"
      :empty="empty"
    />
  </BaseField>
</template>
