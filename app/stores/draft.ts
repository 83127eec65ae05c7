import { useLocalStorage } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import { readBench, type BenchState } from '#core/run/benchStep'
import type { Draft, DraftBody } from '#shared/draft'
import { emptyTypedRun, type TypedRun } from '#shared/typedRun'

/**
 * The run being typed: kept in this browser on every keystroke, so that neither a reload nor a lost server loses it.
 */
export const useDraft = defineStore('draft', () => {
  const typed = useLocalStorage<TypedRun>('vulcanum.draft', fresh(), {
    mergeDefaults: (stored, defaults) => ({
      ...defaults,
      ...stored,
      measured: { ...defaults.measured, ...stored.measured },
      times: { ...defaults.times, ...stored.times },
    }),
  })
  const lane = useLocalStorage<BenchState | null>('vulcanum.lane', null, {
    serializer: {
      read: (text) => readBench(JSON.parse(text) as BenchState | null),
      write: (value) => JSON.stringify(value),
    },
  })
  /** The server's revision that this browser last saw. */
  const revision = useLocalStorage('vulcanum.draft.revision', 0)
  const body = computed<DraftBody>(() => ({ typed: typed.value, lane: lane.value }))

  /** Starts another, with the same person, place, kit and method. */
  function begin() {
    const before = typed.value
    typed.value = { ...fresh(), ...Object.fromEntries(STAYS.map((key) => [key, before[key]])) }
    lane.value = null
    revision.value = 0
  }

  /** Goes on with one that the server keeps. */
  function take(draft: Draft) {
    typed.value = { ...fresh(), ...draft.body.typed }
    lane.value = readBench(draft.body.lane)
    revision.value = draft.revision
  }

  return { typed, lane, revision, body, begin, take }
})

/** What the next run has in common with the one before. */
const STAYS = [
  'units',
  'personId',
  'setupId',
  'fuelBatchId',
  'placeId',
  'zone',
  'test',
  'methodId',
  'instruments',
  'containerId',
  'setting',
] as const satisfies readonly (keyof TypedRun)[]

function fresh(): TypedRun {
  return {
    ...emptyTypedRun(uuidv7(), 'metric'),
    startedAt: localMinute(new Date()),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
  }
}

/** The value of a datetime-local box: this minute on this machine's clock. */
function localMinute(at: Date): string {
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
}
