<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'

/**
 * Which columns show; and views of the logbook that this browser keeps: each is an address, so it can be sent to another
 * as well.
 */
const props = defineProps<{ columns: RunColumnKey[] }>()
const emit = defineEmits<{ column: [key: RunColumnKey]; close: [] }>()
const route = useRoute()
const kept = useLocalStorage<{ name: string; address: string }[]>('vulcanum.run-views', [], { initOnMounted: true })
const name = ref('')
function keep() {
  const called = name.value.trim()
  if (!called) return
  kept.value = [...kept.value.filter((one) => one.name !== called), { name: called, address: route.fullPath }]
  name.value = ''
}
const undo = useUndo()
function drop(called: string) {
  const before = kept.value
  kept.value = before.filter((one) => one.name !== called)
  undo.offer(`“${called}” is forgotten.`, () => {
    kept.value = before
  })
}
const has = (key: RunColumnKey) => props.columns.includes(key)
</script>

<template>
  <BaseDrawer open title="Columns and views" @close="emit('close')">
    <fieldset>
      <legend class="mb-1 font-bold">Columns</legend>
      <div class="grid grid-cols-2 gap-x-4 gap-y-1.5">
        <CheckBox
          v-for="key in RUN_COLUMNS"
          :key="key"
          :model-value="has(key)"
          :label="RUN_COLUMN[key].words"
          :disabled="key === 'when'"
          @update:model-value="emit('column', key)"
        />
      </div>
    </fieldset>
    <h3 class="mt-6 mb-1 font-bold">Views</h3>
    <p class="text-ink-2">What is shown now, kept in this browser under a name. Its address can be sent to others.</p>
    <ul class="my-2">
      <li v-for="one in kept" :key="one.name" class="flex items-center gap-3">
        <NuxtLink :to="one.address" dir="auto" @click="emit('close')">{{ one.name }}</NuxtLink>
        <BaseButton kind="plain" :aria-label="`Forget the view ${one.name}`" @click="drop(one.name)">Forget</BaseButton>
      </li>
    </ul>
    <p><UndoLine :undo="undo" /></p>
    <form class="grid gap-2" aria-label="Keep this view" @submit.prevent="keep">
      <TextBox v-model="name" label="This view, named" />
      <BaseButton type="submit" class="justify-self-start" :disabled="!name.trim()">Keep it</BaseButton>
    </form>
  </BaseDrawer>
</template>
