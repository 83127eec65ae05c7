<script setup lang="ts">
import { formatClock, formatNumber } from '#core/quantity/format'
import { fromSI, unitOf } from '#core/quantity/units'
import { CHANNELS } from '#shared/channels'
import type { RunPage } from '#shared/runRecord'

/** What was followed beside the water: a line each, with how far it reached. */
const props = defineProps<{ channels: RunPage['channels'] }>()
const [WIDTH, HEIGHT] = [320, 36]
const lines = computed(() =>
  props.channels.map(({ channel, count, drawn }) => {
    const { name, shownIn } = CHANNELS[channel]
    const unit = unitOf(shownIn)
    const values = drawn.map(([, value]) => fromSI(value, unit))
    const [low, high] = [Math.min(...values), Math.max(...values)]
    const [from, to] = [drawn[0]![0], drawn.at(-1)![0]]
    const xOf = (s: number) => ((s - from) / Math.max(to - from, 1e-9)) * WIDTH
    const yOf = (value: number) => HEIGHT - 2 - ((value - low) / Math.max(high - low, 1e-9)) * (HEIGHT - 4)
    const points = drawn.map(([s], i) => `${xOf(s).toFixed(1)},${yOf(values[i]!).toFixed(1)}`).join(' ')
    const decimals = 1
    return {
      channel,
      name,
      count,
      points,
      unit: unit.label,
      low: formatNumber(low, decimals),
      high: formatNumber(high, decimals),
      first: formatNumber(values[0]!, decimals),
      last: formatNumber(values.at(-1)!, decimals),
      from: formatClock(from),
      to: formatClock(to),
    }
  }),
)
</script>

<template>
  <BasePanel tight title="Also followed" class="overflow-x-auto">
    <table>
      <thead>
        <tr class="text-left">
          <th class="pr-4">What</th>
          <th class="pr-4">Over time</th>
          <th class="pr-4 text-right">First</th>
          <th class="pr-4 text-right">Last</th>
          <th class="pr-4 text-right">Lowest</th>
          <th class="pr-4 text-right">Highest</th>
          <th class="text-right">Samples</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.channel" class="border-t border-edge">
          <th scope="row" class="pr-4 text-left font-normal">{{ line.name }}</th>
          <td class="pr-4">
            <svg
              :width="WIDTH"
              :height="HEIGHT"
              role="img"
              :aria-label="`${line.name} from ${line.first} to ${line.last} ${line.unit}`"
            >
              <polyline :points="line.points" fill="none" stroke="var(--ink)" stroke-width="1.5" />
            </svg>
            <span class="figures block text-[13px] text-ink-2">{{ line.from }} to {{ line.to }}</span>
          </td>
          <td
            v-for="(value, i) in [line.first, line.last, line.low, line.high]"
            :key="i"
            class="figures pr-4 text-right whitespace-nowrap"
          >
            {{ value }} <span class="text-ink-2">{{ line.unit }}</span>
          </td>
          <td class="figures text-right">{{ line.count.toLocaleString('en') }}</td>
        </tr>
      </tbody>
    </table>
  </BasePanel>
</template>
