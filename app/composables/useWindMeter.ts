/**
 * What a wind meter that sends has said over the last ten seconds: its mean, since wind is never still. Null: none
 * sends.
 */
const OVER_MS = 10_000

export function useWindMeter() {
  const bench = useBench()
  const readings = shallowRef<[number, number][]>([])
  watch(
    () => bench.sentNow.wind,
    (newest) => {
      if (newest) readings.value = [...readings.value.filter(([atMs]) => newest[0] - atMs < OVER_MS), newest]
    },
  )
  const mean = computed(() => {
    const recent = readings.value.filter(([atMs]) => bench.nowMs - atMs < OVER_MS).map(([, value]) => value)
    return recent.length === 0 ? null : recent.reduce((sum, one) => sum + one, 0) / recent.length
  })
  return { mean }
}
