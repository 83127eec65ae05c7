<script setup lang="ts">
import { formatClock, formatNumber } from '#core/quantity/format'
import { listed } from '#core/compare/words'
import type { CarriedAnswer, CarriedRow } from '#shared/answers'

/** Pack weight against boils, as stairs of whole containers; and what a boil costs. */
const { say } = useAsking()
const { answer: data, error } = await useAsked<CarriedAnswer>('/api/compare/carried')
const BOILS = [5, 10, 20, 40, 80].map((n) => ({ value: String(n), label: `${n} boils` }))
const boilChoices = computed(() => {
  const own = String(data.value?.boils ?? 20)
  return BOILS.some(({ value }) => value === own) ? BOILS : [{ value: own, label: `${own} boils` }, ...BOILS]
})
const stair = ({ carriedG }: CarriedRow): [number, number][] =>
  carriedG.flatMap((grams, i): [number, number][] => [
    [i, grams],
    [i + 1, grams],
  ])
/** Several that become lighter than one at once are told in one line. */
const crossings = computed(() => {
  const lines = new Map<string, { boils: number; lighter: string[]; than: string }>()
  for (const { boils, lighter, than } of data.value?.crossings ?? []) {
    const key = `${boils} ${than}`
    const line = lines.get(key) ?? { boils, lighter: [], than }
    line.lighter.push(lighter)
    lines.set(key, line)
  }
  return [...lines.values()].sort((a, b) => a.boils - b.boils)
})
const drawn = computed(() => ({
  arms: (data.value?.rows ?? []).map((row) => ({
    name: row.name,
    points: row.carriedG.map((grams, i): [number, number, null] => [i + 1, grams, null]),
    lines: [{ data: stair(row), kind: 'curve' as const }],
  })),
  marks: [...new Set(crossings.value.map(({ boils }) => boils))]
    .slice(0, 4)
    .map((boils) => ({ x: boils - 0.5, words: `from ${boils} on` })),
  xTitle: 'boils',
  yTitle: 'g carried',
  xMin: 0,
}))
const columns: DataColumn<CarriedRow>[] = [
  { key: 'name', words: 'Set-up', of: ({ name }) => name },
  { key: 'stove', words: 'Stove and pot', unit: 'g', figure: true, of: ({ stoveG }) => Math.round(stoveG) },
  { key: 'boil', words: 'A boil', unit: 'g', figure: true, of: ({ boilG }) => formatNumber(boilG, 1) },
  { key: 'time', words: 'Time', figure: true, of: ({ timeS }) => (timeS === null ? null : formatClock(timeS)) },
  {
    key: 'price',
    words: 'Price of a boil',
    figure: true,
    of: ({ price }) => (price === null ? null : formatNumber(price, 2)),
  },
  { key: 'all', words: 'Carried', unit: 'g', figure: true, of: ({ carriedG }) => Math.round(carriedG.at(-1)!) },
]
const containers = computed(() => [...new Map((data.value?.rows ?? []).map((row) => [row.fuel, row])).values()])
</script>

<template>
  <ComparePage :sentence="data?.sentence" :error="error">
    <template v-if="data">
      <CompareAnswer :line="data.line">
        <p class="text-ink-2">
          For
          <WordChoice
            label="Boils"
            :model-value="String(data.boils)"
            :choices="boilChoices"
            @update:model-value="say({ boils: $event ?? undefined })"
          />
          by the mean of each set-up’s runs: stove, pot and whole containers. Nothing to spare, no wind, no cold.
        </p>
        <ul v-if="crossings.length">
          <li v-for="one in crossings" :key="`${one.boils} ${one.than}`" data-crossing>
            From {{ one.boils }} boils on {{ listed(one.lighter) }} {{ one.lighter.length > 1 ? 'are' : 'is' }} lighter
            than {{ one.than }}.
          </li>
        </ul>
      </CompareAnswer>
      <CompareChart
        title="Pack weight against boils"
        file="pack-weight"
        :drawn="drawn"
        x-words="Boils"
        y-words="Carried [g]"
        :decimals="[0, 0]"
      />
      <BasePanel tight title="What is carried, and what a boil costs">
        <DataTable caption="What is carried" :rows="data.rows" :columns="columns" :id-of="({ name }) => name" />
        <ul class="mt-2 text-ink-2">
          <li v-for="one in containers" :key="one.fuel">
            <CarriedContainer :row="one" />
          </li>
          <li v-if="data.currency">Prices in {{ data.currency }}, the newest of each fuel.</li>
          <li v-for="one in data.rows.filter(({ price }) => price === null)" :key="one.name">
            {{ one.name }}: no price of {{ one.fuel.toLowerCase() }}.
            <NuxtLink to="/kit/fuels">Add one to the fuel</NuxtLink>.
          </li>
        </ul>
        <p v-if="data.notDrawn.length" class="mt-2">
          <strong>Not drawn, and why</strong>{{ ' ' }}
          <span v-for="(one, i) in data.notDrawn" :key="one.name" class="text-ink-2">
            <NuxtLink :to="`/kit/setups/${one.setupId}`">{{ one.name }}</NuxtLink>: {{ one.why
            }}{{ i === data.notDrawn.length - 1 ? '.' : ' ·' }}
          </span>
        </p>
      </BasePanel>
    </template>
  </ComparePage>
</template>
