<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import { CONTAINER_FIELDS, ENTRY_FIELDS, ENTRY_WORDS } from '#shared/fuelBatch'
import type { BatchLine, ContainerPage } from '#shared/kitRecords'
import type { FieldProblem } from '#shared/readProblems'

/** A container and its ledger: every weighing, and what each run took. */
const { isNew, page, refresh } = await useRecordPage<ContainerPage>('/api/kit/containers')
const { data: batches } = await useFetch<BatchLine[]>('/api/kit/fuels')
const { units } = usePreferences()
const choices = computed(() => ({
  fuelBatchId: fuelChoices((batches.value ?? []).filter((one) => !one.retired || one.id === page.value?.line.batchId)),
}))
const name = computed(() => page.value?.line.name ?? 'A new container')
useHead({ title: () => `${name.value} · Vulcanum` })
const form = useRecordForm<ContainerPage>({
  url: (id) => `/api/kit/containers/${id}`,
  start: () => page.value?.record ?? newRecord(blankFields(CONTAINER_FIELDS)),
  saved: async (saved) => {
    if (isNew) return navigateTo(`/kit/containers/${saved.record.id}`)
    await refresh()
    form.restart()
  },
})
const { record, problems, theirs, runs, saving } = form
const specs = CONTAINER_FIELDS.filter((spec) => spec.key !== 'retired' || !isNew)
const entrySpecs = ENTRY_FIELDS.filter((spec) => spec.key !== 'at')
const entry = ref(newRecord({ kind: 'weighed', massKg: '', note: '' }))
const entryProblems = ref<FieldProblem[]>([])
const TARE_WORDS = {
  given: 'as weighed or printed',
  empty: 'weighed empty',
  full: 'from the first full weighing, less the printed content',
}
async function weigh() {
  const sent = await sendTo<ContainerPage>(`/api/kit/containers/${page.value!.record.id}/entries`, 'POST', {
    ...entry.value,
    units: units.value,
    fields: { ...entry.value.fields, at: new Date().toISOString() },
  })
  entryProblems.value = sent.ok ? [] : sent.problems
  if (!sent.ok) return
  entry.value = newRecord({ kind: 'weighed', massKg: '', note: '' })
  await refresh()
}
</script>

<template>
  <div>
    <KitNav />
    <h1 class="mb-3" dir="auto">
      {{ name }}
    </h1>
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div v-if="page" class="space-y-3">
        <BasePanel label="In it now">
          <p class="text-2xl" data-fill>
            <template v-if="page.line.fillKg !== null"
              ><span class="figures">{{ shown(page.line.fillKg, 'mass', units) }}</span
              >{{ ' ' }} <span class="text-base text-ink-2">of fuel in it now</span></template
            >
            <span v-else class="text-base"
              >Fill not known. Weigh it; without an empty mass, say what it holds when full and weigh it full.</span
            >
          </p>
          <p v-if="page.line.boils">
            About <span class="figures">{{ formatNumber(page.line.boils.about, 0) }}</span> boils left,
            {{ formatNumber(page.line.boils.from, 0) }} to {{ formatNumber(page.line.boils.to, 0) }}, at what its
            {{ page.line.boils.n }} boils took.
          </p>
          <p v-if="page.tareKg !== null && page.tareFrom" class="text-ink-2">
            Empty <span class="figures">{{ shown(page.tareKg, 'mass', units) }}</span>, {{ TARE_WORDS[page.tareFrom] }}.
          </p>
        </BasePanel>
        <BasePanel title="Weigh it">
          <RecordForm
            v-model="entry"
            label="A weighing"
            :specs="entrySpecs"
            :problems="entryProblems"
            :theirs="null"
            :saving="false"
            @save="weigh"
          />
        </BasePanel>
        <BasePanel tight title="Ledger" class="overflow-x-auto">
          <table class="w-full border-collapse">
            <thead>
              <tr class="border-b border-edge text-left">
                <th class="py-1 pr-3">When</th>
                <th class="pr-3">What</th>
                <th class="pr-3 text-right">Scale</th>
                <th class="pr-3 text-right">Took</th>
                <th class="text-right">In it</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(line, i) in [...page.ledger].reverse()" :key="i" class="border-b border-edge last:border-b-0">
                <td class="figures py-1 pr-3 text-[13px]">{{ dateInZone(line.at, 'UTC') }}</td>
                <td class="pr-3">
                  <NuxtLink v-if="line.runId" :to="`/runs/${line.runId}`" dir="auto">{{
                    line.setup ?? 'a run'
                  }}</NuxtLink><template v-else-if="line.what !== 'run'">{{ ENTRY_WORDS[line.what] }}</template
                  >{{ ' ' }}
                  <span class="text-ink-2" dir="auto">{{ line.note }}</span>
                  <span
                    v-if="line.unexplainedKg !== null && Math.abs(line.unexplainedKg) >= 0.001"
                    class="block bg-caution px-1 text-on-caution"
                    >{{ formatNumber(Math.abs(line.unexplainedKg) * 1000, 1) }} g
                    {{ line.unexplainedKg < 0 ? 'less' : 'more' }} than its runs leave: evaporated, leaked, or a run not
                    logged?</span
                  >
                </td>
                <td class="figures pr-3 text-right">{{ line.typed }}</td>
                <td class="figures pr-3 text-right">
                  {{
                    line.usedKg === null
                      ? line.what === 'run'
                        ? 'not weighed'
                        : ''
                      : shown(line.usedKg, 'mass', units)
                  }}
                </td>
                <td class="figures text-right">{{ line.fillKg === null ? '' : shown(line.fillKg, 'mass', units) }}</td>
              </tr>
            </tbody>
          </table>
        </BasePanel>
      </div>
      <BasePanel as="div">
        <RecordForm
          v-model="record"
          label="Container"
          :specs="specs"
          :choices="choices"
          :problems="problems"
          :theirs="theirs"
          :runs="runs"
          :saving="saving"
          :deletable="!isNew"
          @save="form.save"
          @remove="form.remove(() => navigateTo('/kit/containers'))"
          @mine="form.keepMine"
          @theirs="form.takeTheirs"
        />
        <p class="mt-3 text-ink-2">
          Never heat a canister with a flame. A little gas escapes on unscrewing: no flame nearby.
        </p>
      </BasePanel>
    </div>
  </div>
</template>
