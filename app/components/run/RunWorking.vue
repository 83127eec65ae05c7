<script setup lang="ts">
import { formulaText, substitutedFormula, workingText, type Working } from '#core/explain/working'
import { SOURCES } from '#core/constants/sources'
import { decimalsFor, formatNumber } from '#core/quantity/format'

/** The working of one number: value, formula, the same with its numbers, inputs, shares of the variance, source. */
const props = defineProps<{ working: Working }>()
const margin = useMargin()
const show = (value: number | null) =>
  value === null ? 'not measured' : formatNumber(value, Math.min(decimalsFor(value, 5), 6))
const showU = (u: number) => formatNumber(u, Math.min(decimalsFor(u, 2), 6))
const copied = ref(false)
async function copy() {
  await navigator.clipboard.writeText(workingText(props.working))
  copied.value = true
  setTimeout(() => {
    copied.value = false
  }, 2000)
}
const shares = computed(() => (props.working.shares ?? []).filter((one) => one.share >= 0.005))
const FROM = { measured: 'measured', assumed: 'assumed', computed: '', constant: 'constant', reference: 'reference' }
</script>

<template>
  <BasePanel as="article" tight aria-live="polite">
    <h2>{{ working.title }}</h2>
    <p class="figures text-lg" data-working-value>
      {{ show(working.value) }} <span class="text-ink-2">{{ working.unit }}</span>
    </p>
    <p class="figures mt-2 break-words">= {{ formulaText(working) }}</p>
    <p class="figures mt-1 break-words text-ink-2">= {{ substitutedFormula(working) }}</p>
    <dl class="mt-3 space-y-1">
      <div v-for="input in working.inputs" :key="input.symbol" class="grid grid-cols-[minmax(7rem,1fr)_auto] gap-x-3">
        <dt>
          <BaseButton v-if="input.path" kind="plain" class="text-left text-rim" @click="margin.follow(input.path)">
            {{ input.name }}
          </BaseButton>
          <template v-else>
            {{ input.name }}
          </template>
          <span v-if="FROM[input.from]" class="text-ink-2"> · {{ FROM[input.from] }}</span>
        </dt>
        <dd class="figures text-right">
          {{ show(input.value) }}<template v-if="input.u"> ± {{ showU(input.u) }}</template
          >{{ ' ' }}
          <span class="text-ink-2">{{ input.unit }}</span>
        </dd>
      </div>
    </dl>
    <template v-if="shares.length">
      <h3 class="mt-3 font-bold">What makes its uncertainty</h3>
      <ul class="mt-1 space-y-1">
        <li v-for="one in shares" :key="one.name">
          <span class="flex justify-between"
            ><span>{{ one.name }}</span
            ><span class="figures">{{ formatNumber(one.share * 100, 0) }} %</span></span
          >
          <span class="block h-[3px] bg-rim" :style="{ width: `${one.share * 100}%` }" />
        </li>
      </ul>
      <p class="mt-1 text-ink-2">{{ shares[0]!.name }} weighs most: measuring it better would shrink this first.</p>
    </template>
    <p v-if="working.note" class="mt-3">
      {{ working.note }}
    </p>
    <p class="mt-3 text-ink-2">
      Source: {{ SOURCES[working.source] }}. <NuxtLink to="/numbers">How the numbers are made</NuxtLink>
    </p>
    <p class="no-print mt-2 flex gap-4">
      <BaseButton kind="plain" :aria-pressed="margin.pinned.includes(working.path)" @click="margin.pin(working.path)">
        {{ margin.pinned.includes(working.path) ? 'Unpin' : 'Pin' }}
      </BaseButton>
      <BaseButton kind="plain" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</BaseButton>
    </p>
  </BasePanel>
</template>
