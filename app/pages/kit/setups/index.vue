<script setup lang="ts">
import type { SetupLine } from '#shared/kitRecords'

/** Set-ups side by side, at one scale. */
useHead({ title: 'Set-ups · Vulcanum' })
const { data: setups } = await useFetch<SetupLine[]>('/api/kit/setups')
const { units } = usePreferences()
const PX_PER_MM = 0.55
const heightPx = computed(() =>
  Math.max(
    60,
    ...(setups.value ?? []).map((one) => (sideViewOf(one.version.parts, one.version.gapM).heightMm + 14) * PX_PER_MM),
  ),
)
</script>

<template>
  <div>
    <KitRoom title="Set-ups" add="Put a set-up together" to="/kit/setups/new" />
    <ul class="shelf">
      <li v-for="one in setups" :key="one.id" class="w-44 text-center">
        <div class="board" :class="one.retired ? 'opacity-60' : ''" :style="{ height: `${heightPx}px` }">
          <SetupSideView :parts="one.version.parts" :gap-m="one.version.gapM" :px-per-mm="PX_PER_MM" :name="one.name" />
        </div>
        <p class="mt-1 mb-1 leading-tight">
          <NuxtLink :to="`/kit/setups/${one.id}`" dir="auto">{{ one.name }}</NuxtLink>
          <span class="block text-ink-2"
            ><span class="figures">{{ shown(one.version.massKg.total, 'mass', units) }}</span
            >{{ one.version.massKg.unweighed.length ? ' and what is not weighed' : '' }}</span
          >
          <span class="block text-ink-2"
            >{{ one.retired ? 'retired' : one.runs === 1 ? '1 run' : `${one.runs} runs`
            }}<template v-if="one.version.n > 1">, version {{ one.version.n }}</template></span
          >
        </p>
      </li>
    </ul>
    <p v-if="!setups?.length" class="text-ink-2">None yet. A burner is enough to begin with.</p>
  </div>
</template>
