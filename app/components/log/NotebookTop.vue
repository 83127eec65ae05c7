<script setup lang="ts">
import type { KitChoices } from '#shared/kitChoices'
import type { TopKey } from '~/composables/useNotebook'

/** What was the same for all runs of a page, once. */
defineProps<{ kit: KitChoices; problemAt: (key: TopKey) => string | undefined }>()
const page = defineModel<NotebookPage>({ required: true })
</script>

<template>
  <div class="log-columns">
    <ChoiceBox
      v-model="page.setupId"
      label="Set-up"
      :choices="setupChoices(kit.setups)"
      :problem="problemAt('setupId')"
      above
    />
    <ChoiceBox
      v-model="page.fuelBatchId"
      label="Fuel"
      :choices="fuelChoices(kit.fuels)"
      :problem="problemAt('fuelBatchId')"
      above
    />
    <ChoiceBox v-model="page.methodId" label="Method" :choices="namedChoices(kit.methods)" empty="By no method" above />
    <ChoiceBox
      v-model="page.placeId"
      label="Place"
      :choices="placeChoices(kit.places)"
      empty="Somewhere else: its altitude is a column"
      above
    />
    <DateBox v-model="page.day" label="Day" :problem="problemAt('day')" above />
    <ChoiceBox
      v-model="page.personId"
      label="Who"
      :choices="namedChoices(kit.people)"
      :problem="problemAt('personId')"
      above
    />
  </div>
</template>
