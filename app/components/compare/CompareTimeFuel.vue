<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { RankingAnswer } from '#shared/comparison'

/** Time against fuel: who is neither quicker nor thriftier than another lies behind the stair. */
const props = defineProps<{ answer: RankingAnswer }>()
interface Placed {
  name: string
  s: number
  g: number
}
const placed = computed<Placed[]>(() =>
  props.answer.rows
    .flatMap(({ name, timeS, fuelG }) => (timeS === null || fuelG === null ? [] : [{ name, s: timeS, g: fuelG }]))
    .sort((a, b) => a.s - b.s),
)
/** None is quicker that takes no more. */
const edge = computed(() =>
  placed.value.filter((one) => !placed.value.some((other) => other !== one && other.s <= one.s && other.g <= one.g)),
)
const stair = computed<[number, number][]>(() =>
  edge.value.flatMap((one, i): [number, number][] => {
    const next = edge.value[i + 1]
    return next === undefined
      ? [[one.s, one.g]]
      : [
          [one.s, one.g],
          [next.s, one.g],
        ]
  }),
)
const drawn = computed(() => ({
  arms: [
    { name: 'the efficient edge', points: [], lines: [{ data: stair.value, kind: 'band' as const }] },
    ...edge.value.map(({ name, s, g }) => ({ name, points: [[s, g, null]] as [number, number, null][], lines: [] })),
    {
      name: 'behind it',
      points: placed.value
        .filter((one) => !edge.value.includes(one))
        .map(({ s, g }): [number, number, null] => [s, g, null]),
      lines: [],
    },
  ],
  marks: [],
  xTitle: 'to the boil',
  xStep: clockStep(placed.value.at(-1)!.s - placed.value[0]!.s),
  yTitle: 'g a boil',
  xWords: (value: number) => formatClock(value),
}))
const said = computed(
  () => `Nobody is both quicker and thriftier than ${edge.value.map(({ name }) => name).join(', ')}.`,
)
</script>

<template>
  <CompareChart
    v-if="placed.length > 1"
    title="Time against fuel"
    file="time-against-fuel"
    :drawn="drawn"
    x-words="Time to boil [s]"
    y-words="Fuel a boil [g]"
    :height="280"
  >
    <template #below
      ><p class="mt-1">{{ said }}</p></template
    >
  </CompareChart>
</template>
