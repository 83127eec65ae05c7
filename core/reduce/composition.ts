/** All that an answer is composed of. */
import type { AddWorking } from '../explain/working'
import type { ReduceOptions, RunDocument } from '../formats/document'
import type { Figured } from './figureRun'
import type { Readings } from './readings'
import type { SetupSeries } from './setupSeries'

export interface Composition {
  document: RunDocument
  options: ReduceOptions
  readings: Readings
  series: SetupSeries
  figured: Figured
  addWorking: AddWorking | undefined
}
