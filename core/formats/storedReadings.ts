/** A stored run's readings, as a document has them: by what they were read with, and in the contract's units. */
import { fuelOfKind } from '../constants/fuels'
import { twelveDigits } from '../quantity/twelveDigits'
import type { RunDocument } from './document'
import type { StoredRun } from './toRunDocument'

/** Resolution and accuracy [SI, ± half-width] of what something was read by. */
export interface Fineness {
  /** Of the instrument. */
  id: string
  resolution: number
  accuracy: number | null
}

/** Stirred water is even to about this [K]. Source: estimate. */
const STIRRED_U_K = 0.2

/** A thermometer that was never checked is good to about this [K]. Source: estimate. */
const UNCHECKED_U_K = 1

export const scaled = (value: number | null | undefined, factor: number): number | null =>
  value === null || value === undefined ? null : twelveDigits(value * factor)

type Measured = StoredRun['measured'][string]
export const inDimension = (one: Measured, dimension: 'mass' | 'volume'): NonNullable<Measured> | null =>
  one?.dimension === dimension ? one : null

/**
 * A reading's standard uncertainty by what it was read with: d/√12, a/√3, and what else there is. Source:
 * gumResolution.
 */
const finenessU = ({ resolution, accuracy }: Fineness, otherU: number): number =>
  Math.hypot(resolution / Math.sqrt(12), (accuracy ?? 0) / Math.sqrt(3), otherU)

/** How full it was, where a can of gas was weighed before the burn. */
export function containerOf({ container, measured, fuel }: StoredRun): RunDocument['container'] {
  if (container === null) return null
  const { id, tareKg, fullKg } = container
  const before = inDimension(measured.fuelBefore, 'mass')
  const share = before === null || tareKg === null || !fullKg ? NaN : (before.value - tareKg) / fullKg
  const isCan = fuel !== null && fuelOfKind(fuel.kind)?.form === 'gas'
  const isShare = isCan && share >= 0 && share <= MOST_FULL
  return {
    id,
    fillShare: isShare ? twelveDigits(Math.min(1, share)) : null,
    startC: scaled(measured.fuelTemp?.value, 1),
  }
}
/** Overfilled by more, it was another container's weight. */
const MOST_FULL = 1.1

/** What its last checks say it reads high by, and how slow it is. */
export function thermometerOf({ thermometer }: StoredRun): RunDocument['thermometer'] {
  if (thermometer === null || (thermometer.correctionK === null && thermometer.lagS === null)) return null
  const { correctionK, lagS } = thermometer
  return {
    offsetK: correctionK === null ? 0 : twelveDigits(-correctionK),
    offsetU: correctionK === null ? UNCHECKED_U_K : twelveDigits(finenessU(thermometer, STIRRED_U_K)),
    lagS: lagS ?? 0,
  }
}

export const startU = ({ thermometer, measured }: StoredRun): { startC?: number } =>
  thermometer === null || !measured.waterStart ? {} : { startC: twelveDigits(finenessU(thermometer, STIRRED_U_K)) }
