<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import { OBSERVATIONS, stepWords } from '#shared/observation'
import type { RunPage } from '#shared/runRecord'

/** What was seen, on scales whose steps have words, so that another tester would choose the same. */
defineProps<{ page: RunPage }>()
const emit = defineEmits<{ changed: [] }>()
const isOpen = ref(false)
</script>

<template>
  <BasePanel title="What was seen" label="Observations">
    <dl class="mb-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      <template v-for="one in page.observations" :key="one.id">
        <dt class="text-ink-2">{{ OBSERVATIONS[one.scale].label }}</dt>
        <dd :data-observed="one.scale">
          <template v-if="one.atMs !== null"
            ><span class="figures">{{ formatClock(one.atMs / 1000) }}</span
            >{{ ' ' }}</template
          >{{ stepWords(one.scale, one.step)
          }}<template v-if="one.note"
            >. <span dir="auto">{{ one.note }}</span></template
          >
        </dd>
      </template>
    </dl>
    <p v-if="!page.observations.length" class="mb-2 text-ink-2">Nothing noted.</p>
    <BaseButton v-if="!isOpen" class="no-print" @click="isOpen = true">Note what was seen</BaseButton>
    <LazyRunObserve v-else :page="page" @left="isOpen = false" @noted="((isOpen = false), emit('changed'))" />
  </BasePanel>
</template>
