<script setup lang="ts">
import html from '../../docs/methods.md?html'

/** The method as a reader of a test report needs it: docs/methods.md, equations and all. */
useHead({ title: 'How the numbers are made · Vulcanum' })
const Text = () => h('article', { class: 'prose-page enamel max-w-4xl p-4 md:p-6', innerHTML: html })
</script>

<template>
  <Text />
</template>
