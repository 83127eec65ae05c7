<script setup lang="ts">
import { parseMoment } from '#core/quantity/parseMoment'

/**
 * A day, or a day with its hour, typed as it is said: "5 Aug", "yesterday 14:30". It is shown in the order of who reads
 * it; what is kept is ISO, and what says no day is kept as it was typed.
 */
const props = defineProps<{
  label: string
  problem?: string
  hint?: string
  /** With its hour. */
  timed?: boolean
  above?: boolean
}>()
/** "2026-08-05", or "2026-08-05T14:30". */
const kept = defineModel<string>({ required: true })
const emit = defineEmits<{ left: [] }>()
/** As the server draws it, whoever reads it. */
const text = ref(kept.value)
const picker = useTemplateRef<HTMLInputElement>('picker')

function typed() {
  const moment = parseMoment(text.value, todayHere(), dateOrderHere())
  kept.value =
    moment === null ? text.value.trim() : props.timed ? `${moment.date}T${moment.time ?? '12:00'}` : moment.date
}
const show = () => {
  text.value = momentWords(kept.value, props.timed)
}
function left() {
  show()
  emit('left')
}
onMounted(show)
const box = useTemplateRef<HTMLInputElement>('box')
watch(kept, () => {
  if (document.activeElement !== box.value) show()
})
</script>

<template>
  <BaseField v-slot="{ box: bound }" :label="label" :problem="problem" :hint="hint" :above="above">
    <div class="relative" :class="above ? 'w-full' : timed ? 'w-64 max-w-full' : 'w-44 max-w-full'">
      <input
        v-bind="bound"
        ref="box"
        v-model="text"
        class="figures w-full pr-9"
        autocomplete="off"
        spellcheck="false"
        :placeholder="timed ? 'yesterday 14:30' : '5 Aug'"
        @input="typed"
        @blur="left"
      />
      <input
        ref="picker"
        :value="kept"
        :type="timed ? 'datetime-local' : 'date'"
        class="date-picker"
        tabindex="-1"
        aria-hidden="true"
        @change="kept = ($event.target as HTMLInputElement).value"
      />
      <button type="button" class="choice-open" tabindex="-1" aria-hidden="true" @click="picker?.showPicker()" />
    </div>
  </BaseField>
</template>
