<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { LANES, type LaneName } from '#shared/lanes'
import { CHANNEL_NAMES, CHANNELS, type ChannelName } from '#shared/channels'
import type { FeedLine, NewFeed } from '#shared/feed'

/** Instruments of one's own: added with the lanes they follow, known by a token that is shown once, taken back. */
defineProps<{ feeds: readonly FeedLine[] }>()
const emit = defineEmits<{ changed: [] }>()
const name = ref('')
const channel = ref<string | null>('water')
const lanes = ref<LaneName[]>(['A'])
const { problem, begin, stop } = useStarted<NewFeed>('/api/instruments/feeds', () => emit('changed'))
const made = ref<NewFeed | null>(null)
const choices = CHANNEL_NAMES.map((one) => ({ value: one, label: CHANNELS[one].name }))
const follows = (feed: FeedLine) =>
  CHANNEL_NAMES.filter((one) => feed.lanes[one])
    .map((one) => `${CHANNELS[one].name.toLowerCase()} on ${feed.lanes[one]!.join(', ')}`)
    .join('; ')

async function add() {
  const added = await begin({ id: uuidv7(), name: name.value, lanes: { [channel.value as ChannelName]: lanes.value } })
  if (added === null) return
  made.value = added
  name.value = ''
}
async function takeBack(id: string) {
  await stop(id)
  if (made.value?.id === id) made.value = null
}
</script>

<template>
  <BasePanel title="Your instruments" class="grid grid-cols-1 gap-3">
    <ul v-if="feeds.length">
      <li v-for="feed in feeds" :key="feed.id" class="flex flex-wrap items-center gap-3 border-t border-edge py-1">
        <span dir="auto">{{ feed.name }}</span> <span class="text-ink-2">{{ follows(feed) }}</span>{{ ' ' }}
        <BaseButton kind="plain" class="ml-auto" @click="takeBack(feed.id)">Take its token back</BaseButton>
      </li>
    </ul>
    <CautionBox v-if="made" as="p" role="status">
      The token of {{ made.name }}, shown this once: <code class="figures break-all select-all">{{ made.token }}</code>
    </CautionBox>
    <form class="grid grid-cols-1 gap-2" aria-label="Add an instrument" novalidate @submit.prevent="add">
      <TextBox v-model="name" label="Called" example="probe in pot A" />
      <ChoiceBox v-model="channel" label="It follows" :choices="choices" />
      <fieldset class="flex flex-wrap gap-4">
        <legend class="sr-only">On lanes</legend>
        <span>On lanes</span>
        <label v-for="lane in LANES" :key="lane" class="flex items-center gap-1"
          ><input v-model="lanes" type="checkbox" :value="lane" /> {{ lane }}</label
        >
      </fieldset>
      <BaseAlert v-if="problem">
        {{ problem }}
      </BaseAlert>
      <BaseButton kind="main" type="submit" class="justify-self-start">Add it</BaseButton>
    </form>
    <p class="text-ink-2">
      It sends lines such as <code class="figures">2026-05-01T10:00:00Z,water,93.4,degC</code> to
      <code class="figures">POST /api/instruments/samples</code>, or keeps a connection to port 7305 on this machine
      open; docs/instruments.md has the whole of it.
    </p>
  </BasePanel>
</template>
