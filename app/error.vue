<script setup lang="ts">
import type { NuxtError } from '#app'

defineProps<{ error: NuxtError }>()
</script>

<template>
  <main class="mx-auto max-w-2xl p-8">
    <h1>{{ error.statusCode === 404 ? 'Not here' : 'That did not work' }}</h1>
    <p class="my-4">
      {{ error.message }}
    </p>
    <BaseButton kind="main" href="/runs">To the runs</BaseButton>
  </main>
</template>
