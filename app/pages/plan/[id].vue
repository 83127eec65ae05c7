<script setup lang="ts">
import { problemOf, send, type Sent } from '~/api/send'
import type { StudyPage } from '#shared/plan'

/** A study: what it can show, and its days. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const { data: study, error } = await useFetch<StudyPage>(() => `/api/plan/${id.value}`)
useHead({ title: () => `${study.value?.sentence ?? 'Plan'} · Vulcanum` })
const laidOut = usePlannedDays(() => study.value ?? null)
const { personId } = usePeople()
const busy = ref(false)
const problem = ref('')
const said = ref('')
/** One after the other: what is pressed while another is under way waits for it, and is not lost. */
let before: Promise<void> = Promise.resolve()
function change(words: string, asked: (one: StudyPage) => Promise<Sent<StudyPage>>) {
  before = before.then(() => changeNow(words, asked))
  return before
}
async function changeNow(words: string, asked: (one: StudyPage) => Promise<Sent<StudyPage>>) {
  if (!study.value) return
  busy.value = true
  const sent = await asked(study.value)
  busy.value = false
  problem.value = problemOf(sent)
  said.value = sent.ok ? words : ''
  if (sent.ok) study.value = sent.value
}
const post = (path: string, more: object) => (one: StudyPage) =>
  send<StudyPage>(`/api/plan/${one.id}/${path}`, 'POST', {
    revision: one.revision,
    personId: personId.value || null,
    ...more,
  })
const reshuffle = () => change('Drawn anew.', post('shuffle', {}))
const move = (run: string, by: -1 | 1) =>
  change('Moved.', (one) => post('order', { order: movedOrder(one.runs, run, by) })(one))
const put = (part: (one: StudyPage) => Partial<StudyPage>) => (one: StudyPage) =>
  send<StudyPage>(`/api/plan/${one.id}`, 'PUT', studyToSend({ ...one, ...part(one) }, personId.value || null))
const replicate = (replicates: number) =>
  change(
    `${replicates} runs of each.`,
    put(() => ({ replicates })),
  )
const turnRound = (remedy: string) =>
  change(
    'Turned round.',
    put(({ days }) => ({ days: { ...days, ...REMEDIES[remedy] } })),
  )
const REMEDIES: Record<string, Partial<StudyPage['days']>> = {
  rotateStations: { stationsBy: 'turn' },
  swapPeople: { peopleBy: 'turn' },
}
const REMEDY_WORDS: Record<string, string> = {
  rotateStations: 'Rotate the stations',
  swapPeople: 'Have them change places',
}
const fit = computed(() => laidOut.value?.days.reduce((sum, { runs }) => sum + runs.length, 0) ?? 0)
const toBurn = computed(() => study.value?.runs.filter(({ runId }) => runId === null).length ?? 0)
const { units } = usePreferences()
const giving = ref(false)
async function giveUp() {
  const sent = await send<{ isGone: boolean }>(`/api/plan/${id.value}`, 'DELETE')
  problem.value = problemOf(sent)
  if (sent.ok) await navigateTo('/plan')
}
</script>

<template>
  <div class="max-w-6xl">
    <BaseAlert v-if="error" class="mb-3"
      >This study could not be read. It may have been given up; open it from
      <NuxtLink to="/plan">Plan</NuxtLink>.</BaseAlert
    >
    <template v-if="study">
      <h1 class="mb-3">
        <NuxtLink to="/plan" class="text-base font-normal text-ink-2">Plan</NuxtLink>
        <span class="text-base font-normal text-ink-2"> › </span>{{ study.sentence }}
      </h1>
      <div class="with-margin items-start" data-margin>
        <div class="min-w-0 space-y-3">
          <BasePanel label="What is asked">
            <div class="grid gap-4 md:grid-cols-2">
              <div class="space-y-1">
                <p class="text-lg" data-fits>
                  From {{ study.days.days[0]!.from }}, back by {{ study.days.days[0]!.to
                  }}{{ study.days.days.length > 1 ? `, on ${study.days.days.length} days` : '' }}:
                  <strong>{{ laidOut === null ? '…' : `${fit} of ${toBurn} fit.` }}</strong>
                </p>
                <p v-for="arm in study.arms" :key="arm.id">
                  <strong>{{ arm.letter }}</strong>
                  {{ ' ' }}<NuxtLink :to="`/kit/setups/${arm.setupId}`">{{ arm.name }}</NuxtLink>
                </p>
                <p class="text-ink-2">Kept the same: {{ heldWords(study, units) }}.</p>
                <p v-if="study.differs.length === 0" data-differs>
                  What else will differ: nothing. <span class="text-ink-2">only this changes</span>
                </p>
                <template v-else>
                  <p v-for="one in study.differs" :key="one.what" data-differs>
                    What else will differ: {{ one.text }}
                    <BaseButton
                      v-if="one.remedy && REMEDY_WORDS[one.remedy]"
                      kind="plain"
                      :disabled="busy"
                      @click="turnRound(one.remedy)"
                      >{{ REMEDY_WORDS[one.remedy] }}</BaseButton
                    >
                  </p>
                </template>
              </div>
              <PlanCurve :study="study" @replicates="replicate" />
            </div>
          </BasePanel>
          <BaseAlert v-if="problem">{{ problem }}</BaseAlert>
          <BasePanel v-for="day in laidOut?.days ?? []" :key="day.day" class="max-md:hidden" :title="dayWords(day.day)">
            <PlanDay :study="laidOut!.of" :day="day" />
          </BasePanel>
          <BasePanel title="In this order">
            <template #beside>
              <span class="text-ink-2"
                >shuffle {{ study.seed }} ·
                <BaseButton kind="plain" :disabled="busy" @click="reshuffle">reshuffle</BaseButton> · moved with
                <kbd>Alt</kbd> <kbd>↑</kbd><kbd>↓</kbd></span
              >
              <span role="status" class="text-ink-2">{{ said }}</span>
            </template>
            <PlanRuns :study="study" :laid-out="laidOut" @move="move" />
          </BasePanel>
          <BasePanel v-if="study.changes.length" tight title="What was done to it">
            <ul>
              <li v-for="(one, i) in study.changes" :key="i">
                {{ dateInZone(one.at, study.held.zone) }}: {{ one.what }}{{ one.person ? ` ${one.person}` : '' }}
              </li>
            </ul>
          </BasePanel>
          <p class="no-print">
            <BaseButton v-if="!giving" kind="plain" @click="giving = true">Give this study up</BaseButton>
            <template v-else>
              {{
                study.runs.some(({ runId }) => runId)
                  ? 'What was burned stays.'
                  : 'Nothing of it was burned: it is gone then.'
              }}
              <BaseButton @click="giveUp">Give it up</BaseButton>{{ ' ' }}
              <BaseButton kind="plain" @click="giving = false">Keep it</BaseButton>
            </template>
          </p>
        </div>
        <aside class="min-w-0 space-y-3"><PlanTakes :study="study" :laid-out="laidOut" /></aside>
      </div>
    </template>
  </div>
</template>
