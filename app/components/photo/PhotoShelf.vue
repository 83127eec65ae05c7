<script setup lang="ts">
import { parseQuantity } from '#core/quantity/parseQuantity'
import { formatClock } from '#core/quantity/format'
import { problemText } from '#core/result'
import { PHOTO } from '#shared/limits'
import type { PhotoMeta, PhotoOwner } from '#shared/photo'
import { v7 as uuidv7 } from 'uuid'
import { ask, problemOf, send } from '~/api/send'

/** Photos of a run, a thing or a set-up: taken in, looked at, taken out. */
const props = defineProps<{
  owner: PhotoOwner
  ownerId: string
  photos: readonly PhotoMeta[]
  /** Of a run: a photo may have its moment. */ timed?: boolean
}>()
const emit = defineEmits<{ changed: [] }>()
const caption = ref('')
const moment = ref('')
const problem = ref('')
const sending = ref(false)
const open = ref<PhotoMeta | null>(null)
const adding = ref(false)
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
  if (problem.value) return
  caption.value = ''
  moment.value = ''
  adding.value = false
  emit('changed')
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
async function takeOut(photo: PhotoMeta) {
  open.value = null
  const sent = await send(`/api/photos/${photo.id}`, 'DELETE')
  problem.value = problemOf(sent)
  emit('changed')
}
</script>

<template>
  <BasePanel tight title="Photos" :class="photos.length ? '' : 'no-print'">
    <ul v-if="photos.length" class="mb-2 flex flex-wrap gap-2">
      <li v-for="photo in photos" :key="photo.id" class="max-w-40">
        <button type="button" :aria-label="`Look at ${photo.caption || 'the photo'}`" @click="open = photo">
          <img
            :src="`/api/photos/${photo.id}/thumbnail`"
            :alt="photo.caption || 'Photo'"
            class="photo max-h-32 border border-edge"
            loading="lazy"
          />
        </button>
        <p class="text-ink-2" dir="auto">
          <template v-if="photo.atMs !== null"
            ><span class="figures">{{ formatClock(photo.atMs / 1000) }}</span
            >{{ ' ' }}</template
          >{{ photo.caption }}
        </p>
      </li>
    </ul>
    <p v-else class="mb-2 text-ink-2">None yet.</p>
    <BaseAlert v-if="problem && !adding">{{ problem }}</BaseAlert>
    <BaseButton v-if="!adding" class="no-print" @click="adding = true">Add a photo</BaseButton>
    <form v-else class="no-print grid grid-cols-1 gap-1" @submit.prevent="add">
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
        <BaseButton kind="main" type="submit" :disabled="sending">{{
          sending ? 'Sending' : 'Add the photo'
        }}</BaseButton>
        <BaseButton @click="adding = false">Back</BaseButton>
      </p>
    </form>
    <LazyBaseDialog v-if="open" open :title="open.caption || 'Photo'" width="wide" middle @close="open = null">
      <img
        :src="`/api/photos/${open.id}`"
        :alt="open.caption || 'Photo'"
        :width="open.width"
        :height="open.height"
        class="photo max-h-[75vh] w-auto max-w-full"
      />
      <p class="mt-2 flex gap-3">
        <BaseButton kind="main" @click="open = null">Close</BaseButton>
        <BaseButton @click="takeOut(open)">Take it out</BaseButton>
      </p>
    </LazyBaseDialog>
  </BasePanel>
</template>
