<script setup lang="ts">
import mono from '@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-wght-normal.woff2?url'
import next from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url'

/** The letters come with the page, not after it: nothing moves when they are there. */
const letters = { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: 'anonymous' } as const
useHead({
  link: [
    { ...letters, href: next },
    { ...letters, href: mono },
  ],
})
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
</template>
