<script setup lang="ts">
import type { ThingLine } from '#shared/kitRecords'
import { KIND_NAMES, THING_KINDS, type PartProperties } from '#shared/thing'

/** The kit as it stands on the shelves: silhouettes to one scale. */
useHead({ title: 'Kit · Vulcanum' })
const { data: things, error } = await useFetch<ThingLine[]>('/api/kit/things')
const { units } = usePreferences()
const PX_PER_MM = 0.62
const shelves = computed(() =>
  THING_KINDS.map((kind) => {
    const own = (things.value ?? []).filter((one) => one.kind === kind)
    return {
      kind,
      things: own,
      heightPx: Math.max(24, ...own.map((one) => silhouetteOf(kind, one.properties).heightMm * PX_PER_MM + 10)),
    }
  }),
)
const mass = ({ properties }: ThingLine) => (properties as PartProperties).massKg
function checkWords({ lastCheckDays, overdueDays }: ThingLine): string {
  if (lastCheckDays === null) return 'never checked'
  return overdueDays === null ? `checked ${lastCheckDays} days ago` : `check overdue by ${overdueDays} days`
}
</script>

<template>
  <div>
    <KitRoom title="Kit" />
    <BaseAlert v-if="error"> The kit could not be read. Check that Vulcanum is running, then reload. </BaseAlert>
    <p class="mb-3 max-w-3xl text-ink-2">
      Everything at one scale. Dashed: a dimension was not measured, and a usual one is drawn. Only a change that
      matters to heat makes a new version; runs keep theirs.
    </p>
    <section v-for="shelf in shelves" :key="shelf.kind" :aria-label="KIND_NAMES[shelf.kind][1]" class="mb-6">
      <div class="mb-2 flex flex-wrap items-baseline gap-4">
        <h2>{{ KIND_NAMES[shelf.kind][1] }}</h2>
        <NuxtLink :to="`/kit/things/new?kind=${shelf.kind}`"
          >Add a {{ KIND_NAMES[shelf.kind][0].toLowerCase() }}</NuxtLink
        >
      </div>
      <ul v-if="shelf.things.length" class="shelf">
        <li v-for="one in shelf.things" :key="one.id" class="w-32 text-center">
          <div class="board" :class="one.retired ? 'opacity-60' : ''" :style="{ height: `${shelf.heightPx}px` }">
            <KitSilhouette :kind="one.kind" :properties="one.properties" :name="one.name" :px-per-mm="PX_PER_MM" />
          </div>
          <p class="mt-1 mb-1 leading-tight">
            <NuxtLink :to="`/kit/things/${one.id}`" dir="auto">{{ one.name }}</NuxtLink>
            <span class="block text-ink-2"
              ><span v-if="one.kind !== 'instrument'" class="figures">{{
                mass(one) === null ? 'not weighed' : shown(mass(one)!, 'mass', units)
              }}</span
              ><span v-else :class="one.overdueDays === null ? '' : 'bg-caution px-1 text-on-caution'">{{
                checkWords(one)
              }}</span></span
            >
            <span class="block text-ink-2"
              >{{
                one.retired
                  ? 'retired'
                  : one.kind === 'instrument'
                    ? ''
                    : one.runs === 1
                      ? '1 run'
                      : `${one.runs} runs`
              }}<template v-if="one.n > 1">, version {{ one.n }}</template></span
            >
          </p>
        </li>
      </ul>
      <p v-else class="text-ink-2">None yet.</p>
    </section>
  </div>
</template>
