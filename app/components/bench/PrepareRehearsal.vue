<script setup lang="ts">
import type { Preparation } from '#shared/benchAct'
import { REHEARSAL_SPEEDS, REHEARSAL_STOVES, STOVE_WORDS } from '#shared/rehearsal'

/** A rehearsal: which stove stands in, and how fast time runs. */
const preparation = defineModel<Preparation>({ required: true })
const emit = defineEmits<{ rehearse: [is: boolean] }>()
const STOVES = REHEARSAL_STOVES.map((one) => ({ value: one, label: STOVE_WORDS[one] }))
const SPEEDS = REHEARSAL_SPEEDS.map((one) => ({
  value: String(one),
  label: one === 1 ? 'as a stove’s' : `${one} times as fast`,
}))
const speed = computed({
  get: () => String(preparation.value.rehearsal?.speed ?? 1),
  set: (text: string) => {
    preparation.value.rehearsal!.speed = Number(text)
  },
})
</script>

<template>
  <fieldset class="mt-2 grid gap-2 border-t border-edge pt-2">
    <label class="flex items-center gap-2"
      ><input
        type="checkbox"
        :checked="preparation.rehearsal !== null"
        @change="emit('rehearse', ($event.target as HTMLInputElement).checked)"
      />
      Rehearse it: a simulated stove stands in, and nothing burns</label
    >
    <template v-if="preparation.rehearsal">
      <ChoiceBox v-model="preparation.rehearsal.stove" label="What stands in" :choices="STOVES" />
      <ChoiceBox v-model="speed" label="Time runs" :choices="SPEEDS" />
      <label class="flex items-center gap-2"
        ><input v-model="preparation.rehearsal.trouble" type="checkbox" /> The wind may blow the flame out</label
      >
      <CautionBox v-if="preparation.test === 'snow'" as="p">
        The stand-in knows no snow: cold water stands for it.
      </CautionBox>
      <p class="text-ink-2">
        The lane shows what the instruments read and what you would see. At the end your calls are held against what
        happened; the run stays out of every measured figure.
      </p>
    </template>
  </fieldset>
</template>
