<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import type { ClaimLine } from '#shared/answers'
import { CLAIM_WHATS, CLAIM_WORDS, claimFields, type ClaimWhat } from '#shared/claim'
import type { FieldProblem } from '#shared/readProblems'
import { send } from '~/api/send'

/** What the maker says of a set-up, and what its runs say to it. */
const props = defineProps<{ setupId: string }>()
const { units } = usePreferences()
const url = computed(() => `/api/kit/setups/${props.setupId}/claims`)
const { data: claims, refresh } = await useFetch<ClaimLine[]>(url)
const what = ref<ClaimWhat>('timeS')
const whats = CLAIM_WHATS.map((value) => ({ value, label: CLAIM_WORDS[value] }))
const specs = computed(() => claimFields(what.value))
const adding = ref(false)
const record = ref(newRecord({}))
const problems = ref<FieldProblem[]>([])
watch(what, () => {
  problems.value = []
})
async function add() {
  const sent = await send<ClaimLine[]>(url.value, 'POST', { ...record.value, units: units.value, what: what.value })
  problems.value = sent.ok ? [] : sent.problems
  if (!sent.ok) return
  record.value = { ...newRecord({}), id: uuidv7() }
  adding.value = false
  await refresh()
}
async function withdraw(id: string) {
  await send<ClaimLine[]>(`${url.value}/${id}`, 'DELETE')
  await refresh()
}
</script>

<template>
  <BasePanel id="claims" tight title="The maker says" label="Claims">
    <ul>
      <li v-for="one in claims" :key="one.id" class="mb-2" data-claim>
        <strong>{{ one.sentence }}</strong>{{ ' ' }}<span class="text-ink-2">{{ one.conditions }}</span>
        <p>{{ one.text }}</p>
        <BaseButton kind="plain" :aria-label="`Take back ${one.sentence}`" @click="withdraw(one.id)"
          >Take it back</BaseButton
        >
      </li>
    </ul>
    <BaseButton v-if="!adding" kind="plain" @click="adding = true">Add what they say</BaseButton>
    <template v-else>
      <p>
        They say
        <WordChoice v-model="what" label="What they say" :choices="whats" />.
      </p>
      <RecordForm
        v-model="record"
        label="A claim"
        :specs="specs"
        :problems="problems"
        :theirs="null"
        :saving="false"
        class="mt-2"
        @save="add"
      >
        <template #buttons><BaseButton kind="plain" @click="adding = false">Leave it</BaseButton></template>
      </RecordForm>
    </template>
    <p>
      Ask of its runs:
      <template v-for="(words, kind, i) in LINE_KIND_WORDS" :key="kind"
        >{{ i > 0 ? ' · ' : ''
        }}<NuxtLink :to="{ path: '/compare/lines', query: { kind, setups: setupId } }">{{ words }}</NuxtLink></template
      >
    </p>
    <p v-if="claims?.length"><NuxtLink to="/compare/claims">All claims, drawn</NuxtLink></p>
  </BasePanel>
</template>
