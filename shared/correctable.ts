/** What of a run can be corrected, and what it is called. */
import { MEASURED_NAMES, type MeasuredQuantity } from './measuredQuantity'
import { TIME_NAMES, TYPED_EVENTS, type TypedEventKind } from './typedRun'

/** A measured quantity, or an event whose time it is. */
export type Correctable = MeasuredQuantity | TypedEventKind
export interface Corrected {
  what: Correctable
  /** Of several events of one kind, the one that is corrected. */
  eventId?: string | null
}

export const isTime = (what: Correctable): what is TypedEventKind => (TYPED_EVENTS as readonly string[]).includes(what)
export const correctionName = (what: Correctable): string => (isTime(what) ? TIME_NAMES[what] : MEASURED_NAMES[what])
