<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { CarriedRow } from '#shared/answers'

/** What one container of a fuel holds and weighs, as it is sold: another size stands in the address. */
const props = defineProps<{ row: CarriedRow }>()
const { say, said } = useAsking()
const key = computed(() => `can.${props.row.fuelKind}`)
const asking = ref(false)
const content = ref(String(props.row.contentG))
const shell = ref(String(props.row.shellG))
const problem = ref('')
function take() {
  const [holds, weighs] = [Number(content.value.replace(',', '.')), Number(shell.value.replace(',', '.'))]
  problem.value = holds > 0 && weighs >= 0 ? '' : 'Expected grams of fuel, more than nought, and grams empty.'
  if (problem.value !== '') return
  asking.value = false
  void say({ [key.value]: `${holds},${weighs}` })
}
</script>

<template>
  <span>
    {{ row.fuel }}: {{ formatNumber(row.contentG, 0) }} g
    {{ row.shellG > 0 ? `in a container of ${formatNumber(row.shellG, 0)} g` : 'a piece'
    }}{{ said(key) ? ', as you say' : row.isAssumed ? ', assumed' : ', as the kit has it' }}.
    <BaseButton v-if="!asking" kind="plain" :aria-label="`Another size of ${row.fuel}`" @click="asking = true"
      >Another size</BaseButton
    >
    <BaseButton v-if="said(key)" kind="plain" @click="say({ [key]: undefined })">As the kit has it</BaseButton>
    <form v-if="asking" class="my-2 grid max-w-96 gap-2" @submit.prevent="take">
      <TextBox v-model="content" label="Fuel in it, g" figures :problem="problem || undefined" />
      <TextBox v-model="shell" label="Empty, g" figures />
      <p><BaseButton type="submit">Carry these</BaseButton></p>
    </form>
  </span>
</template>
