<script setup lang="ts">
import { formatClock } from '#core/quantity/format'
import type { PhotoMeta, PhotoOwner } from '#shared/photo'
import { problemOf, send } from '~/api/send'

/** Photos of a run, a thing or a set-up: taken in, looked at, taken out. */
defineProps<{
  owner: PhotoOwner
  ownerId: string
  photos: readonly PhotoMeta[]
  /** Of a run: a photo may have its moment. */
  timed?: boolean
}>()
const emit = defineEmits<{ changed: [] }>()
const problem = ref('')
const open = ref<PhotoMeta | null>(null)
const adding = ref(false)
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
    <LazyPhotoAdd
      v-else
      :owner="owner"
      :owner-id="ownerId"
      :timed="timed"
      @left="adding = false"
      @added="((adding = false), emit('changed'))"
    />
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
