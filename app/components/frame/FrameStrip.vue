<script setup lang="ts">
import { boilingPointAt } from '#core/air/pressureOf'
import type { NowQuantity, NowReading } from '#shared/nowConditions'

/** The conditions strip: one sentence of what is so now. Opened, it tells now, then and corrected to. */
const { now } = useNowConditions()
const { units } = usePreferences()
const clock = useClock()
const open = ref(false)

const bench = useBench()
/** What an instrument sends is newer than what was typed, for a minute. */
const SENT_FOR_MS = 60_000
const SENT_AS = { air: 'air', wind: 'wind', stationPressure: 'pressure' } as const
function sent(quantity: NowQuantity): NowReading | null {
  const newest = quantity in SENT_AS ? bench.sentNow[SENT_AS[quantity as keyof typeof SENT_AS]] : undefined
  return newest && bench.nowMs - newest[0] < SENT_FOR_MS
    ? { quantity, value: newest[1], typed: 'sent', unit: '', readAt: new Date(clock.value).toISOString() }
    : null
}
const reading = (quantity: NowQuantity) =>
  sent(quantity) ?? now.value?.readings.find((one) => one.quantity === quantity) ?? null
const altitudeM = computed(() => reading('altitude')?.value ?? now.value?.place?.altitudeM ?? null)
const boilingC = computed(() => {
  const value = (quantity: NowQuantity) => reading(quantity)?.value ?? null
  const read = {
    altitudeM: value('altitude'),
    stationPressurePa: value('stationPressure'),
    seaLevelPressurePa: null,
    airC: value('air'),
  }
  return boilingPointAt(read, now.value?.place ?? null)
})
const oldest = computed(() =>
  Math.max(0, ...(now.value?.readings ?? []).map((one) => ageOf(reading(one.quantity)!.readAt, clock.value).minutes)),
)
</script>

<template>
  <header class="no-print border-b border-edge bg-sheet" aria-label="Conditions">
    <div class="flex h-strip items-center gap-3 overflow-hidden px-3 text-sm whitespace-nowrap">
      <p class="flex min-w-0 flex-1 items-center gap-x-3 overflow-hidden">
        <span class="hidden md:inline"
          >Now at {{ now?.place?.name ?? 'no place chosen' }}
          <span v-if="altitudeM !== null" class="figures">{{ shown(altitudeM, 'altitude', units) }}</span></span
        >
        <span
          ><span class="hidden md:inline">· water boils here at </span><span class="md:hidden">Boils at </span
          ><span class="figures" data-strip="boiling">{{
            boilingC === null ? 'unknown' : shown(boilingC, 'temperature', units)
          }}</span></span
        >
        <span class="hidden md:inline"
          >· air <StripReading kind="temperature" :reading="reading('air')" :units="units" :clock="clock"
        /></span>
        <span
          >· wind <StripReading kind="wind" :reading="reading('wind')" :units="units" :clock="clock" />{{ ' ' }}
          <span class="hidden md:inline">at pot</span></span
        >
        <span v-if="oldest >= 40" class="md:hidden">· oldest {{ ageWords(oldest) }}</span>
      </p>
      <BaseButton kind="plain" class="shrink-0" :aria-expanded="open" aria-controls="strip-panel" @click="open = !open">
        {{ open ? 'Close' : 'Now, then' }}
      </BaseButton>
    </div>
    <LazyStripPanel v-if="open" id="strip-panel" @done="open = false" />
  </header>
</template>
