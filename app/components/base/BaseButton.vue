<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'
import { NuxtLink } from '#components'

/** What is pressed: a button, or a link that is pressed like one. A screen has one of the main kind, or none. */
const props = withDefaults(
  defineProps<{
    /** Filled, outlined, words that are pressed, or a word of a sentence that could be another. */
    kind?: 'main' | 'quiet' | 'plain' | 'word'
    /** As high as a gloved thumb wants it. */
    glove?: boolean
    type?: 'button' | 'submit'
    /** A page of the application. */
    to?: RouteLocationRaw
    /** A file, or a page that is loaded anew. */
    href?: string
  }>(),
  { kind: 'quiet', type: 'button', to: undefined, href: undefined },
)
const tag = computed(() => (props.to !== undefined ? NuxtLink : props.href !== undefined ? 'a' : 'button'))
const own = computed(() =>
  props.to !== undefined ? { to: props.to } : props.href !== undefined ? { href: props.href } : { type: props.type },
)
</script>

<template>
  <component :is="tag" v-bind="own" :class="[`button-${kind}`, glove ? 'button-glove' : '']"><slot /></component>
</template>
