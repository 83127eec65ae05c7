<script setup lang="ts">
import { LINE_NAMES, TYPED_LINES, type TypedLine } from '#shared/typedRun'

/** What may happen more than once: pieces fed, settings changed, readings on the way. */
const props = defineProps<{ kinds: TypedLine['kind'][]; problemAt: (path: string) => string | undefined }>()
const lines = defineModel<TypedLine[]>({ required: true })
const kinds = computed(() => [...props.kinds, ...TYPED_LINES.filter((kind) => !props.kinds.includes(kind))])
const choices = computed(() => kinds.value.map((kind) => ({ value: kind, label: LINE_NAMES[kind] })))
function add() {
  lines.value = [...lines.value, { kind: kinds.value[0]!, time: '', mass: '', temp: '' }]
}
const remove = (index: number) => {
  lines.value = lines.value.filter((_, i) => i !== index)
}
</script>

<template>
  <section aria-label="Happenings" class="grid gap-2">
    <div v-for="(line, i) in lines" :key="i" class="flex flex-wrap items-end gap-2" :data-line="i">
      <ChoiceBox
        :model-value="line.kind"
        label="What happened"
        :choices="choices"
        above
        class="w-44"
        @update:model-value="line.kind = $event as TypedLine['kind']"
      />
      <label class="grid text-ink-2"
        >At <input v-model="line.time" class="figures w-24" placeholder="m:ss" autocomplete="off"
      /></label>
      <label v-if="line.kind === 'fuelAdded'" class="grid text-ink-2"
        >Its mass <input v-model="line.mass" class="figures w-24" placeholder="14.2 g" autocomplete="off"
      /></label>
      <label v-if="line.kind === 'reading'" class="grid text-ink-2"
        >Water <input v-model="line.temp" class="figures w-24" placeholder="56 °C" autocomplete="off"
      /></label>
      <BaseButton :aria-label="`Take line ${i + 1} out`" @click="remove(i)"> Take out </BaseButton>
      <BaseAlert
        v-for="key in ['time', 'mass', 'temp']"
        v-show="problemAt(`lines[${i}].${key}`)"
        :key="key"
        class="w-full"
      >
        {{ problemAt(`lines[${i}].${key}`) }}
      </BaseAlert>
    </div>
    <BaseButton kind="plain" class="justify-self-start" @click="add">
      Add {{ kinds[0] === 'fuelAdded' ? 'a piece fed, or something else that happened' : 'something that happened' }}
    </BaseButton>
  </section>
</template>
