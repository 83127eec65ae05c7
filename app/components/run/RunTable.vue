<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { RunLine } from '#shared/runRecord'

/** Runs, a line each, with ribbons on one time axis. */
const props = defineProps<{ runs: RunLine[], sort: RunSort }>()
const emit = defineEmits<{ sort: [by: RunSortKey] }>()
const ENDINGS = { boiled: '', gaveUp: 'given up', outOfFuel: 'out of fuel', stopped: 'stopped from outside' }
const RIBBON_PX = 190
const spanS = computed(() => sharedSpan(props.runs.map(run => run.ribbon.endS)))
/** On a phone: when, set-up, normalised and remarks. */
const WIDE = 'hidden md:table-cell'
const columns: { key: RunSortKey, words: string, unit?: string, shown?: string }[] = [
  { key: 'startedAt', words: 'When' }, { key: 'setup', words: 'Set-up' }, { key: 'place', words: 'Place', shown: WIDE }, { key: 'fuel', words: 'Fuel', shown: WIDE },
]
const figures: typeof columns = [{ key: 'timeToBoilS', words: 'Boil', unit: 'm:ss', shown: WIDE }, { key: 'gPerL', words: 'Measured', unit: 'g/L', shown: WIDE }, { key: 'normalisedGPerL', words: 'Normalised', unit: 'g/L, k = 2' }]
const sorted = (key: RunSortKey) => (props.sort.by === key ? (props.sort.down ? 'descending' as const : 'ascending' as const) : undefined)

const body = useTemplateRef<HTMLElement>('body')
const keys = useKeys()
function step(by: number) {
  const links = [...body.value?.querySelectorAll<HTMLElement>('a[data-run]') ?? []]
  const here = links.indexOf(document.activeElement as HTMLElement)
  links[Math.min(links.length - 1, Math.max(0, here + by))]?.focus()
}
keys.on('rowDown', () => step(1))
keys.on('rowUp', () => step(-1))
</script>

<template>
  <div class="enamel overflow-x-auto">
    <table class="w-full border-collapse">
      <caption class="sr-only">
        Runs
      </caption>
      <thead>
        <tr class="border-b border-edge text-left align-bottom">
          <th v-for="column in columns" :key="column.key" class="p-2 font-bold" :class="column.shown" :aria-sort="sorted(column.key)">
            <button type="button" class="font-bold" @click="emit('sort', column.key)">{{ column.words }}<span v-if="sorted(column.key)" aria-hidden="true"> {{ sort.down ? '↓' : '↑' }}</span></button>
          </th>
          <th class="hidden p-2 md:table-cell">
            <span class="flex justify-between">Run <span class="figures font-normal text-ink-2">{{ formatClock(spanS) }}</span></span>
          </th>
          <th v-for="column in figures" :key="column.key" class="p-2 text-right whitespace-nowrap" :class="column.shown" :aria-sort="sorted(column.key)">
            <button type="button" class="font-bold" @click="emit('sort', column.key)">{{ column.words }}<span v-if="sorted(column.key)" aria-hidden="true"> {{ sort.down ? '↓' : '↑' }}</span></button>
            <span class="block font-normal text-ink-2">{{ column.unit }}</span>
          </th>
          <th class="p-2">Remarks</th>
        </tr>
      </thead>
      <tbody ref="body">
        <tr v-for="run in runs" :key="run.id" class="border-b border-edge last:border-b-0">
          <td class="figures px-2 py-1 text-[13px] md:whitespace-nowrap">
            <NuxtLink :to="`/runs/${run.id}`" data-run>{{ dateInZone(run.startedAt, run.zone) }}</NuxtLink>
          </td>
          <td class="px-2 py-1"><span dir="auto">{{ run.setup }}</span><span v-if="run.method" class="block text-ink-2" :class="WIDE" dir="auto">{{ run.method }}{{ run.setting ? `, ${run.setting}` : '' }}</span></td>
          <td class="px-2 py-1" :class="WIDE">{{ run.place ?? 'elsewhere' }}</td>
          <td class="px-2 py-1" :class="WIDE">{{ run.fuel }}</td>
          <td class="px-2 py-1" :class="WIDE"><RunRibbon :ribbon="run.ribbon" :span-s="spanS" :width="RIBBON_PX" :height="20" /></td>
          <td class="figures px-2 py-1 text-right" :class="WIDE">{{ run.timeToBoilS === null ? '' : formatClock(run.timeToBoilS) }}</td>
          <td class="figures px-2 py-1 text-right" :class="WIDE">{{ run.gPerL === null ? '' : run.gPerL.toFixed(1) }}</td>
          <td class="figures px-2 py-1 text-right whitespace-nowrap">{{ run.normalisedGPerL === null ? '' : withExpandedU(run.normalisedGPerL, run.normalisedU) }}</td>
          <td class="px-2 py-1">
            <span v-if="run.voided" class="border border-ink px-1">void</span>
            <span v-else-if="run.breakIn">break-in</span>
            <span v-else-if="run.worstFlag?.severity === 'error'" class="iron inline-block px-2">{{ run.worstFlag.text }}</span>
            <span v-else-if="run.says" class="figures">{{ run.says }}</span>
            <span v-else-if="run.ended && run.ended !== 'boiled'">{{ ENDINGS[run.ended] }}</span>
            <span v-else-if="run.status === 'partly'">partly</span>
            <span v-else-if="run.status === 'not'">as measured only</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
