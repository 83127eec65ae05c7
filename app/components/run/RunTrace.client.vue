<script setup lang="ts">
import {
  CategoryScale,
  Chart,
  Decimation,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js'
import annotation from 'chartjs-plugin-annotation'
import { lookOf, runTraceChart, type TraceShown } from '~/charts/runTraceChart'

/** The water's temperature as it was logged, with the marks, the fitted model and what it leaves. */
const props = defineProps<TraceShown & { /** The moment that is read. */ readS: number | null }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { units } = usePreferences()
let chart: Chart | null = null
Chart.register(CategoryScale, Decimation, LinearScale, LineController, LineElement, PointElement, Tooltip, annotation)
function draw() {
  chart?.destroy()
  if (!canvas.value) return
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const colours = { ink: colour('ink'), edge: colour('edge'), water: colour('water'), sheet: colour('sheet') }
  const widthPx = canvas.value.parentElement!.clientWidth
  chart = new Chart(canvas.value, runTraceChart(props, lookOf(colours, units.value, widthPx)))
}
/** The tooltip stands at the sample next to the moment. */
function point() {
  if (chart === null) return
  const samples = chart.data.datasets[0]!.data as { x: number }[]
  const { readS } = props
  const index = readS === null ? -1 : samples.findIndex(({ x }) => x >= readS)
  const active = index < 0 ? [] : [{ datasetIndex: 0, index }]
  chart.setActiveElements(active)
  chart.tooltip?.setActiveElements(active, { x: 0, y: 0 })
  chart.update('none')
}

onMounted(async () => {
  await nextTick()
  await document.fonts.ready
  draw()
})
watch([units, () => props.trace, () => props.fit], () => nextTick(draw))
watch(() => props.readS, point)
onLightShown(draw)
onUnmounted(() => chart?.destroy())
</script>

<template>
  <div class="h-full">
    <canvas ref="canvas" role="img" :aria-label="`Water temperature over time, ${trace.length} samples`" />
  </div>
</template>
