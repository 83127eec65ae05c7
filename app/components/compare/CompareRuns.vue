<script setup lang="ts">
import type { TwoAnswer } from '#shared/comparison'

/** The runs of an answer, each with a tick that counts it, and why others do not count. */
const props = defineProps<{ answer: TwoAnswer; /** Not counted, by the address. */ out: ReadonlySet<string> }>()
const emit = defineEmits<{ count: [id: string, isCounted: boolean] }>()
const figureOf = ({ boilG, u }: TwoAnswer['runs'][number]) =>
  props.answer.unit === 'g'
    ? fuelWithU(boilG, u)
    : `${shownOfBoil(props.answer, boilG)} ± ${shownOfBoil(props.answer, 2 * u)}`
</script>

<template>
  <BasePanel tight label="Runs" class="overflow-x-auto">
    <table class="w-full text-left">
      <caption class="sr-only">
        Runs
      </caption>
      <thead class="text-ink-2">
        <tr>
          <th scope="col"><span class="sr-only">Counted</span></th>
          <th scope="col" class="pl-2 font-normal">Run</th>
          <th scope="col" class="font-normal">Set-up</th>
          <th scope="col" class="text-right font-normal sm:whitespace-nowrap">{{ unitOfBoil(answer) }} ± (95 %)</th>
          <th scope="col" class="font-normal max-sm:hidden"></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in answer.runs"
          :key="one.id"
          class="border-t border-edge"
          :class="out.has(one.id) ? 'text-ink-2' : ''"
        >
          <td>
            <CheckBox
              :model-value="!out.has(one.id)"
              :label="`Count the run of ${shortDateInZone(one.startedAt, one.zone)}`"
              hide-label
              @update:model-value="emit('count', one.id, $event)"
            />
          </td>
          <td class="py-1 pr-3 pl-2 whitespace-nowrap">
            <NuxtLink :to="`/runs/${one.id}`">{{ shortDateInZone(one.startedAt, one.zone) }}</NuxtLink>
          </td>
          <td class="pr-3 sm:whitespace-nowrap">
            {{ answer.arms[one.arm]!.name }}
            <span v-if="one.note" class="block text-sm text-ink-2 sm:hidden">{{ one.note }}</span>
          </td>
          <td class="figures text-right whitespace-nowrap">{{ figureOf(one) }}</td>
          <td class="pl-3 text-ink-2 max-sm:hidden">{{ one.note }}</td>
        </tr>
        <tr v-for="one in answer.notCounted" :key="one.id" class="border-t border-edge text-ink-2">
          <td></td>
          <td class="py-1 pr-3 pl-2 whitespace-nowrap">
            <NuxtLink :to="`/runs/${one.id}`">{{ shortDateInZone(one.startedAt, one.zone) }}</NuxtLink>
          </td>
          <td>
            {{ answer.arms[one.arm]!.name }}
            <span class="block text-sm sm:hidden">{{ one.why }}</span>
          </td>
          <td></td>
          <td class="pl-3 max-sm:hidden">{{ one.why }}</td>
        </tr>
      </tbody>
    </table>
  </BasePanel>
</template>
