<script setup lang="ts">
import { ratioRange } from '#core/statistics/verdictText'
import type { TwoAnswer } from '#shared/comparison'
import type { DrawnRows } from '~/charts/intervalRowsSvg'

/** Each run a stroke on its row, the mean below them; the difference on an axis of its own, in per cent. */
const props = defineProps<{ answer: TwoAnswer }>()
const counted = computed(() => props.answer.runs.filter(({ isCounted }) => isCounted))
const scaled = (value: number) => onAxis(props.answer.unit, value)
const axis = computed(() =>
  intervalAxis([
    ...counted.value.map(({ boilG }) => scaled(boilG)),
    ...props.answer.arms.flatMap(({ low, high }) => [scaled(low), scaled(high)]),
  ]),
)
const rows = computed(() =>
  props.answer.arms.map((arm, i) => {
    const own = counted.value.filter((one) => one.arm === i)
    return {
      ...arm,
      label: `${arm.name}, ${arm.n}`,
      mark: scaled(arm.boilG),
      interval: [scaled(arm.low), scaled(arm.high)] as const,
      strokes: own.map(({ boilG }) => scaled(boilG)),
      drawn: stacked(own.map(({ id, boilG }) => ({ id, at: placeOn(axis.value, scaled(boilG)) }))),
      words: rangeOfBoil(props.answer, arm),
    }
  }),
)
const differences = computed(() => (props.answer.effect === null ? null : differenceAxis([props.answer.effect])))
const percent = (ratio: number) => 100 * (ratio - 1)
const groups = computed<DrawnRows[]>(() => {
  const { effect } = props.answer
  const arms = { rows: rows.value, unit: `${unitOfBoil(props.answer)}, 95 %`, axis: axis.value }
  if (effect === null || differences.value === null) return [arms]
  const difference = {
    label: 'difference',
    mark: percent(effect.ratio),
    interval: [percent(effect.low), percent(effect.high)] as const,
    words: ratioRange([effect.low, effect.high]),
  }
  return [arms, { rows: [difference], unit: '%, less | more', nought: 0, axis: differences.value }]
})
const runCount = computed(() => counted.value.length)
</script>

<template>
  <CompareIntervals
    title="Drawing"
    file="a-and-b"
    :groups="groups"
    :notes="[answer.sentence, `One bench, ${runCount} runs. Not a field promise.`]"
  >
    <div class="two-rows">
      <template v-for="row in rows" :key="row.name">
        <span dir="auto"
          >{{ row.name }} <small class="text-ink-2">{{ row.n }}</small></span
        >
        <div class="max-sm:mx-4">
          <div class="strokes" :style="{ height: `${row.drawn.high * 16 + 2}px` }" aria-hidden="true">
            <span
              v-for="one in row.drawn.marks"
              :key="one.id"
              class="stroke"
              :style="{ left: `${one.at}%`, bottom: `${one.level * 16}px` }"
            />
          </div>
          <IntervalBar
            :axis="axis"
            :mark="row.mark"
            :interval="row.interval"
            :words="`${row.name}: ${row.words} ${unitOfBoil(answer)}`"
          />
        </div>
        <span class="figures max-sm:mb-2">{{ row.words }}</span>
      </template>
      <IntervalTicks class="max-sm:mx-4 sm:col-start-2" :axis="axis" />
      <span class="self-start text-ink-2 sm:pl-4">{{ unitOfBoil(answer) }}, 95 %</span>
      <template v-if="answer.effect && differences">
        <span class="mt-4">difference</span>
        <div class="mt-4 max-sm:mx-4">
          <DifferenceAxis :axis="differences" />
          <DifferenceBar :axis="differences" :effect="answer.effect" :words="answer.line" />
        </div>
        <span />
      </template>
    </div>
  </CompareIntervals>
</template>
