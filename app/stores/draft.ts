import { useLocalStorage } from '@vueuse/core'
import { v7 as uuidv7 } from 'uuid'
import { emptyTypedRun, type TypedRun } from '#shared/typedRun'

/** The run being typed: kept in this browser on every keystroke, so that neither a reload nor a lost server loses it. */
export const useDraft = defineStore('draft', () => {
  const typed = useLocalStorage<TypedRun>('vulcanum.draft', fresh(), { mergeDefaults: (stored, defaults) => ({ ...defaults, ...stored, measured: { ...defaults.measured, ...stored.measured }, times: { ...defaults.times, ...stored.times } }) })

  /** Starts another, with the same person, place, set-up and fuel. */
  function begin() {
    const { units, personId, setupId, fuelBatchId, placeId, zone } = typed.value
    typed.value = { ...fresh(), units, personId, setupId, fuelBatchId, placeId, zone }
  }

  return { typed, begin }
})

function fresh(): TypedRun {
  return { ...emptyTypedRun(uuidv7(), 'metric'), startedAt: localMinute(new Date()), zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' }
}

/** The value of a datetime-local box: this minute on this machine's clock. */
function localMinute(at: Date): string {
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
}
