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
import { fromSI, unitOf } from '#core/quantity/units'
import { runTraceChart, type TraceShown } from '~/charts/runTraceChart'

/**
 * The water's temperature as it was logged, with the marks, the fitted model and what it leaves. A table of it stands
 * behind.
 */
const props = defineProps<TraceShown>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { units } = usePreferences()
let chart: Chart | null = null
Chart.register(CategoryScale, Decimation, LinearScale, LineController, LineElement, PointElement, Tooltip, annotation)

function draw() {
  chart?.destroy()
  if (!canvas.value) return
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const unit = unitOf(units.value === 'trail' ? 'degF' : 'degC')
  chart = new Chart(
    canvas.value,
    runTraceChart(props, {
      ink: colour('ink'),
      edge: colour('edge'),
      water: colour('water'),
      sheet: colour('sheet'),
      unitLabel: unit.label,
      inUnit: (tempC) => fromSI(tempC, unit),
    }),
  )
}

onMounted(async () => {
  await nextTick()
  await document.fonts.ready
  draw()
})
watch([units, () => props.trace, () => props.fit], () => nextTick(draw))
onLightShown(draw)
onUnmounted(() => chart?.destroy())
</script>

<template>
  <div class="h-full">
    <canvas ref="canvas" role="img" :aria-label="`Water temperature over time, ${trace.length} samples`" />
  </div>
</template>
