<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { formatNumber } from '#core/quantity/format'
import type { StudyPage } from '#shared/plan'

/** What so many runs of each would show four times in five; the number is dragged on it. */
const props = defineProps<{ study: StudyPage }>()
const emit = defineEmits<{ replicates: [n: number] }>()
const W = 300
const H = 110
const MOST = 30
const n = ref(props.study.replicates)
watch(
  () => props.study.replicates,
  (now) => (n.value = now),
)
const top = computed(() => Math.max(...props.study.curve.map(({ shows }) => shows)))
/** Said once the hand is off it. */
const SETTLED_MS = 400
const settle = useDebounceFn(() => emit('replicates', n.value), SETTLED_MS)
const x = (of: number) => (Math.log(of / 2) / Math.log(MOST / 2)) * W
const y = (shows: number) => H - (shows / top.value) * H
const path = computed(() => props.study.curve.map(({ n: of, shows }) => `${x(of)},${y(shows)}`).join(' '))
/** Between two points of the curve it is nearly straight in logarithms. */
const showsAt = computed(() => {
  const { curve } = props.study
  const after = curve.findIndex((point) => point.n >= n.value)
  if (after <= 0) return n.value < 2 ? null : curve[0]!.shows
  const [a, b] = [curve[after - 1]!, curve[after]!]
  const share = Math.log(n.value / a.n) / Math.log(b.n / a.n)
  return Math.exp(Math.log(a.shows) * (1 - share) + Math.log(b.shows) * share)
})
const per = (shows: number) => `${formatNumber(shows * 100, shows < 0.1 ? 1 : 0)}\u202f%`
const words = computed(() =>
  showsAt.value === null
    ? 'One run each shows nothing by itself: two at least.'
    : `${n.value} each: ${per(showsAt.value)} would show four times in five.`,
)
const needed = computed(() => {
  const { needed: of, difference, scatter } = props.study
  const at = `At a scatter of ${per(scatter.sd)} (${SCATTER_WORDS[scatter.from]})`
  return of === null
    ? `${at} no number of runs up to 200 shows ${per(difference)}.`
    : `${at} a difference of ${per(difference)} takes about ${of} runs each.`
})
const SCATTER_WORDS = { own: 'its own runs', bench: 'this bench', usual: 'assumed' }
</script>

<template>
  <figure class="m-0">
    <svg :viewBox="`-6 -8 ${W + 12} ${H + 16}`" class="plan-curve" role="img" :aria-label="words">
      <path :d="`M0 0V${H}H${W}`" class="plan-axis" />
      <polyline :points="path" class="plan-line" />
      <line :x1="0" :x2="W" :y1="y(study.difference)" :y2="y(study.difference)" class="plan-worth" />
      <circle v-if="showsAt !== null && n <= MOST" :cx="x(n)" :cy="y(showsAt)" r="6" class="plan-mark" />
    </svg>
    <label class="grid gap-1">
      <span class="sr-only">Runs of each</span>
      <input
        v-model.number="n"
        class="plan-pull"
        type="range"
        min="2"
        :max="MOST"
        :aria-valuetext="words"
        @change="settle"
      />
      <span class="plan-pull flex justify-between text-ink-2" aria-hidden="true"
        ><span>2</span><span>runs each</span><span>{{ MOST }}</span></span
      >
    </label>
    <figcaption>
      <p data-shows>{{ words }}</p>
      <p class="text-ink-2" data-needed>{{ needed }}</p>
    </figcaption>
  </figure>
</template>
