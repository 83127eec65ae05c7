<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import type { FoundQuestions, QuestionGroup } from '#shared/comparison'

/** What the runs can answer: every question found in them, with its answer in a line. */
useHead({ title: 'Compare · Vulcanum' })
const { data, error, refresh } = await useFetch<FoundQuestions>('/api/compare')
/** Asked again while answers are being worked out. */
const { pause, resume } = useIntervalFn(() => void refresh(), 1500, { immediate: false })
watchEffect(() => (data.value?.isWaiting === true && import.meta.client ? resume() : pause()))
const GROUP_WORDS: Record<QuestionGroup, string> = {
  shown: 'Shown',
  worthATest: 'Worth a test',
  together: 'Changed together',
  rankings: 'Rankings and volumes',
  wind: 'Wind',
  claims: 'Claims',
  people: 'People',
}
const ALL = 'all'
const { say, said } = useAsking()
const about = computed(() => said('about') ?? ALL)
const abouts = computed(() => [
  { value: ALL, label: 'everything' },
  ...(data.value?.groups ?? []).map(({ group }) => ({ value: group, label: GROUP_WORDS[group].toLowerCase() })),
])
const groups = computed(() =>
  (data.value?.groups ?? []).filter(({ group }) => about.value === ALL || group === about.value),
)
const axis = computed(() => {
  const effects = groups.value
    .filter(({ group }) => group !== 'people')
    .flatMap(({ questions }) => questions.flatMap(({ effect }) => effect ?? []))
  return effects.length === 0 ? null : differenceAxis(effects)
})
</script>

<template>
  <div class="max-w-6xl">
    <div class="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h1>What your runs can answer</h1>
      <BaseButton kind="main" to="/compare/ask">Ask another</BaseButton>
      <span class="text-ink-2"
        >corrected to 20 °C start, sea level, calm · about
        <WordChoice
          label="About"
          :model-value="about"
          :choices="abouts"
          @update:model-value="say({ about: $event === ALL ? undefined : ($event ?? undefined) })"
      /></span>
      <span v-if="data?.isWaiting" role="status" class="ml-auto text-ink-2">Answers are being worked out.</span>
    </div>
    <BaseAlert v-if="error"> The questions could not be read. Check that Vulcanum is running, then reload. </BaseAlert>
    <EmptyState
      v-else-if="!data?.groups.length"
      words="Nothing to compare yet. Burn two set-ups that differ in one part once each, by one method; two runs each give a range."
    >
      <BaseButton kind="main" to="/runs/new">Log a run</BaseButton>{{ ' ' }}
      <BaseButton to="/runs">Pick runs to hold against each other</BaseButton>
    </EmptyState>
    <BasePanel v-else label="Questions">
      <section v-if="data.kept.length && about === ALL" aria-label="Kept" class="mb-3">
        <h2 class="text-rim">Kept</h2>
        <ul>
          <CompareKept v-for="line in data.kept" :key="line.id" :line="line" @changed="refresh()" />
        </ul>
      </section>
      <section v-for="(of, i) in groups" :key="of.group" :aria-label="GROUP_WORDS[of.group]" class="mb-3">
        <div class="question-row items-end">
          <h2 class="text-rim">{{ GROUP_WORDS[of.group] }}</h2>
          <DifferenceAxis v-if="i === 0 && axis" :axis="axis" class="question-bar" />
        </div>
        <ul>
          <CompareQuestion v-for="one in of.questions" :key="one.key" :question="one" :axis="axis" />
        </ul>
        <p v-if="of.more" class="text-ink-2">{{ of.more }} more, with smaller differences.</p>
      </section>
      <p class="text-ink-2">
        Found among {{ data.looked }} differences; of those that are shown about one in twenty may be chance. What is
        worth a test is tested by fresh runs, of a question that was kept before them. Figures of one bench, not a
        promise for the field.
      </p>
      <p class="text-ink-2">
        Also <NuxtLink to="/compare/claims">what makers say</NuxtLink>,
        <NuxtLink to="/compare/seen">what was seen</NuxtLink>.
      </p>
    </BasePanel>
  </div>
</template>
