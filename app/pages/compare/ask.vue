<script setup lang="ts">
import type { AskChoices } from '#shared/answers'

/** A question of one's own: sentences with blanks. */
useHead({ title: 'Ask another · Vulcanum' })
const { data, error } = await useFetch<AskChoices>('/api/compare/choices')
const tests = computed(() => (data.value?.tests ?? []).map(({ words }, i) => ({ value: String(i), label: words })))
const chosen = ref<string | null>('0')
const test = computed(() => data.value?.tests[Number(chosen.value ?? 0)] ?? null)
const versions = computed(() =>
  (test.value?.setups ?? []).map(({ versionId, name, n }) => ({ value: versionId, label: `${name} (${n})` })),
)
const setups = computed(() =>
  (test.value?.setups ?? []).map(({ setupId, name, n }) => ({ value: setupId, label: `${name} (${n})` })),
)
const a = ref<string | null>(null)
const b = ref<string | null>(null)
const one = ref<string | null>(null)
const kind = ref<string | null>('wind')
watch(test, () => {
  a.value = b.value = one.value = null
})
const kinds = Object.entries(LINE_KIND_WORDS).map(([value, label]) => ({ value, label }))
const twoQuery = computed(() => ({ ...test.value?.query, a: a.value ?? '', b: b.value ?? '' }))
const canRank = computed(() => (test.value?.setups.length ?? 0) > 2)
const problem = ref('')
function askTwo() {
  problem.value =
    a.value === null || b.value === null
      ? 'Choose both set-ups.'
      : a.value === b.value
        ? 'These are one. Choose two that differ.'
        : ''
  if (problem.value === '') void navigateTo({ path: '/compare/two', query: twoQuery.value })
}
function askLine() {
  if (one.value !== null)
    void navigateTo({
      path: '/compare/lines',
      query: { kind: kind.value ?? 'wind', setups: one.value, fuel: test.value?.query.fuel ?? '' },
    })
}
</script>

<template>
  <ComparePage sentence="Ask another" :error="error">
    <EmptyState
      v-if="tests.length === 0"
      words="No run is corrected in full yet, so nothing can be asked. Burn one in calm, its fuel weighed and its start read."
    >
      <BaseButton kind="main" to="/runs/new">Log a run</BaseButton>
    </EmptyState>
    <template v-else>
      <BasePanel tight title="Of which runs">
        <ChoiceBox v-model="chosen" label="Burned as" :choices="tests" />
      </BasePanel>
      <BasePanel as="form" tight title="Which takes less?" @submit.prevent="askTwo">
        <div class="grid gap-2">
          <ChoiceBox v-model="b" label="Does" :choices="versions" :problem="problem || undefined" />
          <ChoiceBox v-model="a" label="take less than" :choices="versions" />
          <p><BaseButton kind="main" type="submit">Ask</BaseButton></p>
        </div>
      </BasePanel>
      <BasePanel as="form" tight title="How does it stand …?" @submit.prevent="askLine">
        <div class="grid gap-2">
          <ChoiceBox v-model="one" label="How does" :choices="setups" />
          <ChoiceBox v-model="kind" label="stand" :choices="kinds" />
          <p><BaseButton type="submit" :disabled="one === null">Ask</BaseButton></p>
        </div>
      </BasePanel>
      <BasePanel v-if="test" tight title="Of all of them">
        <ul>
          <li v-if="canRank">
            <NuxtLink :to="{ path: '/compare/ranking', query: test.query }">Who is first?</NuxtLink>
          </li>
          <li>
            <NuxtLink :to="{ path: '/compare/ranking', query: { ...test.query, across: 'yes', unit: 'money' } }"
              >Who is cheapest, of all fuels?</NuxtLink
            >
          </li>
          <li>
            <NuxtLink :to="{ path: '/compare/carried', query: test.query }"
              >What weighs least for so many boils?</NuxtLink
            >
          </li>
          <li><NuxtLink :to="{ path: '/compare/factors', query: test.query }">What does each part do?</NuxtLink></li>
          <li><NuxtLink to="/compare/seen">How clean are they, and what do their flames look like?</NuxtLink></li>
        </ul>
      </BasePanel>
      <BasePanel tight title="The maker says …">
        <p>
          A claim belongs to a set-up.
          <template v-for="(setup, i) in test?.setups ?? []" :key="setup.setupId"
            >{{ i > 0 ? ' · ' : ''
            }}<NuxtLink :to="`/kit/setups/${setup.setupId}#claims`">{{ setup.name }}</NuxtLink></template
          >
        </p>
      </BasePanel>
    </template>
  </ComparePage>
</template>
