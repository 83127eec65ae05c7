/** What of runs and their means is compared: kept with the means, so that no run is answered anew to compare it. */
import type { MeanOf } from '../formats/answer'
import type { BurnerKind } from '../formats/document'
import type { ArmRun } from '../statistics/arms'
import type { ComparedRun } from '../statistics/likeWithLike'

/** A run that enters a mean. */
export interface ComparedFacts extends Required<Omit<ArmRun, 'block'>> {
  id: string
  startedAt: string
  zone: string
  /** Standard uncertainty of its normalised figure, as the set-up's [g/L]. */
  u: number
  /** Who burned it, where and on what day: runs of one belong together; null: not stated. */
  day: string | null
  person: string | null
  /** As measured: fuel to the boil [g] and time to it [s]; null: it did not boil, or it was not read. */
  fuelG: number | null
  boilS: number | null
  /** Normalised time to the boil, and what the reading of the boil adds to it, standard [s]. */
  timeS: number | null
  timeU: number | null
  /** Of its fuel: heat in a gram [kJ], and the batch; null: not known. */
  heatKJPerG: number | null
  batchId: string | null
  /** Corrected to the reference at its own burn rate [g/L, g/min]; null: not known. */
  ownRateGPerL: number | null
  burnRateGPerMin: number | null
  /** Conditions that may differ between the arms. */
  values: ComparedRun['values']
}

export interface ComparedPart {
  role: string
  /** Of the version that it is of. */
  versionId: string
  name: string
  /** A pot with fins. */
  finned: boolean
  /** Of a burner. */
  burner: BurnerKind | null
}

/** A mean of a series' runs, by what it may be compared for; without its runs. */
export interface ComparedMean {
  key: string
  seriesKey: string
  setupId: string
  setup: string
  /** Of the set-up as it was burned last. */
  setupVersionId: string
  parts: readonly ComparedPart[]
  fuelKind: string
  fuel: string
  /** Hash of the conventions it is read by. */
  conventions: string
  test: MeanOf
  n: number
  meanGPerL: number
}
