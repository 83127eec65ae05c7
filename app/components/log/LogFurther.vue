<script setup lang="ts">
import type { TypedRun } from '#shared/typedRun'
import type { LogFormParts } from '~/composables/useLogForm'

/** What a run by this method may say as well: a trace, what happened on the way, how it went otherwise. */
const props = defineProps<{ form: LogFormParts; problemAt: (path: string) => string | undefined }>()
const typed = defineModel<TypedRun>({ required: true })
const emit = defineEmits<{ left: [path: string] }>()
const { reading, time } = props.form
const fields = computed(() => props.form.fields.value)
const further = computed(() => furtherOf(fields.value, typed.value.placeId === null))
</script>

<template>
  <fieldset class="border-t border-edge pt-2">
    <legend class="sr-only">What else may be said</legend>
    <div class="log-columns">
      <LogReadings v-model="typed.measured" v-bind="reading(further.readings)" />
      <QuantityBox v-for="kind in further.times" :key="kind" v-model="typed.times[kind]" v-bind="time(kind)" />
      <TextBox
        v-if="typed.times.stopped.trim() || fields.otherwise.includes('stopped')"
        v-model="typed.stoppedReason"
        label="What stopped it"
        above
        :problem="problemAt('stoppedReason')"
      />
    </div>
    <div class="mt-3 grid gap-x-6 gap-y-2 lg:grid-cols-2">
      <div class="grid content-start gap-2">
        <LogLines v-model="typed.lines" :kinds="fields.lines" :problem-at="problemAt" />
        <CheckBox
          v-model="typed.takeBurnShare"
          label="The flame ran on after the boil: take fuel to the boil as its share of burn time. Assumes an even flame."
        />
        <CheckBox v-model="typed.breakIn" label="First burn of a new burner: keep it, and leave it out of figures." />
        <TextBox
          v-model="typed.notes"
          label="Notes"
          :lines="3"
          above
          :problem="problemAt('notes')"
          @left="emit('left', 'notes')"
        />
      </div>
      <slot />
    </div>
  </fieldset>
</template>
