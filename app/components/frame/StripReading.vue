<script setup lang="ts">
import type { UnitSystem } from '#core/quantity/kinds'
import type { NowReading } from '#shared/nowConditions'

/** One reading of the strip, over a rule that shortens with its age; unread, the rule is dashed. */
const props = defineProps<{ kind: ShownKind; reading: NowReading | null; units: UnitSystem; clock: number }>()
const age = computed(() => (props.reading === null ? null : ageOf(props.reading.readAt, props.clock)))
</script>

<template>
  <span class="relative inline-block">
    <span v-if="reading === null || age === null" class="border-b-2 border-dashed border-edge px-1 text-ink-2"
      >not read</span
    >
    <template v-else>
      <span class="figures" :data-strip="reading.quantity">{{
        reading.quantity === 'wind' && reading.value === 0 ? 'calm' : shown(reading.value, kind, units)
      }}</span>
      <span
        class="absolute bottom-0 left-0 h-[2px] bg-rim"
        :style="{ width: `${age.share * 100}%` }"
        aria-hidden="true"
      />
      <span v-if="age.stale" class="ml-1 bg-caution px-1 text-on-caution">{{ ageWords(age.minutes) }}</span>
    </template>
  </span>
</template>
