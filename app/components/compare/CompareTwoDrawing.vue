<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { TwoAnswer } from '#shared/comparison'

/** Each run a stroke on its row, the mean below them; the difference on an axis of its own, in per cent. */
const props = defineProps<{ answer: TwoAnswer }>()
const counted = computed(() => props.answer.runs.filter(({ isCounted }) => isCounted))
const axis = computed(() =>
  intervalAxis([
    ...counted.value.map(({ boilG }) => boilG),
    ...props.answer.arms.flatMap(({ low, high }) => [low, high]),
  ]),
)
const rows = computed(() =>
  props.answer.arms.map((arm, i) => ({
    ...arm,
    strokes: stacked(
      counted.value.filter((one) => one.arm === i).map(({ id, boilG }) => ({ id, at: placeOn(axis.value, boilG) })),
    ),
    words: `${formatNumber(arm.boilG, 1)} (${formatNumber(arm.low, 1)} to ${formatNumber(arm.high, 1)})`,
  })),
)
const differences = computed(() => (props.answer.effect === null ? null : differenceAxis([props.answer.effect])))
</script>

<template>
  <BasePanel tight label="Drawing">
    <div class="two-rows">
      <template v-for="row in rows" :key="row.name">
        <span dir="auto"
          >{{ row.name }} <small class="text-ink-2">{{ row.n }}</small></span
        >
        <div>
          <div class="strokes" :style="{ height: `${row.strokes.high * 16 + 2}px` }" aria-hidden="true">
            <span
              v-for="one in row.strokes.marks"
              :key="one.id"
              class="stroke"
              :style="{ left: `${one.at}%`, bottom: `${one.level * 16}px` }"
            />
          </div>
          <IntervalBar
            :axis="axis"
            :mark="row.boilG"
            :interval="[row.low, row.high]"
            :words="`${row.name}: ${row.words} g a boil`"
          />
        </div>
        <span class="figures max-sm:mb-2">{{ row.words }}</span>
      </template>
      <IntervalTicks class="sm:col-start-2" :axis="axis" />
      <span class="self-start text-ink-2">g a boil, 95 %</span>
      <template v-if="answer.effect && differences">
        <span class="mt-4">difference</span>
        <div class="mt-4">
          <DifferenceAxis :axis="differences" />
          <DifferenceBar :axis="differences" :effect="answer.effect" :words="answer.line" />
        </div>
        <span />
      </template>
    </div>
  </BasePanel>
</template>
