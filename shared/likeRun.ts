/** What a run has in common with the next of its kind: all but its readings. */
import type { BurnerKind, Setting } from '../core/formats/document'
import type { ReadingInstrument } from './typedRun'

/** Amounts that are set, not read: a test of the same method has the same. */
export const SET_AMOUNTS = ['water', 'scaleResolution'] as const
type SetAmount = (typeof SET_AMOUNTS)[number]

export interface RunLike {
  run: { id: string; setup: string; startedAt: string; zone: string }
  chosen: {
    setupId: string
    /** '': it burned no batch of the list. */
    fuelBatchId: string
    methodId: string | null
    personId: string
    placeId: string | null
    containerId: string | null
    setting: Setting | ''
    instruments: Partial<Record<ReadingInstrument, string>>
  }
  /** With their units. */
  amounts: Partial<Record<SetAmount, string>>
  /** What the scale showed after it, with its unit: a container that was not opened since begins there. */
  left: string | null
  /** In words, where its kit is made anew. */
  words: {
    person: string
    place: string | null
    altitudeM: number | null
    fuelKind: string | null
    burner: BurnerKind | null
  }
}
