<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import { GROUP_NAMES, type RunGroup, type RunGroupLine } from '#shared/runList'

/** The head of a group: how many runs, and how far their figures reach. A mean over unlike runs would say nothing. */
const props = defineProps<{ line: RunGroupLine; group: RunGroup }>()
const words = computed(() =>
  props.group === 'day'
    ? new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(
        new Date(`${props.line.id}T12:00:00Z`),
      )
    : props.line.name,
)
</script>

<template>
  <span class="sr-only">{{ GROUP_NAMES[group] }} </span><span dir="auto">{{ words || 'none' }}</span>
  <span class="font-normal">
    · {{ line.count === 1 ? '1 run' : `${line.count} runs`
    }}<template v-if="line.lowGPerL !== null && line.highGPerL !== null"
      >, normalised <span class="figures">{{ formatNumber(line.lowGPerL, 1) }}</span><template v-if="line.count > 1">
        to <span class="figures">{{ formatNumber(line.highGPerL, 1) }}</span></template
      >
      g/L</template
    ></span
  >
</template>
