<script setup lang="ts">
import { formatClock, formatNumber } from '#core/quantity/format'
import type { RunPage, RunRecord } from '#shared/runRecord'

/** What was burned, when, where and by whom; and whether it counts. */
const props = defineProps<{ record: RunRecord; benchNotes: RunPage['benchNotes']; voidReason: string | null }>()
const FLAMES: Record<string, string> = { low: 'low flame', medium: 'medium flame', full: 'full flame' }
const more = computed(() =>
  [
    props.record.setting === null ? null : FLAMES[props.record.setting],
    props.record.container === null ? null : 'from',
  ].filter(Boolean),
)
</script>

<template>
  <header>
    <p v-if="record.state === 'void'" class="mb-2 border-2 border-ink p-2 font-bold" role="status" data-void>
      Void: <span dir="auto">{{ voidReason }}</span> It is in no figure but its own.
    </p>
    <p v-else-if="record.breakIn" class="mb-2 border-2 border-ink p-2 font-bold" role="status" data-break-in>
      A break-in: it is in no figure but its own.
    </p>
    <p v-if="record.origin !== 'measured'" class="mb-2 border-2 border-ink p-2 font-bold" role="status" data-origin>
      {{
        record.origin === 'rehearsal'
          ? 'A rehearsal: a simulated stove stood in. It is in no figure but those of rehearsals.'
          : 'Published elsewhere: it is in no figure but those of published runs.'
      }}
    </p>
    <div class="flex flex-wrap items-start gap-x-4 gap-y-1">
      <h1 class="min-w-0 flex-1 basis-72">
        <NuxtLink :to="`/kit/setups/${record.setupId}`" class="text-ink no-underline hover:underline" dir="auto">{{
          record.setup
        }}</NuxtLink>
      </h1>
      <p class="no-print flex flex-wrap gap-2">
        <BaseButton :to="{ path: '/bench/prepare', query: { again: record.id } }">Again, on a lane</BaseButton>
        <BaseButton :to="{ path: '/runs/new', query: { again: record.id } }">Log another like it</BaseButton>
      </p>
    </div>
    <p class="text-ink-2">
      {{ dateInZone(record.startedAt, record.zone) }} · {{ record.place ?? 'elsewhere'
      }}<span v-if="record.placeAltitudeM !== null"
        >, <span class="figures">{{ formatNumber(record.placeAltitudeM, 0) }} m</span></span
      >
      · {{ record.fuel }}, {{ record.batch }}<template v-if="more.length">, {{ more.join(', ') }}</template
      ><template v-if="record.container"
        >{{ ' '
        }}<NuxtLink :to="`/kit/containers/${record.container.id}`">{{ record.container.name }}</NuxtLink></template
      >
      · {{ record.person }}<template v-if="record.setupN > 1"> · version {{ record.setupN }} of the set-up</template>
    </p>
    <p v-if="record.notes" class="mt-2 max-w-3xl whitespace-pre-line" dir="auto">
      {{ record.notes }}
    </p>
    <ul v-if="benchNotes.length" class="mt-2 max-w-3xl" aria-label="Notes from the bench">
      <li v-for="note in benchNotes" :key="note.id">
        <span v-if="note.atMs !== null" class="figures text-ink-2">{{ formatClock(note.atMs / 1000) }}</span>{{ ' ' }}
        <span dir="auto">{{ note.text }}</span>
      </li>
    </ul>
  </header>
</template>
