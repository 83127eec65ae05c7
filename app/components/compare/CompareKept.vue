<script setup lang="ts">
import type { KeptLine } from '#shared/comparison'
import { send } from '~/api/send'

/** A question that somebody keeps: what it said then, what it says now, and what fresh runs alone say. */
const props = defineProps<{ line: KeptLine }>()
const emit = defineEmits<{ changed: [] }>()
const day = computed(() => shortDateInZone(props.line.keptAt, 'UTC'))
const hasChanged = computed(() => props.line.kept.line !== props.line.now.line)
const problem = ref('')
async function remove() {
  const sent = await send<KeptLine[]>(`/api/compare/kept/${props.line.id}`, 'DELETE')
  problem.value = sent.ok ? '' : sent.problems[0]!.text
  if (sent.ok) emit('changed')
}
</script>

<template>
  <li class="question-row border-b border-edge py-2" data-kept>
    <div>
      <NuxtLink
        :to="{ path: `/compare/${line.path}`, query: line.query }"
        class="font-bold text-ink no-underline hover:underline"
        >{{ line.name }}</NuxtLink
      >
      <p class="text-ink-2">
        <template v-if="hasChanged">Kept: {{ line.kept.line }} Now: {{ line.now.line }}</template>
        <template v-else>{{ line.now.line }} As when it was kept.</template>
      </p>
      <p v-if="line.fresh" data-tested>
        <strong>Tested</strong> by {{ line.fresh.runs }} fresh runs alone: {{ line.fresh.line }}
      </p>
      <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
    </div>
    <span class="question-bar text-sm text-ink-2">{{ line.name === line.now.sentence ? '' : line.now.sentence }}</span>
    <span class="question-beside text-sm text-ink-2">
      kept {{ day }}
      <NuxtLink
        v-if="line.path === 'ranking'"
        :to="{ path: '/compare/ranking', query: { ...line.query, kept: line.id } }"
        >as it was then</NuxtLink
      >
      <BaseButton kind="plain" :aria-label="`Do not keep ${line.name}`" @click="remove">Do not keep</BaseButton>
    </span>
  </li>
</template>
