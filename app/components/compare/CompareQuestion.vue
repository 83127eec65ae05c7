<script setup lang="ts">
import type { ListedQuestion } from '#shared/comparison'

/** A question with its answer, and its bar on the axis that all of them share. */
const props = defineProps<{ question: ListedQuestion; axis: IntervalAxis | null }>()
const GRADES = { onlyThis: 'only this changed', corrected: 'after correction', together: 'changed together' }
const beside = computed(() =>
  [
    props.question.runs,
    props.question.of,
    props.question.grade === null ? '' : GRADES[props.question.grade],
    props.question.isAssumed ? 'usual scatter assumed' : '',
  ]
    .filter((word) => word !== '')
    .join(' · '),
)
const to = computed(() => pageOfQuestion(props.question))
</script>

<template>
  <li class="question-row border-b border-edge py-2" :data-question="question.kind">
    <div>
      <NuxtLink :to="to" class="font-bold text-ink no-underline hover:underline">{{ question.sentence }}</NuxtLink>
      <p class="text-ink-2">{{ question.line }}</p>
    </div>
    <DifferenceBar
      v-if="axis && question.effect"
      class="question-bar"
      :axis="axis"
      :effect="question.effect"
      :words="question.line"
    />
    <span class="question-beside text-sm text-ink-2">{{ beside }}</span>
  </li>
</template>
