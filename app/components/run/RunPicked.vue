<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import type { ManyRuns } from '#shared/manyRuns'
import { MOST_COMPARED } from '#shared/runComparison'
import type { RunFilter } from '#shared/runList'

/** What can be done with the runs that are picked, or with all that are shown. */
const props = defineProps<{ picked: ReadonlySet<string>; filter: RunFilter; count: number; loaded: number }>()
const emit = defineEmits<{ done: []; clear: []; all: [] }>()
const { people, personId } = usePeople()
const asking = ref<'void' | 'unvoid' | 'tag' | 'untag' | null>(null)
const words = ref('')
const problem = ref('')
const saying = ref('')
const some = computed(() => props.picked.size > 0)
const PLANS = { void: 'Make void', unvoid: 'Count after all', tag: 'Tag', untag: 'Take a tag off' } as const
const compareAt = computed(() => ({ path: '/runs/compare', query: { runs: [...props.picked].join(',') } }))
watch(asking, () => {
  words.value = ''
  problem.value = ''
})

async function act() {
  const what = asking.value!
  const sent = await sendTo<{ done: number }>('/api/runs/many', 'POST', {
    id: uuidv7(),
    what,
    runIds: [...props.picked],
    personId: personId.value,
    reason: words.value,
    tag: words.value,
  } satisfies ManyRuns)
  problem.value = sent.ok ? '' : sent.problems[0]!.text
  if (!sent.ok) return
  saying.value = `${sent.value.done === 1 ? '1 run' : `${sent.value.done} runs`} changed.`
  asking.value = null
  emit('done')
}

async function download(format: 'csv' | 'xlsx' | 'json') {
  problem.value = ''
  saying.value = 'Writing the file.'
  try {
    const blob = await $fetch<Blob>('/api/runs/export', {
      method: 'POST',
      body: some.value ? { format, runIds: [...props.picked] } : { format, filter: props.filter },
      responseType: 'blob',
    })
    saveBlob(blob, `vulcanum-runs.${format}`)
    saying.value = `Written: vulcanum-runs.${format}`
  } catch {
    saying.value = ''
    problem.value = 'The file could not be written. Check that Vulcanum is running, and try again.'
  }
}
</script>

<template>
  <section class="no-print mb-2" aria-label="Picked runs">
    <p class="flex flex-wrap items-center gap-2">
      <span role="status">{{
        some
          ? `${picked.size} picked`
          : count === 1
            ? 'The one run shown'
            : `All ${count.toLocaleString('en')} runs shown`
      }}</span>
      <button
        v-for="format in ['csv', 'xlsx', 'json'] as const"
        :key="format"
        type="button"
        class="act-quiet"
        @click="download(format)"
      >
        Export {{ format.toUpperCase() }}
      </button>
      <template v-if="some">
        <NuxtLink v-if="picked.size <= MOST_COMPARED" :to="compareAt" class="act-quiet">Compare</NuxtLink>
        <button
          v-for="(plan, what) in PLANS"
          :key="what"
          type="button"
          class="act-quiet"
          :aria-expanded="asking === what"
          @click="asking = asking === what ? null : what"
        >
          {{ plan }}
        </button>
        <button type="button" class="underline" @click="emit('clear')">Pick none</button>
      </template>
      <button v-else-if="loaded > 0" type="button" class="underline" @click="emit('all')">
        Pick the {{ loaded }} shown
      </button>
      <span role="status">{{ saying }}</span>
    </p>
    <form v-if="asking && some" class="mt-2 grid gap-2" :aria-label="PLANS[asking]" novalidate @submit.prevent="act">
      <TextBox v-model="words" :label="asking === 'tag' || asking === 'untag' ? 'Tag' : 'Reason'" />
      <ChoiceBox v-model="personId" label="Who" :choices="people" />
      <button type="submit" class="act justify-self-start">
        {{ PLANS[asking] }}: {{ picked.size === 1 ? '1 run' : `${picked.size} runs` }}
      </button>
    </form>
    <p v-if="problem" role="alert" class="font-bold">
      {{ problem }}
    </p>
  </section>
</template>
