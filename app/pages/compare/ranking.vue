<script setup lang="ts">
import { RANKED_BY, type RankedBy, type RankingAnswer } from '#shared/comparison'

/** Set-ups by what a boil takes: places as ranges, ties told in the row. */
const { say, said } = useAsking()
const { answer: data, error } = await useAsked<RankingAnswer>('/api/compare/ranking')
const BY_WORDS: Record<RankedBy, string> = {
  g: 'grams of fuel',
  s: 'time',
  MJ: 'heat',
  money: 'money',
  measured: 'grams, as measured',
}
const bys = computed(() =>
  RANKED_BY.filter((by) => data.value?.isAcross !== true || by === 'MJ' || by === 'money' || by === 's').map(
    (value) => ({ value, label: BY_WORDS[value] }),
  ),
)
/** By money a fuel's own page says what it cost; as measured nothing is corrected. */
const rank = (by: string | null) =>
  say({ by: by === 'measured' ? by : undefined, unit: by === null || by === 'g' || by === 'measured' ? undefined : by })
const of = computed(() => ({
  one: data.value?.fuel.toLowerCase() ?? '',
  across: 'all fuels',
}))
/** The test that the address names, for what else is asked of it. */
const askedTest = computed(() =>
  Object.fromEntries(
    ['fuel', 'test', 'water', 'end', 'setting'].flatMap((key) => (said(key) === null ? [] : [[key, said(key)!]])),
  ),
)
const since = ref(said('since') ?? '')
const cautions = computed(() => (data.value?.rows ?? []).filter(({ caution }) => caution !== null))
const keptDay = computed(() => (data.value?.keptAt ? shortDateInZone(data.value.keptAt, 'UTC') : null))
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data">
      <CompareAnswer :line="data.line">
        <p v-if="keptDay" data-frozen>
          As it was on {{ keptDay }}, frozen.
          <NuxtLink :to="{ query: { ...$route.query, kept: undefined } }">As it is now</NuxtLink>
        </p>
        <p class="text-ink-2">
          By
          <WordChoice label="Ranked by" :model-value="data.by" :choices="bys" @update:model-value="rank" />
          a boil of
          <WordChoice
            label="Fuels"
            :model-value="data.isAcross ? 'across' : 'one'"
            :choices="[
              { value: 'one', label: of.one || 'one fuel' },
              { value: 'across', label: of.across },
            ]"
            @update:model-value="
              say({ across: $event === 'across' ? 'yes' : undefined, unit: undefined, by: undefined })
            "
          />. Also <NuxtLink :to="{ path: '/compare/carried', query: askedTest }">by pack weight</NuxtLink>,
          <NuxtLink to="/compare/seen">by what was seen</NuxtLink>,
          <NuxtLink :to="{ path: '/compare/factors', query: askedTest }">part by part</NuxtLink>.
        </p>
        <CompareAsks v-if="data.by !== 'measured'" :asked="data" />
        <p v-if="data.others.length" class="flex flex-wrap gap-x-4">
          <span class="text-ink-2">Also ranked:</span>
          <NuxtLink v-for="one in data.others" :key="one.words" :to="{ query: one.query }">{{ one.words }}</NuxtLink>
        </p>
      </CompareAnswer>
      <CompareRanking :answer="data" />
      <CautionBox v-for="row in cautions" :key="row.name">
        <strong>{{ row.name }}.</strong> {{ row.caution }}
      </CautionBox>
      <CompareTimeFuel v-if="data.by !== 'measured' && !data.isAcross" :answer="data" />
      <form class="flex flex-wrap items-end gap-3" @submit.prevent="say({ since: since || undefined })">
        <DateBox v-model="since" label="What moved since" />
        <BaseButton type="submit">Show it in the rows</BaseButton>
      </form>
      <CompareKeep page="ranking" :sentence="data.sentence" />
    </template>
  </ComparePage>
</template>
