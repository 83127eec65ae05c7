/**
 * SI in the units that workings and flags say it in, to twelve digits: 0.0056 kg is 5.6 g, and not 5.6000000000000005.
 */
import { twelveDigits } from './twelveDigits'

const shownIn =
  (factor: number) =>
  <T extends number | null>(value: T): T =>
    (value === null ? null : twelveDigits(value * factor)) as T

export const inGrams = shownIn(1000)
export const inMillilitres = shownIn(1e6)
/** Of kg/m³ [g/mL]. */
export const inGramsPerMillilitre = shownIn(1e-3)
export const inHectopascals = shownIn(1e-2)
export const inPercent = shownIn(100)
/** Of J/kg [MJ/kg]. */
export const inMegajoules = shownIn(1e-6)
