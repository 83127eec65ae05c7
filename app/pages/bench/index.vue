<script setup lang="ts">
import { laneClocks } from '#core/bench/laneClocks'
import { laneState } from '#core/bench/laneNext'
import { useEventListener, useMediaQuery, useWakeLock } from '@vueuse/core'
import type { Lane } from '#shared/bench'
import { LANES, type LaneName } from '#shared/lanes'
import type BenchLaneComponent from '~/components/bench/BenchLane.vue'

/** The screen beside the flame: the lanes, their keys, and what becomes due. */
definePageMeta({ layout: 'bench' })
useHead({ title: 'Bench · Vulcanum' })
const bench = useBench()
const keys = useKeys()
const margin = useMargin()
margin.shutDrawer()
const pedal = usePedal()
const due = usePrompts()
const all = ref(false)
const glance = ref(false)
const phone = useMediaQuery('(max-width: 767px)')
const parts = new Map<LaneName, InstanceType<typeof BenchLaneComponent>>()
const keepPart = (name: LaneName) => (part: unknown) =>
  void (part ? parts.set(name, part as InstanceType<typeof BenchLaneComponent>) : parts.delete(name))
const here = () => parts.get(bench.selected)

onMounted(() => void bench.start())
const layout = computed<BenchLayout>(() => (phone.value ? 'phone' : layoutFor(bench.lanes.length)))
const shownLanes = computed(() =>
  phone.value ? bench.lanes.filter((lane) => lane.lane === bench.selected) : bench.lanes,
)
/** The selected lane is one that is there. */
watch(
  () => bench.lanes.map((lane) => lane.lane).join(''),
  (names) => {
    if (names && !names.includes(bench.selected)) bench.selected = names[0] as LaneName
  },
  { immediate: true },
)

const wake = useWakeLock()
watch(
  () => bench.burning,
  (is) => void (is ? wake.request('screen') : wake.release()).catch(() => undefined),
)
function select(name: LaneName) {
  if (bench.laneAt(name) === null) return
  bench.selected = name
  void nextTick(() => here()?.focusNext())
}
for (const name of LANES) keys.on(`lane${name}`, () => select(name))
keys.on('next', () => void here()?.pressNext())
keys.on('allLanes', () => {
  all.value = !all.value
})
keys.on('margin', margin.toggleDrawer)
keys.on('glance', () => {
  glance.value = !glance.value
})
for (const name of [
  'feed',
  'lid',
  'setting',
  'knock',
  'note',
  'photo',
  'flameOut',
  'giveUp',
  'undo',
  'earlier',
  'later',
] as const)
  keys.on(name, () => void here()?.act(name))
useEventListener(
  'keydown',
  (event: KeyboardEvent) => {
    const inField =
      event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [role=dialog]') !== null
    if (pedal.takes(event, () => void here()?.pressNext())) return
    // A digit begins a reading of the selected lane.
    if (
      inField ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      event.repeat ||
      event.isComposing ||
      !/^[0-9-]$/.test(event.key) ||
      !here()
    )
      return
    event.preventDefault()
    here()!.startReading(event.key)
  },
  { capture: true },
)

/** Its page is next, or its lane anew, once the server has it; meanwhile the bench goes on. */
const finishing = ref<{ runId: string; lane: string; again: boolean } | null>(null)
async function finish({ runId, lane }: Lane, again = false) {
  await bench.press(runId, { type: 'finish' })
  finishing.value = { runId, lane, again }
}
watch([finishing, () => bench.pending], () => {
  if (finishing.value === null || bench.waitingOf(finishing.value.runId) > 0) return
  const { runId, lane, again } = finishing.value
  finishing.value = null
  if (bench.refused.some((one) => one.act.runId === runId)) return
  void navigateTo(again ? { path: '/bench/prepare', query: { again: runId, lane } } : `/runs/${runId}`)
})
</script>

<template>
  <div class="bench" :data-layout="layout">
    <h1 class="sr-only">Bench</h1>
    <ClientOnly>
      <nav v-if="phone && bench.lanes.length" class="bench-tabs" aria-label="Lanes">
        <button
          v-for="lane in bench.lanes"
          :key="lane.lane"
          type="button"
          :aria-pressed="lane.lane === bench.selected"
          :class="laneState(lane) === 'burning' ? 'bench-tab-lit' : ''"
          @click="select(lane.lane)"
        >
          {{ lane.lane }} <span class="figures">{{ laneClocks(lane, bench.nowMs).main }}</span>
        </button>
      </nav>
      <BenchBar
        v-else
        :free="bench.freeLane"
        :lanes="bench.lanes.length"
        :all="all"
        @all="all = !all"
        @glance="glance = true"
      />
      <BenchAll
        v-if="all"
        @done="
          () => {
            all = false
            here()?.focusNext()
          }
        "
      />
      <BenchRefused />
      <p v-if="finishing" class="bench-refused" role="status">
        Finished. {{ finishing.again ? 'Its lane is prepared again' : 'Its page opens' }} as soon as the server has it.
      </p>
      <div v-if="bench.lanes.length" class="bench-lanes">
        <BenchLane
          v-for="lane in shownLanes"
          :key="lane.runId"
          :ref="keepPart(lane.lane)"
          :lane="lane"
          :layout="layout"
          :selected="lane.lane === bench.selected"
          @select="bench.selected = lane.lane"
          @finish="finish(lane, $event)"
        />
      </div>
      <BenchTray
        v-if="layout === 'cell' && bench.laneAt(bench.selected)"
        :lane="bench.laneAt(bench.selected)!"
        @act="(name) => void here()?.act(name)"
      />
      <section v-if="bench.ready && !bench.lanes.length" class="bench-empty" aria-label="Empty bench">
        <p>No lane is prepared.</p>
        <BaseButton kind="main" glove :to="{ path: '/bench/prepare', query: { lane: 'A' } }" class="text-lg"
          >Prepare lane A</BaseButton
        >
        <BaseButton glove to="/burn" class="text-lg">Burn one now</BaseButton>
      </section>
      <BenchBar
        v-if="phone"
        :free="bench.freeLane"
        :lanes="bench.lanes.length"
        :all="all"
        @all="all = !all"
        @glance="glance = true"
      />
      <BenchSpine />
      <BenchGlance
        v-if="glance"
        @done="
          () => {
            glance = false
            here()?.focusNext()
          }
        "
      />
    </ClientOnly>
    <p class="sr-only" aria-live="polite" data-said>
      {{ bench.said }}
    </p>
    <p class="sr-only" aria-live="assertive">
      {{ due }}
    </p>
  </div>
</template>
