<script setup lang="ts">
import { asideWords, type AsidePress } from '#shared/keptPress'

/** A press is a fact: those that made no mark of their own are kept, and named here. */
defineProps<{ presses: AsidePress[] }>()
</script>

<template>
  <section aria-label="Other presses" class="enamel p-3">
    <h2 class="mb-1">Pressed on the bench beside these marks</h2>
    <ul>
      <li v-for="press in presses" :key="press.id">{{ asideWords(press) }}.</li>
    </ul>
  </section>
</template>
