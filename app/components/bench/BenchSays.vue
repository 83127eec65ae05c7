<script setup lang="ts">
import type { Saying, LaneAnswer } from '#core/bench/laneSays'
import { cautionsFor } from '#shared/cautions'

/**
 * What the tool has to say of a lane: the gravest, with its answers. Before the first light of the day, this fuel's
 * cautions.
 */
defineProps<{ says: Saying[]; /** Kind of fuel whose card is due; null: none. */ card: string | null }>()
const emit = defineEmits<{ answer: [key: string, act: LaneAnswer] }>()
</script>

<template>
  <div
    class="bench-says"
    :class="!says.length ? 'bench-says-card' : says[0]!.kind === 'say' ? 'bench-says-quiet' : ''"
    :tabindex="card !== null && !says.length ? 0 : undefined"
    :aria-label="card !== null && !says.length ? 'Before you light' : undefined"
    :role="card !== null && !says.length ? 'note' : undefined"
    aria-live="polite"
  >
    <template v-if="says[0]">
      <span v-if="says[0].kind === 'offer' && says[0].key.startsWith('boils')" class="posts" aria-hidden="true"
        ><i /><i
      /></span>
      <p class="min-w-[8rem] flex-1">
        {{ says[0].words }}<span v-if="says.length > 1" class="text-on-caution"> And {{ says.length - 1 }} more.</span>
      </p>
      <template v-if="says[0].kind === 'offer'">
        <button
          v-for="one in says[0].answers"
          :key="one.words"
          type="button"
          class="bench-says-answer"
          @click="emit('answer', says[0]!.key, one.act)"
        >
          {{ one.words }}
        </button>
      </template>
    </template>
    <ul v-else-if="card !== null" class="min-w-0 flex-1 list-disc pl-4" data-cautions>
      <li v-for="caution in cautionsFor(card)" :key="caution">
        {{ caution }}
      </li>
    </ul>
  </div>
</template>
