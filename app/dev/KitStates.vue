<script setup lang="ts">
import type { UnitSystem } from '#core/quantity/kinds'

/** Every part of the interface kit in its states, for who builds with it: on the development server alone. */
definePageMeta({ layout: false })
const { light, nextLight } = usePreferences()
useHead({ title: 'The kit', htmlAttrs: { 'data-light': light } })
const units: UnitSystem = 'metric'
const FEW = ['low', 'medium', 'full'].map((value) => ({ value, label: value }))
const MANY = Array.from({ length: 500 }, (_, i) => ({ value: String(i), label: `Set-up ${i + 1}, trial ${i % 7}` }))
const typed = reactive({ text: '', wrong: 'twelve', quantity: '500 g', day: '2026-08-05', few: 'low', one: 'low' })
const many = ref<string | null>('41')
const word = ref<string | null>('low')
const isChecked = ref(true)
const open = ref<'dialog' | 'drawer' | null>(null)
const said = ref('')
const undo = useUndo()
interface Row {
  id: string
  name: string
  grams: number | null
}
const rows: Row[] = [
  { id: 'a', name: 'Cone', grams: 12.4 },
  { id: 'b', name: 'Bare', grams: null },
  { id: 'c', name: 'Big pot', grams: 9.8 },
]
const columns: DataColumn<Row>[] = [
  { key: 'name', words: 'Set-up', sorts: true, of: (row) => row.name },
  { key: 'grams', words: 'Fuel', unit: 'g', figure: true, sorts: true, of: (row) => row.grams },
]
const picked = ref(new Set<string>(['c']))
const bars = [
  { key: 'a', label: 'Cone against bare', mark: -12, interval: [-21, -3] as const, words: '−12 %, −21 to −3' },
  { key: 'b', label: 'Big pot against bare', mark: 2, interval: [-5, 9] as const, words: '+2 %, −5 to +9' },
]
const drawing = () =>
  '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="40"><path d="M0 40L40 0" stroke="#000"/></svg>'
const entries = [{ words: 'CSV', about: 'A table', act: () => (said.value = 'CSV') }]
</script>

<template>
  <main class="mx-auto grid max-w-5xl gap-4 p-4">
    <h1>The kit</h1>
    <p>
      <BaseButton data-light-switch @click="nextLight">{{ LIGHT_NAMES[light] }}</BaseButton>
      <span role="status" data-said>{{ said }}</span>
    </p>
    <BasePanel title="Buttons">
      <p class="flex flex-wrap items-center gap-3">
        <BaseButton kind="main" @click="said = 'Main'">Main</BaseButton>
        <BaseButton kind="main" disabled>Main, not now</BaseButton>
        <BaseButton>Quiet</BaseButton>
        <BaseButton disabled>Quiet, not now</BaseButton>
        <BaseButton kind="plain">Plain</BaseButton>
        <BaseButton glove>For gloves</BaseButton>
        <BaseButton to="/dev/kit">A link</BaseButton>
        <BaseMenu label="Menu" :entries="entries" />
      </p>
    </BasePanel>
    <BasePanel title="Fields" class="grid gap-2">
      <TextBox v-model="typed.text" label="Text" hint="As it is said." />
      <TextBox v-model="typed.wrong" label="Text that is wrong" problem="Read “twelve”, expected a number. Type 12." />
      <QuantityBox v-model="typed.quantity" label="Quantity" kind="water" :units="units" />
      <QuantityBox v-model="typed.quantity" label="Quantity, as last time" kind="water" :units="units" taken />
      <ChoiceBox v-model="typed.few" label="One of few" :choices="FEW" />
      <ChoiceBox v-model="many" label="One of many" :choices="MANY" empty="none" />
      <DateBox v-model="typed.day" label="Day" />
      <RadioChoice v-model="typed.one" label="Radio" :choices="FEW" />
      <CheckBox v-model="isChecked" label="A check" />
      <CheckBox v-model="isChecked" label="A check, not now" disabled />
      <p>A sentence with <WordChoice v-model="word" label="Flame" :choices="FEW" /> in it.</p>
    </BasePanel>
    <BasePanel title="What is said" class="grid gap-2">
      <BaseAlert>It went wrong, and what to do.</BaseAlert>
      <CautionBox>This flame may be invisible. Treat as lit until cold.</CautionBox>
      <BaseProgress label="Rows stored" :done="0.4" />
      <p>
        <BaseButton @click="undo.offer('It is gone.', () => (said = 'Back'))">Throw away</BaseButton>
        <UndoLine :undo="undo" />
      </p>
    </BasePanel>
    <BasePanel title="What opens">
      <p class="flex gap-3">
        <BaseButton @click="open = 'dialog'">Dialog</BaseButton>
        <BaseButton @click="open = 'drawer'">Drawer</BaseButton>
      </p>
      <BaseDisclosure label="More of it"><p>Here it is.</p></BaseDisclosure>
    </BasePanel>
    <BasePanel as="div" bare>
      <DataTable
        caption="A table"
        :rows="rows"
        :columns="columns"
        :id-of="(row) => row.id"
        :name-of="(row) => row.name"
        :picked="picked"
        @pick="picked = $event"
      />
    </BasePanel>
    <BasePanel title="Estimates on an axis"><IntervalBars :rows="bars" unit="% of fuel a litre" /></BasePanel>
    <ChartFrame
      title="A chart in its frame"
      file="chart"
      :rows="rows"
      :columns="columns"
      :id-of="(row) => row.id"
      :words-of="(row) => `${row.name}, ${row.grams ?? 'no'} g`"
      table-words="As a table"
      :drawing="drawing"
    >
      <p>The drawing stands here.</p>
    </ChartFrame>
    <EmptyState title="Nothing yet" words="Nothing burned here yet."><BaseButton>Burn one now</BaseButton></EmptyState>
    <LazyBaseDialog v-if="open === 'dialog'" open title="A dialog" @close="open = null"><p>In it.</p></LazyBaseDialog>
    <LazyBaseDrawer v-if="open === 'drawer'" open title="A drawer" @close="open = null"><p>In it.</p></LazyBaseDrawer>
  </main>
</template>
