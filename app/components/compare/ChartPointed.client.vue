<script setup lang="ts">
import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js'
import annotation from 'chartjs-plugin-annotation'
import { compareChart, type DrawnChart } from '~/charts/compareChart'

/** A chart that answers to the pointer. */
const props = defineProps<{ drawn: DrawnChart; words: string }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
let chart: Chart | null = null
Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement, Tooltip, annotation)
function draw() {
  chart?.destroy()
  if (!canvas.value) return
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const colours = { ink: colour('ink'), edge: colour('edge'), water: colour('water'), sheet: colour('sheet') }
  chart = new Chart(canvas.value, compareChart(props.drawn, colours))
}
onMounted(async () => {
  await nextTick()
  await document.fonts.ready
  draw()
})
watch(
  () => props.drawn,
  () => nextTick(draw),
)
onLightShown(draw)
onUnmounted(() => chart?.destroy())
</script>

<template>
  <div class="h-full"><canvas ref="canvas" role="img" :aria-label="words" /></div>
</template>
