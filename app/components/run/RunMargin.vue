<script setup lang="ts">
import type { RunAnswer } from '#core/formats/answer'

/** What the tool has to say: flags, what is missing, and the working of the number that was pressed. */
const props = defineProps<{ answer: RunAnswer }>()
const margin = useMargin()
const working = computed(() => (margin.open === null ? null : (props.answer.workings?.[margin.open] ?? null)))
const pinned = computed(() =>
  margin.pinned
    .filter((path) => path !== margin.open)
    .map((path) => props.answer.workings?.[path])
    .filter((one) => one !== undefined),
)
const titleOf = (path: string) => props.answer.workings?.[path]?.title ?? path
const spoken = computed(() => props.answer.flags.filter((flag) => flag.severity !== 'error'))
</script>

<template>
  <aside aria-label="Margin" class="text-[15px] leading-[22px]">
    <template v-if="working">
      <nav aria-label="Working" class="mb-2 flex flex-wrap items-center gap-1">
        <template v-for="(path, i) in margin.trail" :key="i">
          <span v-if="i > 0" aria-hidden="true">›</span>
          <BaseButton
            kind="plain"
            :aria-current="i === margin.trail.length - 1 ? 'true' : undefined"
            @click="margin.backTo(i)"
          >
            {{ titleOf(path) }}
          </BaseButton>
        </template>
        <BaseButton kind="plain" class="ml-auto" @click="margin.close()">Close</BaseButton>
      </nav>
      <LazyRunWorking :working="working" />
    </template>
    <template v-else>
      <h2 class="mb-2">To know about this figure</h2>
      <p v-if="spoken.length === 0">Nothing stands against it.</p>
      <ul class="space-y-2">
        <li
          v-for="flag in spoken"
          :key="flag.code"
          class="border-l-4 pl-3"
          :class="flag.severity === 'warning' ? 'border-caution' : 'border-edge'"
          :data-flag="flag.code"
        >
          <strong v-if="flag.severity === 'warning'">Look at this: </strong>{{ flag.text }}
          <em v-if="flag.slip" class="not-italic font-bold">{{ flag.slip }}</em>
        </li>
      </ul>
      <p class="mt-4 text-ink-2">
        These are figures of one test, not a promise for the field. In calm, plain proportion to the temperature rise is
        nearly as good a correction. <NuxtLink to="/numbers">How the numbers are made</NuxtLink>
      </p>
    </template>
    <LazyRunWorking v-for="one in pinned" :key="one.path" :working="one" class="mt-4" />
  </aside>
</template>
