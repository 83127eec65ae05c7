<script setup lang="ts">
/** A question's page: its sentence, or why it cannot be answered. */
const props = defineProps<{
  sentence: string | undefined
  error: { data?: { problems?: { text: string }[] } } | null | undefined
}>()
const problem = computed(() =>
  props.error
    ? (props.error.data?.problems?.[0]?.text ??
      'Vulcanum does not answer. What stands here is from before; try again when it runs.')
    : null,
)
useHead({ title: () => `${props.sentence ?? 'Compare'} · Vulcanum` })
</script>

<template>
  <div class="max-w-6xl">
    <BaseAlert v-if="problem !== null" class="mb-3">{{ problem }}</BaseAlert>
    <p v-if="sentence === undefined"><NuxtLink to="/compare">What your runs can answer</NuxtLink></p>
    <template v-else>
      <h1 class="mb-3">
        <NuxtLink to="/compare" class="text-base font-normal text-ink-2">Compare</NuxtLink>
        <span class="text-base font-normal text-ink-2"> › </span><slot name="sentence">{{ sentence }}</slot>
      </h1>
      <div class="with-margin items-start" :data-margin="$slots.margin ? '' : undefined">
        <div class="min-w-0 space-y-3"><slot /></div>
        <aside v-if="$slots.margin" class="min-w-0 space-y-3" aria-label="What it rests on">
          <slot name="margin" />
          <CompareFoot />
        </aside>
      </div>
      <CompareFoot v-if="!$slots.margin" class="mt-3" />
    </template>
  </div>
</template>
