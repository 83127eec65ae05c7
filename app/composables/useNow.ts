import type { UnitSystem } from '#core/quantity/kinds'
import type { NowConditions, TypedNow } from '#shared/nowConditions'
import type { FieldProblem } from '#shared/readProblems'
import { ask } from '~/api/send'

/** The conditions now, one copy for all that shows them. */
export function useNowConditions() {
  const { data, error, refresh } = useFetch<NowConditions>('/api/now', { key: 'now' })

  async function save(typed: TypedNow): Promise<FieldProblem[]> {
    const sent = await ask<NowConditions>('/api/now', { method: 'PUT', body: typed })
    if (sent.ok) data.value = sent.value
    return sent.ok ? [] : sent.problems
  }
  /** Readings of the place that is left go with it. */
  const moveTo = (placeId: string, units: UnitSystem) => save({ units, placeId, measured: {}, clear: [] })
  return { now: data, error, refresh, save, moveTo }
}

/** The time, for ages: the server's on the first drawing, then this machine's, every ten seconds. */
export function useClock() {
  const ms = useState('clock', () => Date.now())
  let timer: ReturnType<typeof setInterval> | undefined
  onMounted(() => {
    ms.value = Date.now()
    timer = setInterval(() => {
      ms.value = Date.now()
    }, 10_000)
  })
  onUnmounted(() => clearInterval(timer))
  return ms
}

/** What the strip says of the run in view, and of the reference its figure is corrected to. */
export interface InView {
  then: string
  correctedTo: string
}
export const useInView = () => useState<InView | null>('inView', () => null)
