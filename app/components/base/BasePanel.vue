<script setup lang="ts">
/** A sheet of enamel with its heading: everything that stands together. */
withDefaults(
  defineProps<{
    as?: 'section' | 'form' | 'div' | 'p' | 'li' | 'article'
    /** The heading; the slot of the same name where it is more than text. */
    title?: string
    /** What it is called where it is not by its heading. */
    label?: string
    tight?: boolean
    /** Its content goes up to the edge. */
    bare?: boolean
  }>(),
  { as: 'section', title: undefined, label: undefined },
)
defineSlots<{ default?: () => unknown; title?: () => unknown; beside?: () => unknown }>()
const id = useId()
</script>

<template>
  <component
    :is="as"
    class="panel"
    :class="bare ? '' : tight ? 'p-3' : 'p-4'"
    :aria-label="label ?? title"
    :aria-labelledby="label === undefined && title === undefined && $slots.title ? id : undefined"
  >
    <div v-if="title !== undefined || $slots.title" class="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h2 :id="id">
        <slot name="title">{{ title }}</slot>
      </h2>
      <slot name="beside" />
    </div>
    <slot />
  </component>
</template>
