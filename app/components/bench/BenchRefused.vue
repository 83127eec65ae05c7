<script setup lang="ts">
import type { RefusedAct } from '~/bench/disk'
import { EVENT_NAMES } from '#core/run/events'

/** What the server would not take, and why: kept in this browser until it is read. */
const bench = useBench()
const wordsOf = (one: RefusedAct) => {
  const { deed } = one.act
  return deed.type === 'mark'
    ? EVENT_NAMES[deed.kind]
    : deed.type === 'prepare'
      ? `Setting up lane ${deed.preparation.lane}`
      : deed.type === 'read'
        ? `Reading ${deed.typed}`
        : deed.type === 'note'
          ? `Note "${deed.text}"`
          : { undo: 'Undo', move: 'Nudge', finish: 'Finish', clear: 'Clear' }[deed.type]
}
</script>

<template>
  <section v-if="bench.refused.length" class="bench-refused" aria-label="Not stored">
    <p v-for="one in bench.refused" :key="one.act.id">
      <strong>{{ wordsOf(one) }}</strong> at {{ new Date(one.act.wallMs).toLocaleTimeString() }} is not stored:
      {{ one.ack.problems?.[0]?.text }}
      <BaseButton kind="plain" @click="bench.forget(one.act.id)">Read; take it away</BaseButton>
    </p>
  </section>
</template>
