<script setup lang="ts">
import { formatClock, formatNumber, signed } from '#core/quantity/format'
import { STOVE_WORDS, type Rehearsed } from '#shared/rehearsal'

/**
 * The end of a rehearsal: each call against what happened, what the calls did to the figure, and how its tester calls
 * over rehearsals.
 */
const props = defineProps<{ rehearsed: Rehearsed }>()
const judged = computed(() => props.rehearsed.judgement)
const choice = computed(() => props.rehearsed.choice)
const lines = computed(() =>
  judged.value.calls.map((call) => ({ ...call, name: CALL_WORDS[call.kind], says: lateWords(call) })),
)
const weighed = computed(() => (judged.value.usedG === null ? null : judged.value.usedG - judged.value.trueUsedG))
const started = computed(() => (judged.value.startC === null ? null : judged.value.startC - judged.value.trueStartC))
const steps = computed(() => judgedSteps(judged.value))
const readings = computed(() => readingsWords(judged.value.readings))
const biases = computed(() => props.rehearsed.biases.map((bias) => biasWords(bias)))
const clock = (s: number | null) => (s === null ? '–' : formatClock(s))
</script>

<template>
  <BasePanel title="Your calls against what happened">
    <p class="mb-2 text-ink-2">
      In place of a stove: {{ STOVE_WORDS[choice.stove]
      }}<template v-if="choice.speed > 1"
        >; time ran {{ choice.speed }} times as fast, and times here are the stove’s</template
      >.
    </p>
    <div class="grid items-start gap-x-8 gap-y-3 lg:grid-cols-[5fr_6fr]">
      <table class="w-full">
        <thead>
          <tr class="border-b border-edge text-left">
            <th>Call</th>
            <th class="pl-3 text-right">Yours</th>
            <th class="pl-3 text-right">Happened</th>
            <th class="pl-4">Off by</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(line, i) in lines" :key="i" class="border-b border-edge" :data-call="line.kind">
            <th scope="row" class="text-left font-normal">{{ line.name }}</th>
            <td class="figures pl-3 text-right whitespace-nowrap">{{ clock(line.calledS) }}</td>
            <td class="figures pl-3 text-right whitespace-nowrap">{{ clock(line.trueS) }}</td>
            <td class="pl-4">{{ line.says }}</td>
          </tr>
          <tr v-if="weighed !== null" class="border-b border-edge" data-call="fuel">
            <th scope="row" class="text-left font-normal">Fuel used</th>
            <td class="figures pl-3 text-right whitespace-nowrap">
              {{ formatNumber(judged.usedG!, 1) }} <span class="text-ink-2">g</span>
            </td>
            <td class="figures pl-3 text-right whitespace-nowrap">
              {{ formatNumber(judged.trueUsedG, 1) }} <span class="text-ink-2">g</span>
            </td>
            <td class="pl-4">{{ signed(weighed, 1) }} g</td>
          </tr>
          <tr v-if="started !== null" class="border-b border-edge" data-call="start">
            <th scope="row" class="text-left font-normal">Start temperature</th>
            <td class="figures pl-3 text-right whitespace-nowrap">
              {{ formatNumber(judged.startC!, 1) }} <span class="text-ink-2">°C</span>
            </td>
            <td class="figures pl-3 text-right whitespace-nowrap">
              {{ formatNumber(judged.trueStartC, 1) }} <span class="text-ink-2">°C</span>
            </td>
            <td class="pl-4">{{ signed(started, 1) }} K</td>
          </tr>
        </tbody>
      </table>
      <div class="space-y-2">
        <template v-if="steps.length">
          <h3 class="font-bold">What they did to the figure</h3>
          <table class="w-full">
            <tbody>
              <tr v-for="step in steps" :key="step.step" class="border-b border-edge" :data-step="step.step">
                <th scope="row" class="text-left font-normal">{{ step.words }}</th>
                <td class="pl-3 text-right whitespace-nowrap text-ink-2">{{ step.factor }}</td>
                <td class="figures pl-3 text-right whitespace-nowrap">
                  {{ formatNumber(step.gPerL, 2) }}
                  <span class="text-ink-2">g/L{{ judged.normalised ? '' : ' as measured' }}</span>
                </td>
              </tr>
            </tbody>
          </table>
        </template>
        <p v-else class="text-ink-2">
          There is no figure to hold against the stove’s: a weighing or a call is missing.
        </p>
        <p v-if="readings">
          {{ readings }}
        </p>
        <template v-if="biases.length">
          <h3 class="font-bold">{{ rehearsed.person }} over rehearsals</h3>
          <p v-for="words in biases" :key="words" data-bias>
            {{ words }}
          </p>
        </template>
        <p>
          <NuxtLink to="/runs?origin=rehearsal">All rehearsals</NuxtLink> ·
          <NuxtLink to="/bench/prepare?rehearse">Rehearse again</NuxtLink>
        </p>
      </div>
    </div>
  </BasePanel>
</template>
