import type { BurnFit } from '../trace/fitHeating'
import type { BoilEstimate } from '../trace/findBoil'

/**
 * What a run's temperature trace says to a figure whose boil is called: kept beside the run, it stands in for the samples
 * as long as all that they were read with is as it was (everything of its document but the fuel's heating value).
 */
export interface TraceReading {
  found: BoilEstimate | null
  traceFit: BurnFit[] | null
  /** Last temperature of a run without a boil [°C]. */
  endC: number | null
  /** When the water had fallen half a degree after the boil [s]. */
  fallenAtS: number | null
}
