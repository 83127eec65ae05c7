<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { IMPORT } from '#shared/limits'
import { ask, problemOf } from '~/api/send'

/** A file that is brought in, or rows that are pasted: read by the server, stored by nobody yet. */
const props = defineProps<{ /** The run that a logger's trace belongs to. */ runId?: string }>()
const problem = ref('')
const sending = ref(false)
const pasted = ref('')
const id = useId()

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) await send(file, file.name)
}

const sendPasted = () => send(new Blob([pasted.value]), 'pasted rows')

async function send(body: Blob, name: string) {
  problem.value = ''
  if (body.size > IMPORT.maxBytes) {
    problem.value = `${tooLarge(name, body.size, IMPORT.maxBytes)} Bring a part of it at a time. Nothing was stored.`
    return
  }
  sending.value = true
  const importId = uuidv7()
  const sent = await ask<unknown>(`/api/imports/${importId}?${new URLSearchParams({ name }).toString()}`, {
    method: 'PUT',
    body,
    type: 'application/octet-stream',
    away: 'The file did not arrive. Nothing was stored; choose it again when the server is back.',
  })
  problem.value = problemOf(sent)
  sending.value = false
  if (!problem.value)
    await navigateTo({ path: `/runs/import/${importId}`, query: props.runId ? { run: props.runId } : {} })
}
</script>

<template>
  <BasePanel label="A file" class="grid grid-cols-1 gap-2">
    <label :for="`${id}-file`"
      >A table of runs or a logger’s file: CSV, TSV, JSON or XLSX, up to {{ IMPORT.maxBytes / 1e6 }} MB</label
    >
    <input
      :id="`${id}-file`"
      type="file"
      accept=".csv,.tsv,.txt,.json,.xlsx,text/csv,text/plain,application/json"
      :disabled="sending"
      @change="choose"
    />
    <label :for="`${id}-paste`">or its rows, pasted</label>
    <textarea :id="`${id}-paste`" v-model="pasted" rows="3" class="figures w-full" />
    <BaseButton v-if="pasted.trim()" kind="main" class="justify-self-start" :disabled="sending" @click="sendPasted">
      Read these rows
    </BaseButton>
    <p role="status">
      {{ sending ? 'Sending and reading it.' : '' }}
    </p>
    <BaseAlert v-if="problem">
      {{ problem }}
    </BaseAlert>
    <p class="text-ink-2">Nothing is stored before you have seen how it is read.</p>
  </BasePanel>
</template>
