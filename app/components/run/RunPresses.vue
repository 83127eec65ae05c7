<script setup lang="ts">
import { asideWords, type AsidePress } from '#shared/keptPress'

/** A press is a fact: those that made no mark of their own are kept, and named here. */
defineProps<{ presses: AsidePress[] }>()
</script>

<template>
  <BasePanel tight title="Pressed on the bench beside these marks" label="Other presses">
    <ul>
      <li v-for="press in presses" :key="press.id">{{ asideWords(press) }}.</li>
    </ul>
  </BasePanel>
</template>
