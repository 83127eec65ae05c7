<script setup lang="ts">
import { setupWarnings } from '#core/kit/setupWarnings'
import type { SetupPage, SetupPartLine } from '#shared/kitRecords'
import { partsForWarnings } from '#shared/setupParts'
import type { PartProperties } from '#shared/thing'

/** A set-up from the side, as it is being put together: to scale, what it weighs, and what is dangerous about it. */
const props = defineProps<{
  name: string
  parts: readonly Pick<SetupPartLine, 'role' | 'name' | 'properties'>[]
  latest: SetupPage['versions'][number] | null
}>()
const { units } = usePreferences()
const warnings = computed(() => setupWarnings(partsForWarnings([...props.parts])))
const massOf = (part: { properties: unknown }) => (part.properties as PartProperties).massKg
const massKg = computed(() => props.parts.reduce((sum, part) => sum + (massOf(part) ?? 0), 0))
const unweighed = computed(() => props.parts.filter((part) => massOf(part) === null).map((part) => part.name))
const newer = computed(() => (props.latest?.parts ?? []).filter((part) => part.newestN > part.n))
const decisions = (code: string) => (props.latest?.decisions ?? []).filter((one) => one.warning === code)
</script>

<template>
  <BasePanel label="From the side">
    <SetupSideView
      v-if="parts.length"
      :parts="[...parts]"
      :gap-m="latest?.gapM ?? null"
      :px-per-mm="1.35"
      :name="name"
      measured
    />
    <p v-else class="text-ink-2">Choose a burner to see it drawn.</p>
    <p v-if="parts.length" class="mt-2">
      <span class="figures">{{ shown(massKg, 'mass', units) }}</span> together<template v-if="unweighed.length"
        >, without {{ unweighed.join(', ') }}, not weighed</template
      >. Dashed: a usual dimension where none was measured; the canister is the run’s.
    </p>
    <CautionBox v-for="warning in warnings" :key="warning.code" class="mt-2" :data-warning="warning.code">
      <p class="font-bold">
        {{ warning.text }}
      </p>
      <p v-for="decision in decisions(warning.code)" :key="decision.at">
        Goes on all the same: <span dir="auto">{{ decision.reason }}</span><template v-if="decision.person">
          ({{ decision.person }})</template
        >
      </p>
    </CautionBox>
    <p v-for="part in newer" :key="part.role" class="mt-2">
      {{ part.name }} has a newer version ({{ part.newestN }}): choose it among the parts to take it up.
    </p>
  </BasePanel>
</template>
