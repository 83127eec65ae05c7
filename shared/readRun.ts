/** A run's readings and events, read into SI. */
import type { EventKind } from '../core/run/events'
import type { MeasuredQuantity } from './measuredQuantity'

export interface ReadRun {
  measurements: { quantity: MeasuredQuantity; value: number; typed: string; unit: string }[]
  events: {
    kind: EventKind
    atMs: number
    typed: string
    massG?: number
    waterC?: number
    setting?: string
    windMS?: number
    reason?: string
  }[]
}
