<script setup lang="ts">
import { cautionsOfTest } from '#shared/cautions'
import { TEST_WORDS, type MethodPage } from '#shared/method'
import { fieldsOfMethod } from '#shared/methodBody'
import { METHOD_FIELDS } from '#shared/methodFields'

/**
 * A method as its page: why, what it measures, what it cannot say, what it holds, and what the other schools would do.
 */
const { page } = await useRecordPage<MethodPage>('/api/methods')
if (page.value === null)
  throw createError({
    statusCode: 404,
    message: 'A new method begins as a copy of another: open one of the list and copy it.',
    fatal: true,
  })
const { units } = usePreferences()
useHead({ title: () => `${page.value?.line.name ?? 'Method'} · Vulcanum` })
const body = computed(() => page.value!.line.body)
const versions = computed(() =>
  (page.value?.versions ?? []).map((version) => ({
    ...version,
    values: fieldsOfMethod(page.value!.line.name, version.body) as Record<string, unknown>,
  })),
)
const texts = computed(() => [
  { title: 'Why', text: body.value.why },
  { title: 'What it measures', text: body.value.measures },
  { title: 'What it cannot say', text: body.value.cannotSay },
])
/** Typed fields are compared as they are typed. */
const specs = METHOD_FIELDS.map((spec) =>
  spec.type === 'choice' || spec.type === 'flag' ? spec : { ...spec, type: 'text' as const, max: 20_000 },
)
</script>

<template>
  <div v-if="page">
    <h1 class="mb-1" dir="auto">
      {{ page.line.name }}
    </h1>
    <p class="mb-3 text-ink-2">
      {{ page.line.shipped ? 'Ships with Vulcanum' : 'Your own' }}, version {{ page.line.n
      }}<template v-if="page.copiedFrom"
        >, a copy of <NuxtLink :to="`/methods/${page.copiedFrom.id}`">{{ page.copiedFrom.name }}</NuxtLink></template
      >. A {{ TEST_WORDS[page.line.test] }}.
    </p>
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div class="space-y-3">
        <BasePanel label="What it is">
          <template v-for="one in texts" :key="one.title">
            <h2>{{ one.title }}</h2>
            <p class="mb-2 max-w-3xl" dir="auto">
              {{ one.text }}
            </p>
          </template>
          <h2>What is done</h2>
          <ol class="mb-2 max-w-3xl list-decimal pl-5">
            <li v-for="step in body.steps" :key="step" dir="auto">
              {{ step }}
            </li>
          </ol>
          <h2>What it holds and reads</h2>
          <ul class="max-w-3xl">
            <li v-for="sentence in methodSentences(body, units)" :key="sentence">
              {{ sentence }}
            </li>
          </ul>
        </BasePanel>
        <MethodSchools :body="body" :figures="page.figures" />
      </div>
      <div class="space-y-3">
        <p class="flex flex-wrap gap-3">
          <BaseButton kind="main" :to="`/runs/new?method=${page.record.id}`">Log a run by it</BaseButton>
          <BaseButton v-if="page.line.shipped" :to="`/methods/${page.record.id}/edit`"
            >Copy it, and change the copy</BaseButton
          >
          <template v-else>
            <BaseButton :to="`/methods/${page.record.id}/edit`">Change it</BaseButton>
            <BaseButton :to="`/methods/${page.record.id}/edit?copy`">Copy it</BaseButton>
          </template>
        </p>
        <CautionBox as="section" aria-label="Before you light">
          <h2 class="mb-1">Before you light</h2>
          <ul class="list-disc space-y-1 pl-4">
            <li v-for="caution in cautionsOfTest(page.line.test)" :key="caution">
              {{ caution }}
            </li>
          </ul>
        </CautionBox>
        <KitHistory :versions="versions" :specs="specs" />
        <KitRuns :use="page.use" none="No run was done by it yet." />
      </div>
    </div>
  </div>
</template>
