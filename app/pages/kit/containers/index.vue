<script setup lang="ts">
import { formatNumber } from '#core/quantity/format'
import type { ContainerLine } from '#shared/kitRecords'

/** Canisters and bottles: what is in each, and how many boils that is. */
useHead({ title: 'Containers · Vulcanum' })
const { data: containers } = await useFetch<ContainerLine[]>('/api/kit/containers')
const { units } = usePreferences()
const share = ({ fillKg, fullKg }: ContainerLine) => (fillKg === null || !fullKg ? null : Math.min(1, fillKg / fullKg))
</script>

<template>
  <div>
    <KitRoom title="Containers" add="Add a canister or bottle" to="/kit/containers/new" />
    <ul class="space-y-2">
      <BasePanel
        v-for="one in containers"
        :key="one.id"
        as="li"
        bare
        class="grid grid-cols-[3rem_minmax(0,1fr)] items-center gap-4 px-3 py-2"
      >
        <svg
          width="44"
          height="52"
          viewBox="0 0 44 52"
          role="img"
          :aria-label="
            share(one) === null ? `${one.name}: fill not known` : `${one.name}: ${Math.round(share(one)! * 100)} % full`
          "
        >
          <rect
            v-if="share(one) !== null"
            x="3"
            :y="48 - 38 * share(one)!"
            width="38"
            :height="38 * share(one)!"
            class="fill-water"
          />
          <path
            d="M2,49 V14 q0,-6 9,-8 v-4 h22 v4 q9,2 9,8 V49 Z"
            class="kit-line"
            :stroke-dasharray="share(one) === null ? '4 3' : undefined"
          />
        </svg>
        <div>
          <NuxtLink :to="`/kit/containers/${one.id}`" class="font-bold" dir="auto">{{ one.name }}</NuxtLink>{{ ' ' }}
          <span class="text-ink-2">{{ one.fuel }}, {{ one.batch }}{{ one.retired ? ', retired' : '' }}</span>
          <p>
            <template v-if="one.fillKg !== null"
              ><span class="figures">{{ shown(one.fillKg, 'mass', units) }}</span> in it<template v-if="one.boils"
                >: about <span class="figures">{{ formatNumber(one.boils.about, 0) }}</span> boils ({{
                  formatNumber(one.boils.from, 0)
                }}
                to {{ formatNumber(one.boils.to, 0) }}) at what its {{ one.boils.n }} took</template
              >.</template
            >
            <template v-else>Fill not known: weigh it.</template>
          </p>
        </div>
      </BasePanel>
    </ul>
    <p v-if="!containers?.length" class="text-ink-2">
      None yet. A canister that is weighed full tells its fill ever after.
    </p>
  </div>
</template>
