<script setup lang="ts">
/** Answers that are asked less often: one route for all of them, each in a file of its own. */
const { answer } = useRoute().params
</script>

<template>
  <LazyAskedFactors v-if="answer === 'factors'" />
  <LazyAskedPeople v-else-if="answer === 'people'" />
  <LazyAskedClaims v-else-if="answer === 'claims'" />
  <LazyAskedSeen v-else-if="answer === 'seen'" />
  <LazyAskedCarried v-else-if="answer === 'carried'" />
  <LazyAskedTraces v-else-if="answer === 'traces'" />
  <ComparePage
    v-else
    sentence="Nothing is asked here"
    :error="{ data: { problems: [{ text: 'There is no such question. Choose from what your runs can answer.' }] } }"
  />
</template>
