import type { Remote } from 'comlink'
import type { StudyPage } from '#shared/plan'
import type { PlannedDays } from '#shared/plannedDays'
import type { PlannedDaysWorker } from '~/workers/plannedDays'

/** Days as they were laid out, and of which state of the study. */
export interface LaidOut extends PlannedDays {
  of: StudyPage
}

/** A study's days, laid out anew in a worker whenever it changes; null: not yet. The last ones stand meanwhile. */
export function usePlannedDays(study: () => StudyPage | null) {
  const days = shallowRef<LaidOut | null>(null)
  let worker: Worker | null = null
  /** Held as long as the worker is: one that is let go takes the worker's ear with it. */
  let remote: Remote<PlannedDaysWorker> | null = null
  async function layOut(one: StudyPage) {
    const { wrap } = await import('comlink')
    worker ??= new Worker(new URL('../workers/plannedDays.ts', import.meta.url), { type: 'module' })
    remote ??= wrap<PlannedDaysWorker>(worker)
    const laidOut = await remote.plannedDays(JSON.parse(JSON.stringify(one)) as StudyPage)
    if (study()?.revision === one.revision) days.value = { ...laidOut, of: one }
  }
  onMounted(() => {
    watch(study, (one) => one && void layOut(one), { immediate: true })
  })
  onUnmounted(() => worker?.terminate())
  return days
}
