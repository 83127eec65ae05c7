<script setup lang="ts">
import type { TypedRun } from '#shared/typedRun'
import type { LogFormProps } from '~/composables/useLogForm'

/** The form of a run by its method: what the method needs first, on one screen; what else may be said below it. */
const props = defineProps<LogFormProps & { problems: number; saving: boolean }>()
const typed = defineModel<TypedRun>({ required: true })
const emit = defineEmits<{ left: [path: string]; save: [] }>()
const form = useLogForm(props, typed, (path) => emit('left', path))
const { method, fields, said, instrument } = form
const chosenMethod = computed({
  get: () => typed.value.methodId,
  set: (id: string | null) => applyMethod(typed.value, props.kit.methods.find((one) => one.id === id) ?? null),
})
const instruments = computed(() => instrumentChoices(props.kit.instruments))
</script>

<template>
  <BasePanel as="form" class="grid grid-cols-1 gap-y-3" novalidate @submit.prevent="emit('save')">
    <div class="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-edge pb-2">
      <ChoiceBox
        v-model="chosenMethod"
        label="Method"
        :choices="namedChoices(kit.methods)"
        empty="By no method"
        v-bind="said('methodId')"
        class="w-full max-w-md"
      />
      <NuxtLink v-if="method" :to="`/methods/${method.id}`">What this method holds</NuxtLink>
    </div>
    <LogNeeded v-model="typed" :form="form" :kit="kit" @left="emit('left', $event)">
      <template #stopwatch><slot name="stopwatch" :order="fields.order" /></template>
    </LogNeeded>
    <LogFurther v-model="typed" :form="form" :problem-at="problemAt" @left="emit('left', $event)">
      <slot name="trace" />
    </LogFurther>
    <details class="border-t border-edge pt-3" data-rest>
      <summary class="cursor-pointer font-bold">
        Everything else that can be read or marked, and what it was read with
      </summary>
      <div class="log-columns mt-3">
        <ChoiceBox
          v-for="one in instruments"
          :key="one.measures"
          v-bind="instrument(one.measures)"
          :label="INSTRUMENT_NAMES[one.measures]"
          :choices="one.choices"
          empty="not said"
          above
        />
        <LogReadings v-model="typed.measured" v-bind="form.reading(fields.restReadings)" />
        <QuantityBox
          v-for="kind in fields.restTimes"
          :key="kind"
          v-model="typed.times[kind]"
          v-bind="form.time(kind)"
        />
      </div>
    </details>
    <div class="log-save">
      <BaseButton kind="main" type="submit" :disabled="saving">
        {{ saving ? 'Saving' : 'Save and see the figure' }}
      </BaseButton>
      <p v-if="problems > 0" role="status">
        {{ problems === 1 ? 'One box wants another look.' : `${problems} boxes want another look.` }} Nothing typed is
        lost.
      </p>
    </div>
  </BasePanel>
</template>
