<script setup lang="ts">
import { parseQuantity } from '#core/quantity/parseQuantity'
import { formatClock } from '#core/quantity/format'
import { problemText } from '#core/result'
import { PHOTO } from '#shared/limits'
import type { PhotoMeta, PhotoOwner } from '#shared/photo'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { v7 as uuidv7 } from 'uuid'

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
const input = useTemplateRef<HTMLInputElement>('input')
const id = useId()

async function send() {
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
  input.value!.value = ''
  emit('changed')
}
const sizeProblem = ({ size }: File): string =>
  size > PHOTO.maxBytes
    ? `Photo: read ${(size / 1e6).toFixed(1)} MB, expected at most ${PHOTO.maxBytes / 1e6} MB. Choose a smaller one.`
    : ''
/** @returns what went wrong; '': it is stored */
async function put(file: File, atMs: number | null): Promise<string> {
  const { owner, ownerId } = props
  const query = new URLSearchParams({ owner, ownerId, caption: caption.value })
  if (atMs !== null) query.set('atMs', String(atMs))
  try {
    const response = await fetch(`/api/photos/${uuidv7()}?${query.toString()}`, {
      method: 'PUT',
      body: file,
      headers: { 'content-type': 'application/octet-stream' },
    })
    const answer = (await response.json()) as { problems?: { text: string }[] }
    return answer.problems?.[0]?.text ?? ''
  } catch {
    return 'The photo did not arrive. Nothing was stored; send it again when the server is back.'
  }
}
async function takeOut(photo: PhotoMeta) {
  open.value = null
  const sent = await sendTo(`/api/photos/${photo.id}`, 'DELETE')
  problem.value = sent.ok ? '' : sent.problems[0]!.text
  emit('changed')
}
</script>

<template>
  <section aria-label="Photos" class="enamel p-3">
    <h2 class="mb-1">Photos</h2>
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
    <form class="no-print grid grid-cols-1 gap-1" @submit.prevent="send">
      <label :for="`${id}-file`"
        >A photo (JPEG, PNG or WebP, up to {{ PHOTO.maxBytes / 1e6 }} MB). Where it was taken is not kept.</label
      >
      <input :id="`${id}-file`" ref="input" type="file" accept="image/jpeg,image/png,image/webp" />
      <TextBox v-model="caption" label="Says" />
      <TextBox v-if="timed" v-model="moment" label="At" example="3:40, on the run’s clock" figures />
      <p v-if="problem" role="alert" class="font-bold">
        {{ problem }}
      </p>
      <button type="submit" class="act-quiet justify-self-start" :disabled="sending">
        {{ sending ? 'Sending' : 'Add the photo' }}
      </button>
    </form>
    <Dialog :open="open !== null" class="relative z-20" @close="open = null">
      <div class="fixed inset-0 bg-ink/60" aria-hidden="true" />
      <div class="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel v-if="open" class="enamel max-h-full overflow-auto p-3">
          <DialogTitle as="h2" class="mb-2">
            {{ open.caption || 'Photo' }}
          </DialogTitle>
          <img
            :src="`/api/photos/${open.id}`"
            :alt="open.caption || 'Photo'"
            :width="open.width"
            :height="open.height"
            class="photo max-h-[75vh] w-auto max-w-full"
          />
          <p class="mt-2 flex gap-3">
            <button type="button" class="act" @click="open = null">Close</button>
            <button type="button" class="act-quiet" @click="takeOut(open)">Take it out</button>
          </p>
        </DialogPanel>
      </div>
    </Dialog>
  </section>
</template>
