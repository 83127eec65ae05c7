<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import type { KeptLine } from '#shared/comparison'
import { send } from '~/api/send'

/** Keeps the question that this page asks, under a name: with what it says now. */
const props = defineProps<{ page: string; sentence: string }>()
const route = useRoute()
const naming = ref(false)
const name = ref('')
const problem = ref('')
const said = ref('')
/** The same press again is one. */
let id = uuidv7()
async function keep() {
  const query = Object.fromEntries(Object.entries(route.query).filter(([, value]) => typeof value === 'string'))
  const sent = await send<KeptLine[]>('/api/compare/kept', 'POST', { id, name: name.value, page: props.page, query })
  problem.value = sent.ok ? '' : sent.problems[0]!.text
  if (!sent.ok) return
  id = uuidv7()
  naming.value = false
  said.value = 'Kept. The list says when its answer changes; only runs from now on test it.'
}
</script>

<template>
  <div>
    <BaseButton v-if="!naming" @click="naming = true">Keep this question</BaseButton>
    <form v-else class="grid gap-2" @submit.prevent="keep">
      <TextBox v-model="name" label="Name" :problem="problem" :hint="`Empty: ${sentence}`" />
      <p>
        <BaseButton kind="main" type="submit">Keep</BaseButton>
        <BaseButton kind="plain" @click="naming = false">Leave it</BaseButton>
      </p>
    </form>
    <p role="status" class="text-ink-2">{{ said }}</p>
  </div>
</template>
