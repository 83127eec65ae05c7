/** A lane of the bench as far as its rules go. */
import type { TestKind } from '../formats/document'
import type { BenchOrder } from '../method/benchOrder'
import type { MethodBody } from '../method/method'
import type { BenchState } from '../run/benchStep'

export interface LaneFacts {
  kind: TestKind
  zone: string
  fuelKind: string | null
  /** Water boils there [°C]; null: no altitude or pressure is known. */
  boilingC: number | null
  method: { body: MethodBody } | null
  order: BenchOrder
  state: BenchState
  readings: readonly { id: string; quantity: string; value: number }[]
  /** What stands in for a stove; null: it burns. */
  rehearsal: { choice: { speed: number } } | null
}

/** [seconds since pot-on, °C] */
export type WaterPoint = readonly [s: number, tempC: number]
