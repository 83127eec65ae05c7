<script setup lang="ts">
import type { LaneName } from '#shared/lanes'

/** Over the lanes: the next lane to set up, marks of all, prompts, glance; and how it stands with the server. */
defineProps<{ free: LaneName | null; lanes: number; all: boolean }>()
const emit = defineEmits<{ all: []; glance: [] }>()
const bench = useBench()
const prompts = usePromptChoice()
const pedal = usePedal()
</script>

<template>
  <div class="bench-bar" role="group" aria-label="The bench">
    <NuxtLink v-if="free" :to="{ path: '/bench/prepare', query: { lane: free } }" class="bench-bar-act"
      >Prepare lane {{ free }}</NuxtLink
    >
    <button
      v-if="lanes > 1"
      type="button"
      class="bench-bar-act"
      aria-keyshortcuts="W"
      :aria-expanded="all"
      @click="emit('all')"
    >
      All lanes <kbd>W</kbd>
    </button>
    <button v-if="lanes" type="button" class="bench-bar-act" aria-keyshortcuts="G" @click="emit('glance')">
      Glance <kbd>G</kbd>
    </button>
    <button type="button" class="bench-bar-act" :aria-pressed="prompts.sound" @click="prompts.sound = !prompts.sound">
      Sound {{ prompts.sound ? 'on' : 'off' }}
    </button>
    <button
      type="button"
      class="bench-bar-act"
      :aria-pressed="prompts.speech"
      @click="prompts.speech = !prompts.speech"
    >
      Speech {{ prompts.speech ? 'on' : 'off' }}
    </button>
    <button type="button" class="bench-bar-act" @click="pedal.learning ? pedal.forget() : pedal.learn()">
      {{ pedal.learning ? 'Press it now' : pedal.key ? `Pedal: ${pedal.key}` : 'Learn a button' }}
    </button>
    <NuxtLink to="/bench/instruments" class="bench-bar-act">Instruments</NuxtLink>
    <NuxtLink to="/share" class="bench-bar-act">A second device</NuxtLink>
    <span class="min-w-0 flex-1 text-right">
      <strong v-if="bench.online === false" class="bg-caution px-2 py-1 text-on-caution" data-offline>{{
        bench.offlineWhy
          ? `${bench.offlineWhy} Marks are kept in this browser.`
          : 'No server: marks are kept in this browser'
      }}</strong>
      <span v-else-if="bench.photosWaiting" class="text-ink-2">{{
        bench.photosWaiting === 1 ? '1 photo waits' : `${bench.photosWaiting} photos wait`
      }}</span>
    </span>
  </div>
</template>
