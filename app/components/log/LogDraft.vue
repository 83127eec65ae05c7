<script setup lang="ts">
import type { Draft } from '#shared/draft'
import type { KitChoices } from '#shared/kitChoices'
import type { TypedEventKind } from '#shared/typedRun'

/** The draft of this browser, in its form; saved, it becomes a run and its page opens. */
const props = defineProps<{ kit: KitChoices }>()
const draft = useDraft()
const { typed, lane } = storeToRefs(draft)
const margin = useMargin()
const runs = useRunsAlike(computed(() => typed.value.setupId))
const { problems, problemAt, leave, save, saving } = useTypedRun(typed)
const { state, theirs, keepMine, takeTheirs } = useDraftSync()
const general = computed(() =>
  problems.value.filter(
    (problem) =>
      ['', 'id', 'trace', 'overrides.burnerAndFuel'].includes(problem.path) || problem.path.startsWith('trace['),
  ),
)
const timing = ref((lane.value?.marks.length ?? 0) > 0)
const others = ref<Draft[]>([])
const STATE_WORDS = {
  empty: '',
  sending: 'Keeping it.',
  kept: 'Kept here and on the server.',
  away: 'The server does not answer. Kept in this browser; it is sent when the server is back.',
  changedElsewhere: '',
}
const fuelKind = computed(() => props.kit.fuels.find((one) => one.id === typed.value.fuelBatchId)?.kind ?? null)
const { like, has, some, undo, isKnown, isInTheWay, beginEmpty, beginAnother } = useLogBeginning(props.kit, typed)
onMounted(async () => {
  const kept = await $fetch<Draft[]>('/api/drafts').catch(() => [])
  others.value = kept.filter((one) => one.id !== typed.value.id)
})

function setTimes(times: Partial<Record<TypedEventKind, string>>) {
  typed.value.times = { ...typed.value.times, ...times }
}
function ice() {
  typed.value.measured.waterStart = '0.5 °C'
  if (!typed.value.notes.includes('Ice start'))
    typed.value.notes = `${typed.value.notes}${typed.value.notes ? '\n' : ''}Ice start: 0–1 °C, assumed.`
}
function goOn(one: Draft) {
  draft.take(one)
  others.value = others.value.filter((other) => other.id !== one.id)
}

async function saveAndOpen() {
  const id = await save()
  if (id === null) {
    await nextTick()
    document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
    return
  }
  draft.begin()
  await navigateTo(`/runs/${id}`)
}
</script>

<template>
  <div class="flex flex-col gap-4 xl:flex-row">
    <div class="min-w-0 flex-1">
      <p v-if="isInTheWay" class="mb-2">
        A draft of another run stands here.
        <BaseButton kind="plain" @click="beginAnother">Begin the one you came for</BaseButton>
      </p>
      <CautionBox v-if="theirs" role="alert" class="mb-3 flex flex-wrap items-center gap-3">
        <strong>This draft was changed on another page. Which stays?</strong>
        <BaseButton kind="main" @click="keepMine">This page’s</BaseButton
        ><BaseButton @click="takeTheirs">The other’s</BaseButton>
      </CautionBox>
      <div class="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        <slot />
        <BareUnits v-model="typed.units" />
        <span role="status" class="ml-auto text-ink-2" data-draft-state>{{ STATE_WORDS[state] }}</span>
      </div>
      <div class="mb-1 min-h-7">
        <TakenLine v-if="like" :like="like" :some="some" :undo="undo" @clear="beginEmpty" />
      </div>
      <CautionBox v-for="problem in general" :key="problem.text" as="p" role="alert" class="mb-3 font-bold">
        {{ problem.text }}
      </CautionBox>
      <LogForm
        v-if="isKnown"
        v-model="typed"
        :kit="kit"
        :problem-at="problemAt"
        :problems="problems.length"
        :saving="saving"
        :is-taken="has"
        :left="leftOf(typed, like)"
        @left="leave"
        @save="saveAndOpen"
      >
        <template #stopwatch="{ order }">
          <BaseDisclosure v-model:open="timing" label="Time it here, by a stop-watch">
            <LazyLogStopwatch v-model="lane" :order="order" :fuel-kind="fuelKind" class="mt-2" @times="setTimes" />
          </BaseDisclosure>
        </template>
        <template #trace>
          <LogTrace v-model="typed.trace" />
        </template>
      </LogForm>
      <!-- They are known late: above the form they would push it down. -->
      <p v-for="one in isKnown ? others : []" :key="one.id" class="mt-2">
        A draft of {{ dateInZone(one.updatedAt, one.body.typed.zone) }} is on the server.
        <BaseButton kind="plain" @click="goOn(one)">Go on with it</BaseButton>
      </p>
    </div>
    <LogMargin
      v-if="!margin.hidden"
      :typed="typed"
      :kit="kit"
      :runs="runs"
      class="w-full shrink-0 xl:w-60"
      @ice="ice"
    />
  </div>
</template>
