<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { formatClock } from '#core/quantity/format'
import { EVENT_NAMES } from '#core/run/events'
import type { Ribbon } from '#shared/runRecord'

/** The ribbon on a run's page: arrow keys walk its marks. */
const props = defineProps<{ ribbon: Ribbon }>()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box, { width: 700, height: 72 })
const spanS = computed(() => Math.max(60, props.ribbon.endS * 1.05))
const shape = computed(() =>
  ribbonGeometry(props.ribbon, { spanS: spanS.value, width: width.value || 700, height: 72 }),
)
const at = ref(0)
const mark = computed(() => shape.value.marks[at.value] ?? null)

function walk(event: KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  at.value = Math.min(shape.value.marks.length - 1, Math.max(0, at.value + by))
}
</script>

<template>
  <BasePanel tight label="Ribbon">
    <div
      ref="box"
      class="relative"
      role="group"
      tabindex="0"
      aria-label="Marks of the run; arrow keys walk them"
      @keydown="walk"
    >
      <RunRibbon :ribbon="ribbon" :span-s="spanS" :width="width || 700" :height="72" />
      <svg
        v-if="mark"
        class="pointer-events-none absolute top-0 left-0"
        :width="width || 700"
        height="80"
        aria-hidden="true"
      >
        <path :d="`M${mark.x - 5},80 l5,-7 l5,7 z`" class="fill-ink" />
      </svg>
    </div>
    <p class="mt-2" aria-live="polite">
      <template v-if="mark">
        <span class="figures">{{ formatClock(mark.s) }}</span> {{ EVENT_NAMES[mark.kind] }}
        <span class="text-ink-2">({{ at + 1 }} of {{ shape.marks.length }})</span>
      </template>
    </p>
  </BasePanel>
</template>
