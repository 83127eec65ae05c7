<script setup lang="ts">
import { SCHOOLS, type SchoolKey } from '#core/method/schools'
import { TEST_WORDS, type MethodPage, type TypedMethod } from '#shared/method'
import { schoolFields } from '#shared/methodBody'
import { METHOD_FIELDS, METHOD_LIMITS, METHOD_NEEDS_FLAT, METHOD_SCHOOLS, METHOD_TEXTS } from '#shared/methodFields'

/** The editor of a method, in plain words: a copy of what ships, or one's own. */
const route = useRoute()
const { page } = await useRecordPage<MethodPage>('/api/methods')
if (page.value === null)
  throw createError({
    statusCode: 404,
    message: 'A new method begins as a copy of another: open one of the list and copy it.',
    fatal: true,
  })
const isCopy = page.value.line.shipped || 'copy' in route.query
useHead({ title: () => `${isCopy ? 'A copy of ' : ''}${page.value?.line.name} · Vulcanum` })
const start = (): TypedMethod =>
  isCopy
    ? {
        ...newRecord({ ...page.value!.record.fields, name: `${page.value!.line.name}, our way`, retired: false }),
        copiedFromId: page.value!.record.id,
      }
    : page.value!.record
const form = useRecordForm<MethodPage>({
  url: (id) => `/api/methods/${id}`,
  start,
  extra: () => ({ copiedFromId: isCopy ? page.value!.record.id : page.value!.record.copiedFromId }),
  saved: (saved) => navigateTo(`/methods/${saved.record.id}`),
})
const { record, problems, problemAt, theirs, runs, saving, isBack } = form
/** Ready answers beside the boxes of water and start temperature. */
const ready = (['water', 'start'] as const).map((key) => ({ key: key as SchoolKey, ...SCHOOLS[key] }))
const take = (key: SchoolKey, value: string) => Object.assign(record.value.fields, schoolFields(key, value))
const doesOf = (key: string) =>
  SCHOOLS[key as SchoolKey].schools.find((one) => one.value === record.value.fields[key])?.does
const rest = METHOD_FIELDS.filter((spec) => spec.key === 'retired' && !isCopy)
</script>

<template>
  <div class="max-w-4xl">
    <h1 class="mb-1">
      {{ isCopy ? `A copy of ${page!.line.name}` : page!.line.name }}
    </h1>
    <p class="mb-3 text-ink-2">
      A {{ TEST_WORDS[page!.line.test] }}.
      {{
        isCopy ? 'The original stays as it is.' : 'A change makes a new version; runs keep the one they were done by.'
      }}
    </p>
    <RecordForm
      v-model="record"
      label="Method"
      :specs="[...METHOD_TEXTS, ...rest]"
      :problems="problems"
      :theirs="theirs"
      :runs="runs"
      :saving="saving"
      :asks-reason="!isCopy"
      :deletable="!isCopy"
      :handled="['fields.']"
      :compared="METHOD_FIELDS"
      :is-back="isBack"
      class="enamel p-4"
      @save="form.save"
      @remove="form.remove(() => navigateTo('/methods'))"
      @mine="form.keepMine"
      @theirs="form.takeTheirs"
      @again="form.restart()"
    >
      <fieldset class="mt-3 grid gap-2">
        <legend class="mb-1 font-bold">What it holds</legend>
        <div v-for="one in ready" :key="one.key" class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
          <span class="w-full text-ink-2 sm:w-36">{{ one.question }}</span>
          <BaseButton
            v-for="school in one.schools"
            :key="school.value"
            kind="plain"
            :title="school.does"
            @click="take(one.key, school.value)"
          >
            {{ school.label }}
          </BaseButton>
        </div>
        <FieldBox
          v-for="spec in METHOD_LIMITS"
          :key="spec.key"
          v-model="record.fields[spec.key]"
          :spec="spec"
          :problem="problemAt(`fields.${spec.key}`)"
        />
      </fieldset>
      <fieldset class="mt-3 grid gap-2">
        <legend class="mb-1 font-bold">Whose school</legend>
        <div v-for="spec in METHOD_SCHOOLS" :key="spec.key">
          <FieldBox v-model="record.fields[spec.key]" :spec="spec" :problem="problemAt(`fields.${spec.key}`)" />
          <p class="text-ink-2 sm:ml-[9.75rem]">
            {{ doesOf(spec.key) }}
          </p>
        </div>
      </fieldset>
      <fieldset class="mt-3">
        <legend class="mb-1 font-bold">What is read and marked</legend>
        <div class="grid gap-2 md:grid-cols-2">
          <FieldBox
            v-for="spec in METHOD_NEEDS_FLAT"
            :key="spec.key"
            v-model="record.fields[spec.key]"
            :spec="spec"
            :problem="problemAt(`fields.${spec.key}`)"
          />
        </div>
      </fieldset>
    </RecordForm>
  </div>
</template>
