<script setup lang="ts">
import { parseQuantity } from '#core/quantity/parseQuantity'
import { problemText } from '#core/result'
import { PHOTO } from '#shared/limits'
import type { PhotoOwner } from '#shared/photo'
import { v7 as uuidv7 } from 'uuid'
import { ask, problemOf } from '~/api/send'

/** Takes a photo in, with what it says and, of a run, its moment. */
const props = defineProps<{ owner: PhotoOwner; ownerId: string; timed?: boolean }>()
const emit = defineEmits<{ added: []; left: [] }>()
const caption = ref('')
const moment = ref('')
const problem = ref('')
const sending = ref(false)
const input = useTemplateRef<HTMLInputElement>('input')
const id = useId()

async function add() {
  const file = input.value?.files?.[0]
  problem.value = ''
  if (!file) return
  const at = moment.value.trim() ? parseQuantity(moment.value, 'clockTime', 'metric') : null
  problem.value = at && !at.ok ? `Moment: ${problemText(at.problem)}` : sizeProblem(file)
  if (problem.value) return
  sending.value = true
  problem.value = await put(file, at?.ok ? Math.round(at.value.value * 1000) : null)
  sending.value = false
  if (problem.value === '') emit('added')
}
const sizeProblem = ({ size }: File): string =>
  size > PHOTO.maxBytes ? `${tooLarge('Photo', size, PHOTO.maxBytes)} Choose a smaller one.` : ''
/** @returns what went wrong; '': it is stored */
async function put(file: File, atMs: number | null): Promise<string> {
  const { owner, ownerId } = props
  const query = new URLSearchParams({ owner, ownerId, caption: caption.value })
  if (atMs !== null) query.set('atMs', String(atMs))
  const sent = await ask<unknown>(`/api/photos/${uuidv7()}?${query.toString()}`, {
    method: 'PUT',
    body: file,
    type: 'application/octet-stream',
    away: 'The photo did not arrive. Nothing was stored; send it again when the server is back.',
  })
  return problemOf(sent)
}
</script>

<template>
  <form class="no-print grid grid-cols-1 gap-1" @submit.prevent="add">
    <label :for="`${id}-file`"
      >A photo (JPEG, PNG or WebP, up to {{ PHOTO.maxBytes / 1e6 }} MB). Where it was taken is not kept.</label
    >
    <input :id="`${id}-file`" ref="input" type="file" accept="image/jpeg,image/png,image/webp" />
    <TextBox v-model="caption" label="Says" />
    <TextBox v-if="timed" v-model="moment" label="At" example="3:40, on the run’s clock" figures />
    <BaseAlert v-if="problem">
      {{ problem }}
    </BaseAlert>
    <p class="flex gap-2">
      <BaseButton kind="main" type="submit" :disabled="sending">{{ sending ? 'Sending' : 'Add the photo' }}</BaseButton>
      <BaseButton @click="emit('left')">Back</BaseButton>
    </p>
  </form>
</template>
