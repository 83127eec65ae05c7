<script setup lang="ts">
/** The margin beside the flame: a spine that counts what the tool has to say, and a drawer that says all of it. */
const bench = useBench()
const margin = useMargin()
const root = useTemplateRef<HTMLElement>('root')
const lanes = useLaneSeconds()
const answered = useAnswered()
const spoken = computed(() =>
  lanes.value.reduce(
    (sum, { lane, second }) =>
      sum + laneSaysNow(lane, second, lanePredicts(lane, second), answered.value[lane.runId] ?? []).length,
    0,
  ),
)
function close() {
  margin.shutDrawer()
  root.value?.focus()
}
</script>

<template>
  <aside aria-label="Margin" class="bench-margin" @keydown.esc.stop="close">
    <button
      ref="root"
      type="button"
      class="bench-spine"
      aria-keyshortcuts="M"
      :aria-expanded="margin.drawer"
      @click="margin.toggleDrawer()"
    >
      <span>Margin</span> <span v-if="spoken" class="figures bench-spine-count">{{ spoken }}</span> <kbd>M</kbd>
    </button>
    <div v-if="margin.drawer" class="bench-drawer">
      <BaseButton glove class="float-right" @click="close">Close</BaseButton>
      <BenchMarginLane v-for="lane in bench.lanes" :key="lane.runId" :lane="lane" />
      <p v-if="!bench.lanes.length">No lane is prepared.</p>
    </div>
  </aside>
</template>
