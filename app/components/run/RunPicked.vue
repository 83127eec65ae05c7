<script setup lang="ts">
import { problemOf, send } from '~/api/send'
import { v7 as uuidv7 } from 'uuid'
import type { ManyRuns } from '#shared/manyRuns'
import { MOST_COMPARED } from '#shared/runComparison'

/** What can be done with the runs that are picked. */
const props = defineProps<{ picked: ReadonlySet<string> }>()
const emit = defineEmits<{ done: [said: string]; clear: [] }>()
const { people, personId } = usePeople()
const asking = ref<'void' | 'unvoid' | 'tag' | 'untag' | null>(null)
const words = ref('')
const problem = ref('')
const PLANS = { void: 'Make void', unvoid: 'Count after all', tag: 'Tag', untag: 'Take a tag off' } as const
const compareAt = computed(() => ({ path: '/compare/picked', query: { runs: [...props.picked].join(',') } }))
watch(asking, () => {
  words.value = ''
  problem.value = ''
})

async function act() {
  const what = asking.value!
  const sent = await send<{ done: number }>('/api/runs/many', 'POST', {
    id: uuidv7(),
    what,
    runIds: [...props.picked],
    personId: personId.value,
    reason: words.value,
    tag: words.value,
  } satisfies ManyRuns)
  problem.value = problemOf(sent)
  if (!sent.ok) return
  asking.value = null
  emit('done', `${sent.value.done === 1 ? '1 run' : `${sent.value.done} runs`} changed.`)
}
</script>

<template>
  <section class="no-print picked-bar" aria-label="Picked runs">
    <p class="flex flex-wrap items-center gap-2">
      <strong role="status">{{ picked.size }} picked</strong>
      <BaseButton v-if="picked.size <= MOST_COMPARED" :to="compareAt">Compare</BaseButton>
      <BaseButton
        v-for="(plan, what) in PLANS"
        :key="what"
        :aria-expanded="asking === what"
        @click="asking = asking === what ? null : what"
      >
        {{ plan }}
      </BaseButton>
      <BaseButton kind="plain" @click="emit('clear')">Pick none</BaseButton>
    </p>
    <LazyReasonForm
      v-if="asking"
      v-model:reason="words"
      v-model:person-id="personId"
      :words="`${PLANS[asking]}: ${picked.size === 1 ? '1 run' : `${picked.size} runs`}`"
      :label="asking === 'tag' || asking === 'untag' ? 'Tag' : 'Reason'"
      :people="people"
      :problem="problem"
      @send="act"
      @leave="asking = null"
    />
  </section>
</template>
