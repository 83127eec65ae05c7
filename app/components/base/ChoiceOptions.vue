<script setup lang="ts">
import { ComboboxOption, ComboboxOptions } from '@headlessui/vue'

/** The open list of a search choice: under its box, or above it where there is more room; never cut by what it is in. */
const props = defineProps<{ anchor: HTMLElement | null; found: readonly { value: string; label: string }[] }>()
/** Nobody reads on further than this: a word narrows it. */
const MOST_SHOWN = 60
const more = computed(() => Math.max(0, props.found.length - MOST_SHOWN))
const place = useAnchored(() => props.anchor)
</script>

<template>
  <div class="choice-options" :style="place">
    <ComboboxOptions static class="min-h-0 overflow-auto">
      <ComboboxOption
        v-for="one in found.slice(0, MOST_SHOWN)"
        :key="one.value"
        v-slot="{ active, selected }"
        :value="one.value"
        as="template"
      >
        <li class="choice-option" :class="[active ? 'bg-rim text-on-rim' : '', selected ? 'font-bold' : '']">
          {{ one.label }}
        </li>
      </ComboboxOption>
    </ComboboxOptions>
    <p v-if="more > 0" class="px-2.5 py-1 text-ink-2">{{ more }} more: type a word of it.</p>
    <p v-else-if="found.length === 0" role="status" class="p-2">Nothing of these words here.</p>
  </div>
</template>
