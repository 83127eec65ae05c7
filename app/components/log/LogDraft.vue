<script setup lang="ts">
import type { KitChoices } from '#shared/kitChoices'

/** The draft of this browser, in its form; saved, it becomes a run and its page opens. */
defineProps<{ kit: KitChoices }>()
const draft = useDraft()
const { typed } = storeToRefs(draft)
const { problems, problemAt, leave, save, saving } = useTypedRun(typed)
const general = computed(() => problems.value.filter(problem => problem.path === '' || problem.path === 'id'))

async function saveAndOpen() {
  const id = await save()
  if (id === null) {
    await nextTick()
    document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
    return
  }
  draft.begin()
  await navigateTo(`/runs/${id}`)
}
</script>

<template>
  <div>
    <fieldset class="mb-3 flex flex-wrap gap-4">
      <legend class="sr-only">
        Units of bare numbers
      </legend>
      <span>A bare number is read as</span>
      <label class="flex items-center gap-1"><input v-model="typed.units" type="radio" value="metric" class="min-h-0"> metric</label>
      <label class="flex items-center gap-1"><input v-model="typed.units" type="radio" value="trail" class="min-h-0"> trail units (°F, ft, mph, cups)</label>
    </fieldset>
    <p v-for="problem in general" :key="problem.text" role="alert" class="mb-3 bg-caution p-3 font-bold text-on-caution">
      {{ problem.text }}
    </p>
    <LogForm v-model="typed" :kit="kit" :problem-at="problemAt" :problems="problems.length" :saving="saving" @left="leave" @save="saveAndOpen" />
  </div>
</template>
