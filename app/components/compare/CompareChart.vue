<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { compareChart, PAPER_COLOURS, SCREEN_COLOURS, type DrawnChart } from '~/charts/compareChart'
import { lineChartSvg } from '~/charts/lineChartSvg'

/** Points and lines in their frame; what answers to the pointer comes when one points at it. */
const props = withDefaults(
  defineProps<{
    title: string
    file: string
    drawn: DrawnChart
    /** What the numbers are, for the table behind it. */
    xWords: string
    yWords: string
    /** Decimals of both. */
    decimals?: readonly [number, number]
    height?: number
  }>(),
  { decimals: () => [1, 1], height: 360 },
)
interface Row {
  key: string
  name: string
  x: number
  y: number
  low: number | null
  high: number | null
}
const rows = computed<Row[]>(() =>
  props.drawn.arms.flatMap(({ name, points }, arm) =>
    points.map(([x, y, half], i) => ({
      key: `${arm}-${i}`,
      name,
      x,
      y,
      low: half === null ? null : y - half,
      high: half === null ? null : y + half,
    })),
  ),
)
const rounded = (value: number | null, i: 0 | 1) =>
  value === null ? null : Number(value.toFixed(props.decimals[i] + 1))
const columns = computed<DataColumn<Row>[]>(() => [
  { key: 'name', words: 'What', of: ({ name }) => name },
  { key: 'x', words: props.xWords, figure: true, of: ({ x }) => rounded(x, 0) },
  { key: 'y', words: props.yWords, figure: true, of: ({ y }) => rounded(y, 1) },
  { key: 'low', words: '95 % from', figure: true, of: ({ low }) => rounded(low, 1) },
  { key: 'high', words: 'to', figure: true, of: ({ high }) => rounded(high, 1) },
])
const said = (words: ((value: number) => string) | undefined, value: number, i: 0 | 1) =>
  words?.(value) ?? value.toFixed(props.decimals[i])
const wordsOf = ({ name, x, y }: Row) =>
  `${name}: ${said(props.drawn.xWords, x, 0)} ${props.drawn.xTitle}, ${said(props.drawn.yWords, y, 1)} ${props.drawn.yTitle}`
const place = useTemplateRef<HTMLElement>('place')
const { width } = useElementSize(place)
const size = computed(() => ({ width: Math.round(width.value) || 780, height: props.height }))
const PAPER = { width: 720, height: 400 }
const pointed = ref(false)
const shownDrawn = ref(false)
const words = computed(
  () => `${props.title}: ${props.drawn.arms.map(({ name, points }) => `${name}, ${points.length}`).join('; ')}`,
)
</script>

<template>
  <ChartFrame
    :title="title"
    :file="file"
    :rows="rows"
    :columns="columns"
    :id-of="({ key }) => key"
    :words-of="wordsOf"
    table-words="As a table"
    :drawing="() => lineChartSvg(compareChart(drawn, PAPER_COLOURS), PAPER)"
    @pointerenter.once="pointed = true"
  >
    <p v-if="drawn.arms.length > 1" class="mb-1 flex flex-wrap gap-x-4">
      <span v-for="(arm, i) in drawn.arms" :key="arm.name"><ArmShape :at="i" /> {{ arm.name }}</span>
    </p>
    <div ref="place" :style="{ height: `${height}px` }">
      <LazyChartPointed v-if="pointed" :drawn="drawn" :words="words" @vue:mounted="shownDrawn = true" />
      <!-- eslint-disable vue/no-v-html -- our own drawing: lineChartSvg escapes its words -->
      <div
        v-if="!shownDrawn"
        class="chart-drawing"
        role="img"
        :aria-label="words"
        v-html="lineChartSvg(compareChart(drawn, SCREEN_COLOURS), size)"
      />
      <!-- eslint-enable vue/no-v-html -->
    </div>
    <template #below><slot name="below" /></template>
  </ChartFrame>
</template>
