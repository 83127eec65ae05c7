/** All that an answer is composed of. */
import type { AddWorking } from '../explain/working'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import type { Figured } from './figureRun'
import type { Readings } from './readings'
import type { SetupSeries } from './setupSeries'

export interface Composition {
  input: RunInput
  options: ReduceOptions
  readings: Readings
  series: SetupSeries
  figured: Figured
  addWorking: AddWorking | undefined
}
