<script setup lang="ts">
import { benchNowMs } from '~/bench/clock'
import { liveTrace } from '~/bench/samples'
import { formatNumber } from '#core/quantity/format'
import type { Lane } from '#shared/bench'

/** What instruments beside the water say at this moment; on a rehearsal, what somebody who looks would see. */
const props = defineProps<{ lane: Lane; nowMs: number }>()
const bench = useBench()
const { units } = usePreferences()
/** A reading is now's for a quarter of a minute. */
const SENT_WITHIN_MS = 15_000
const last = (channel: 'scale' | 'wind' | 'air') => {
  const newest = bench.sampled >= 0 ? liveTrace(props.lane.runId, channel)?.last : undefined
  return newest && props.nowMs - newest[0] < SENT_WITHIN_MS ? newest[1] : null
}
const sent = computed(() => {
  const [scale, wind, air] = [last('scale'), last('wind'), last('air')]
  return [
    ...(scale === null ? [] : [['scale', `${formatNumber(scale * 1000, 1)} g`]]),
    ...(wind === null ? [] : [['wind', shown(wind, 'wind', units.value)]]),
    ...(air === null ? [] : [['air', shown(air, 'temperature', units.value)]]),
  ]
})
const seen = computed(() => (props.lane.rehearsal && props.nowMs > 0 ? rehearsalSeen(props.lane, benchNowMs()) : null))
</script>

<template>
  <p v-if="sent.length || seen" class="lane-seen" data-seen>
    <span v-if="seen" data-looks
      >flame <strong>{{ seen.flame }}</strong> · water <strong>{{ seen.water }}</strong></span
    >
    <span v-for="[name, value] in sent" :key="name"
      >{{ name }} <span class="figures">{{ value }}</span></span
    >
  </p>
</template>
