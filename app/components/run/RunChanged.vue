<script setup lang="ts">
import type { ChangedQuestion } from '#shared/answers'

/** What this run changed: questions as they stood before it, and as they stand since. */
defineProps<{ changed: readonly ChangedQuestion[] }>()
</script>

<template>
  <section v-if="changed.length" aria-label="What this run changed" data-changed>
    <h2>What this run changed</h2>
    <ul>
      <li v-for="one in changed" :key="one.sentence">
        <NuxtLink :to="pageOfQuestion(one)">{{ one.sentence }}</NuxtLink> {{ one.before }} → {{ one.now }}
      </li>
    </ul>
  </section>
</template>
