<script setup lang="ts">
import { problemOf, send } from '~/api/send'
import type { ImportPage } from '#shared/tableImport/imports'

/** What was stored of a file; and undoing all of it. */
const props = defineProps<{ page: ImportPage }>()
const emit = defineEmits<{ changed: [] }>()
const { people, personId } = usePeople()
const asking = ref(false)
const reason = ref('')
const problem = ref('')
const isTrace = computed(() => props.page.what === 'trace')
const held = computed(() => {
  const n = props.page.stored.toLocaleString('en')
  return isTrace.value ? `${n} samples` : props.page.stored === 1 ? '1 run' : `${n} runs`
})

async function undo() {
  const sent = await send(`/api/imports/${props.page.id}/undo`, 'POST', {
    personId: personId.value,
    reason: reason.value,
  })
  problem.value = problemOf(sent)
  if (sent.ok) emit('changed')
}
</script>

<template>
  <BasePanel class="grid grid-cols-1 gap-3" label="Stored">
    <p v-if="page.state === 'undone'" role="status">
      {{ held }} came in and {{ page.stored === 1 ? 'was' : 'were' }} undone on {{ dateInZone(page.undoneAt!, 'UTC') }}.
      {{ isTrace ? 'The run goes on without them.' : 'The runs are void: kept, and in no figure.' }}
    </p>
    <p v-else role="status">
      {{ held }} stored<template v-if="page.leftOut"
        >, {{ page.leftOut === 1 ? '1 row' : `${page.leftOut.toLocaleString('en')} rows` }} left out</template
      >.
      <NuxtLink v-if="page.runId" :to="`/runs/${page.runId}`">Open the run</NuxtLink>
      <NuxtLink v-else :to="{ path: '/runs', query: { import: page.id, origin: 'all' } }"
        >Show them in the logbook</NuxtLink
      >
    </p>
    <template v-if="page.state === 'stored'">
      <BaseButton v-if="!asking" class="justify-self-start" @click="asking = true"> Undo all of it </BaseButton>
      <form v-else class="grid grid-cols-1 gap-2" aria-label="Undo all of it" novalidate @submit.prevent="undo">
        <TextBox
          v-model="reason"
          label="Why"
          :problem="problem || undefined"
          :hint="
            isTrace
              ? 'The traces are taken out of the run; they are kept.'
              : 'Its runs become void: kept, and in no figure. Kit that it made and nothing else uses is offered no more.'
          "
        />
        <ChoiceBox v-model="personId" label="Who" :choices="people" />
        <p class="flex gap-3">
          <BaseButton kind="main" type="submit">Undo {{ held }}</BaseButton>
          <BaseButton @click="asking = false">Keep it</BaseButton>
        </p>
      </form>
    </template>
  </BasePanel>
</template>
