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
  /** It stands as the last run had it: marked, and cleared by one key. */
  taken?: boolean
}>()
const emit = defineEmits<{ clear: [] }>()
const id = useId()
const said = computed(() => (props.problem ? `${id}-problem` : props.hint ? `${id}-hint` : undefined))
const box = computed(() => ({
  id,
  'aria-invalid': props.problem ? ('true' as const) : undefined,
  'aria-describedby': said.value,
}))
async function clear() {
  emit('clear')
  await nextTick()
  document.getElementById(id)?.focus()
}
/** In a box of text it deletes letters; what was taken is selected there when it gets the focus. */
function deleted({ target }: KeyboardEvent) {
  const isText = target instanceof HTMLInputElement && target.getAttribute('role') !== 'combobox'
  if (props.taken && !isText) void clear()
}
const focused = ({ target }: FocusEvent) => {
  if (props.taken && target instanceof HTMLInputElement) target.select()
}
</script>

<template>
  <div
    class="grid content-start items-start"
    :class="above ? '' : 'grid-cols-[6.5rem_minmax(0,1fr)] gap-x-3 gap-y-1 sm:grid-cols-[9rem_minmax(0,1fr)]'"
  >
    <div :class="above ? 'flex flex-wrap items-baseline gap-x-2 text-ink-2' : taken ? '' : 'pt-1.5'">
      <label :for="id">{{ label }}</label>
      <button
        v-if="taken"
        type="button"
        class="text-[12px] leading-4 text-ink-2 underline"
        :class="above ? '' : 'block'"
        tabindex="-1"
        :aria-label="`${label}: as last time. Clear it`"
        data-taken
        @click="clear"
      >
        as last time ×
      </button>
      <span v-if="above" class="ml-auto"><slot name="said" /></span>
    </div>
    <!-- Its room is there before what is searched in has come. -->
    <div class="min-h-9" @keydown.delete="deleted" @focusin="focused">
      <slot :box="box" />
      <p v-if="problem" :id="`${id}-problem`" class="mt-1 font-bold" role="alert">
        {{ problem }}
      </p>
      <!-- Above its box a label leaves no row for it: it is told to who listens, and stands in the box where it fits. -->
      <p v-else-if="hint" :id="`${id}-hint`" :class="above ? 'sr-only' : 'mt-1 text-ink-2'">
        {{ hint }}
      </p>
    </div>
  </div>
</template>
