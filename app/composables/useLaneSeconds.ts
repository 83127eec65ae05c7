/**
 * Each lane with its own second: what is asked of all lanes is worked out anew when one of them has come, not at each
 * tick.
 */
export function useLaneSeconds() {
  const bench = useBench()
  const seconds = computed(() => bench.lanes.map((lane) => laneSecond(lane, bench.nowMs)).join(' '))
  return computed(() => {
    const moments = seconds.value.split(' ').map(Number)
    return bench.lanes.map((lane, i) => ({ lane, second: moments[i]! }))
  })
}
