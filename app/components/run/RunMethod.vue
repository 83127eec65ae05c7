<script setup lang="ts">
import type { MethodFindings } from '#core/method/checkRun'
import { EVENT_NAMES, type EventKind } from '#core/run/events'
import type { ClaimVerdict } from '#core/statistics/claim'
import type { RunRecord } from '#shared/runRecord'

/** The run held against its method: what it lacks, where it left the windows, and of a claim what came of it. */
defineProps<{ record: RunRecord; findings: MethodFindings; claim: ClaimVerdict | null }>()
const emit = defineEmits<{ add: [what: string] }>()
const VERDICTS = { met: 'Met', aboutAsSaid: 'About as said', missed: 'Missed', cannotSay: 'Cannot say' }
const nameOf = ({ what, name }: MethodFindings['lacking'][number]) =>
  what === 'trace'
    ? 'a trace of the water'
    : what === 'mark'
      ? EVENT_NAMES[name as EventKind].toLowerCase()
      : readingName(name).toLowerCase()
</script>

<template>
  <BasePanel label="By its method">
    <template #title>
      By <NuxtLink :to="`/methods/${record.method!.id}`" dir="auto">{{ record.method!.name }}</NuxtLink>, version
      {{ record.method!.n }}
    </template>
    <p v-if="claim" class="mb-2" data-claim>
      <strong>{{ VERDICTS[claim.says] }}.</strong> {{ claim.text }}
    </p>
    <p v-if="findings.lacking.length === 0 && findings.outside.length === 0" class="text-ink-2">
      Everything it asks for is there, and inside its windows.
    </p>
    <template v-if="findings.lacking.length">
      <p>It wants, and this run lacks:</p>
      <ul class="mb-2" data-lacking>
        <li v-for="one in findings.lacking" :key="one.what + one.name">
          {{ nameOf(one) }}
          <BaseButton
            v-if="one.what === 'reading'"
            kind="plain"
            class="no-print"
            :aria-label="`Add ${nameOf(one)}, which the method wants`"
            @click="emit('add', one.name)"
          >
            Add it
          </BaseButton>
        </li>
      </ul>
    </template>
    <CautionBox v-for="flag in findings.outside" :key="flag.code" as="p" class="mt-1" :data-outside="flag.code">
      {{ flag.text }}
    </CautionBox>
  </BasePanel>
</template>
