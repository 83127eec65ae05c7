<script setup lang="ts">
import { TEST_WORDS, type MethodLine } from '#shared/method'

/** The methods: one for every kind of test, and testers' own. */
useHead({ title: 'Methods · Vulcanum' })
const { data: methods, error } = await useFetch<MethodLine[]>('/api/methods')
const groups = computed(() =>
  [
    { title: 'Your own', methods: (methods.value ?? []).filter((one) => !one.shipped) },
    { title: 'Shipped, ready to use', methods: (methods.value ?? []).filter((one) => one.shipped) },
  ].filter((group) => group.methods.length > 0),
)
</script>

<template>
  <div class="max-w-5xl">
    <h1 class="mb-2">Methods</h1>
    <p class="mb-4 max-w-3xl text-ink-2">
      A method says what is held, read and counted, and by whose school. A run keeps the version it was done by. Each
      page says why, what it measures, and what it cannot say.
    </p>
    <BaseAlert v-if="error"> The methods could not be read. Check that Vulcanum is running, then reload. </BaseAlert>
    <section v-for="group in groups" :key="group.title" :aria-label="group.title" class="mb-5">
      <h2 class="mb-1">
        {{ group.title }}
      </h2>
      <dl class="enamel divide-y divide-edge">
        <div
          v-for="one in group.methods"
          :key="one.id"
          class="grid gap-x-4 px-4 py-2 md:grid-cols-[14rem_minmax(0,1fr)_6rem]"
        >
          <dt>
            <NuxtLink :to="`/methods/${one.id}`" class="font-bold" dir="auto">{{ one.name }}</NuxtLink>
            <span v-if="!one.shipped" class="block text-ink-2"
              >{{ TEST_WORDS[one.test] }}<template v-if="one.copiedFrom">, from {{ one.copiedFrom }}</template
              >, version {{ one.n }}{{ one.retired ? ', retired' : '' }}</span
            >
          </dt>
          <dd dir="auto">{{ one.why }}</dd>
          <dd class="figures text-ink-2 md:text-right">{{ one.runs === 1 ? '1 run' : `${one.runs} runs` }}</dd>
        </div>
      </dl>
    </section>
  </div>
</template>
