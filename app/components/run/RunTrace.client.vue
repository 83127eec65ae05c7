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
import { EVENT_NAMES, type EventKind } from '#core/run/events'
import { formatClock } from '#core/quantity/format'
import { fromSI, unitOf } from '#core/quantity/units'
import { fittedTemperature, type BurnFit } from '#core/trace/fitHeating'

/**
 * The water's temperature as it was logged, with the marks, the fitted model and what it leaves. A table of it stands
 * behind.
 */
const props = defineProps<{
  trace: [number, number][]
  marks: { kind: EventKind; s: number }[]
  boilingC: number | null
  fit: BurnFit[] | null
  foundS: number | null
}>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { units } = usePreferences()
let chart: Chart | null = null
Chart.register(CategoryScale, Decimation, LinearScale, LineController, LineElement, PointElement, Tooltip, annotation)

const unit = computed(() => unitOf(units.value === 'trail' ? 'degF' : 'degC'))
const inUnit = (tempC: number) => fromSI(tempC, unit.value)

function draw() {
  chart?.destroy()
  if (!canvas.value) return
  const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()
  const [ink, edge, water, sheet] = ['ink', 'edge', 'water', 'sheet'].map(token) as [string, string, string, string]
  const font = { family: 'Atkinson Hyperlegible Mono Variable', size: 12 }
  const label = (content: string) => ({
    display: true,
    content,
    position: 'start' as const,
    backgroundColor: sheet,
    color: ink,
    font,
    padding: 2,
  })
  const marks = Object.fromEntries(
    props.marks.map((mark, i) => [
      `mark${i}`,
      {
        type: 'line' as const,
        yScaleID: 'y',
        xMin: mark.s,
        xMax: mark.s,
        borderColor: ink,
        borderWidth: 1.5,
        label: label(EVENT_NAMES[mark.kind]),
      },
    ]),
  )
  const boiling =
    props.boilingC === null
      ? {}
      : {
          boiling: {
            type: 'line' as const,
            yScaleID: 'y',
            yMin: inUnit(props.boilingC),
            yMax: inUnit(props.boilingC),
            borderColor: edge,
            borderDash: [6, 4],
            borderWidth: 1,
          },
        }
  const found =
    props.foundS === null
      ? {}
      : {
          found: {
            type: 'line' as const,
            yScaleID: 'y',
            xMin: props.foundS,
            xMax: props.foundS,
            borderColor: water,
            borderDash: [3, 3],
            borderWidth: 2,
            label: { ...label('Boil, by the trace'), position: 'center' as const },
          },
        }
  const fitted = (props.fit ?? []).map((burn) => {
    const inside = props.trace.filter(([s]) => s >= burn.fromS && s <= burn.toS)
    return {
      curve: inside.map(([s]) => ({ x: s, y: inUnit(fittedTemperature(burn, s)) })),
      left: inside.map(([s, tempC]) => ({ x: s, y: inUnit(tempC) - inUnit(fittedTemperature(burn, s)) })),
    }
  })
  const thin = { pointRadius: 0, pointHitRadius: 0, parsing: false as const, borderWidth: 1.5, borderColor: ink }
  const residualAxis =
    fitted.length === 0
      ? {}
      : {
          left: {
            type: 'linear' as const,
            stack: 'trace',
            stackWeight: 1,
            weight: 0,
            position: 'left' as const,
            title: { display: true, text: 'left over', color: ink, font },
            ticks: {
              color: ink,
              font,
              maxTicksLimit: 3,
              callback: (value: string | number, i: number, all: unknown[]) => (i === all.length - 1 ? '' : value),
            },
            grid: { color: edge, lineWidth: 0.3 },
          },
        }
  chart = new Chart(canvas.value, {
    type: 'line',
    data: {
      datasets: [
        {
          data: props.trace.map(([s, tempC]) => ({ x: s, y: inUnit(tempC) })),
          borderColor: water,
          borderWidth: 2,
          pointRadius: 0,
          pointHitRadius: 8,
          parsing: false,
          yAxisID: 'y',
        },
        ...fitted.flatMap(({ curve, left }) => [
          { ...thin, data: curve, borderDash: [5, 3], yAxisID: 'y' },
          { ...thin, data: left, borderWidth: 1, yAxisID: 'left' },
        ]),
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      interaction: { mode: 'index', intersect: false },
      scales: {
        x: {
          type: 'linear',
          min: 0,
          ticks: { color: ink, font, callback: (value) => formatClock(Number(value)) },
          grid: { color: edge, lineWidth: 0.3 },
        },
        y: {
          type: 'linear',
          stack: 'trace',
          stackWeight: 3,
          weight: 1,
          title: { display: true, text: unit.value.label, color: ink, font },
          ticks: { color: ink, font },
          grid: { color: edge, lineWidth: 0.3 },
        },
        ...residualAxis,
      },
      plugins: {
        legend: { display: false },
        decimation: { enabled: true, algorithm: 'lttb', samples: 600 },
        annotation: { annotations: { ...marks, ...boiling, ...found } },
        tooltip: {
          backgroundColor: ink,
          titleColor: sheet,
          bodyColor: sheet,
          titleFont: font,
          bodyFont: font,
          callbacks: {
            title: (items) => formatClock(items[0]?.parsed.x ?? 0),
            label: (item) => `${item.parsed.y?.toFixed(1)} ${unit.value.label}`,
          },
        },
      },
    },
  })
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
  <div :class="fit ? 'h-72' : 'h-56'">
    <canvas ref="canvas" role="img" :aria-label="`Water temperature over time, ${trace.length} samples`" />
  </div>
</template>
