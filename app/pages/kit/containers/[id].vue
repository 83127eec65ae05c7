<script setup lang="ts">
import { CONTAINER_FIELDS } from '#shared/fuelBatch'
import type { BatchLine, ContainerPage } from '#shared/kitRecords'

/** A container and its ledger: every weighing, and what each run took. */
const at = await useRecordPage<ContainerPage>('/api/kit/containers')
const { page, refresh } = at
const { data: batches } = await useFetch<BatchLine[]>('/api/kit/fuels')
const choices = computed(() => ({
  fuelBatchId: fuelChoices((batches.value ?? []).filter((one) => !one.retired || one.id === page.value?.line.batchId)),
}))
const name = computed(() => page.value?.line.name ?? 'A new container')
useHead({ title: () => `${name.value} · Vulcanum` })
const form = useKitForm(at, { room: 'containers', blank: () => blankFields(CONTAINER_FIELDS) })
</script>

<template>
  <KitRecord
    :name="name"
    label="Container"
    :form="form"
    :specs="CONTAINER_FIELDS"
    :choices="choices"
    room="/kit/containers"
    form-beside
  >
    <template v-if="page" #known>
      <ContainerFill :page="page" />
      <ContainerWeigh :container-id="page.record.id" @weighed="refresh()" />
      <LazyContainerLedger hydrate-on-idle :ledger="page.ledger" />
    </template>
    <template #below>
      <p class="mt-3 text-ink-2">
        Never heat a canister with a flame. A little gas escapes on unscrewing: no flame nearby.
      </p>
    </template>
  </KitRecord>
</template>
