<script setup lang="ts">
import { cautionsFor } from '#shared/cautions'
import type { Lane } from '#shared/bench'

/**
 * All that is to be said of one lane: what is doubtful, each mark with the presses beside it, what was read, the
 * cautions of its fuel.
 */
const props = defineProps<{ lane: Lane }>()
const view = useLaneView(toRef(props, 'lane'))
const marks = computed(() => laneMarks(props.lane))
</script>

<template>
  <section class="mb-4" :aria-label="`Margin of lane ${lane.lane}`">
    <h2>
      {{ lane.lane }} <span class="font-normal text-ink-2" dir="auto">{{ lane.setup }}</span>
    </h2>
    <ul v-if="view.says.value.length" class="my-1 space-y-1">
      <li v-for="one in view.says.value" :key="one.key" class="border-l-4 border-caution pl-3">
        {{ one.words }}
      </li>
    </ul>
    <p v-else class="text-ink-2">Nothing stands against it.</p>
    <table v-if="marks.length" class="my-1 w-full">
      <caption class="sr-only">
        Marks of lane
        {{
          lane.lane
        }}
      </caption>
      <tbody>
        <tr v-for="mark in marks" :key="mark.id" class="border-b border-edge align-top">
          <td class="figures pr-2 text-right">
            {{ mark.time }}
          </td>
          <td>
            {{ mark.words }}<span v-for="aside in mark.asides" :key="aside" class="block text-ink-2">{{ aside }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-for="note in lane.notes" :key="note.id" dir="auto">“{{ note.text }}”</p>
    <details v-if="lane.fuelKind">
      <summary>Cautions with this fuel</summary>
      <ul class="list-disc pl-5">
        <li v-for="caution in cautionsFor(lane.fuelKind)" :key="caution">
          {{ caution }}
        </li>
      </ul>
    </details>
  </section>
</template>
