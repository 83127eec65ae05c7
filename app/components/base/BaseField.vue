<script setup lang="ts">
/**
 * A label, the box it names, and what is said of it: every field of every form. The slot binds `box` to what is typed
 * or chosen in.
 */
const props = defineProps<{
  label: string
  problem?: string
  hint?: string
  /** The label stands above its box, not beside it. */
  above?: boolean
}>()
const id = useId()
const said = computed(() => (props.problem ? `${id}-problem` : props.hint ? `${id}-hint` : undefined))
const box = computed(() => ({
  id,
  'aria-invalid': props.problem ? ('true' as const) : undefined,
  'aria-describedby': said.value,
}))
</script>

<template>
  <div
    class="grid content-start items-start"
    :class="above ? '' : 'grid-cols-[6.5rem_minmax(0,1fr)] gap-x-3 gap-y-1 sm:grid-cols-[9rem_minmax(0,1fr)]'"
  >
    <label :for="id" :class="above ? 'text-ink-2' : 'pt-1.5'">{{ label }}</label>
    <div>
      <slot :box="box" />
      <p v-if="problem" :id="`${id}-problem`" class="mt-1 font-bold" role="alert">
        {{ problem }}
      </p>
      <p v-else-if="hint" :id="`${id}-hint`" class="mt-1 text-ink-2">
        {{ hint }}
      </p>
    </div>
  </div>
</template>
