import { useLocalStorage } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import { readBench, type BenchState } from '#core/run/benchStep'
import type { Draft, DraftBody } from '#shared/draft'
import { SET_AMOUNTS } from '#shared/likeRun'
import { emptyTypedRun, type TypedRun } from '#shared/typedRun'
import type { Begun } from '~/composables/useLikeRun'
import { isTaken, type Taken } from '~/utils/likeRun'
import { zoneHere } from '~/utils/moments'

/**
 * The run being typed: kept in this browser on every keystroke, so that neither a reload nor a lost server loses it.
 */
export const useDraft = defineStore('draft', () => {
  const { typed, lane } = useKeptDraft()
  /** The server's revision that this browser last saw. */
  const revision = useLocalStorage('vulcanum.draft.revision', 0)
  const body = computed<DraftBody>(() => ({ typed: typed.value, lane: lane.value }))

  const begun = useLocalStorage<Begun>('vulcanum.draft.begun', { like: null, taken: {} })
  /** Nothing would be lost with it: what it took from another run is there still. */
  const untouched = computed(() =>
    isPristine({
      ...body.value,
      typed: { ...typed.value, measured: readingsOnly(typed.value, begun.value.taken) },
    }),
  )

  /** Starts another, by the same tester: what else it has in common with the last, the server says. */
  function begin() {
    const { units, personId, zone } = typed.value
    typed.value = { ...fresh(), units, personId, zone }
    begun.value = { like: null, taken: {} }
    lane.value = null
    revision.value = 0
  }

  /** Goes on with one that the server keeps. */
  function take(draft: Draft) {
    typed.value = { ...fresh(), ...draft.body.typed }
    begun.value = { like: null, taken: {} }
    lane.value = readBench(draft.body.lane)
    revision.value = draft.revision
  }

  return { typed, lane, revision, body, begun, untouched, begin, take }
})

function useKeptDraft() {
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
  return { typed, lane }
}

const readingsOnly = (typed: TypedRun, taken: Taken): TypedRun['measured'] => ({
  ...typed.measured,
  ...Object.fromEntries(
    SET_AMOUNTS.filter((name) => isTaken(typed, taken, `measured.${name}`)).map((name) => [name, '']),
  ),
})

function fresh(): TypedRun {
  return {
    ...emptyTypedRun(uuidv7(), 'metric'),
    startedAt: localMinute(new Date()),
    zone: zoneHere(),
  }
}

/** The value of a datetime-local box: this minute on this machine's clock. */
function localMinute(at: Date): string {
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
}
