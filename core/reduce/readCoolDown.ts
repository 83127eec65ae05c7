/** The heat loss that a cool-down test shows. */
import type { RunInput } from '../run/runInput'
import { fitCoolDown, type LossEstimate } from '../trace/fitCoolDown'
import { potHeatCapacity } from '../heating/pot'
import { WATER_SPECIFIC_HEAT } from '../constants/physical'

export function coolDownOf(
  { kind, water, place, pot, events, trace, uncertainty }: RunInput,
  boilingC: number | null,
): LossEstimate | null {
  if (kind !== 'coolDown' || water.massKg === null || place.airC === null) return null
  const capacity = potHeatCapacity(pot.massKg, pot.material)
  const out = events.filter((event) => ['flameOut', 'shutOff', 'snuffed'].includes(event.kind)).map((event) => event.s)
  const fit = fitCoolDown(trace, {
    capacityJPerK: water.massKg * WATER_SPECIFIC_HEAT.value + capacity.jPerK,
    capacityU: Math.hypot(capacity.u, uncertainty.waterKg * WATER_SPECIFIC_HEAT.value),
    airC: place.airC,
    airU: uncertainty.airC,
    boilingC: boilingC ?? 100,
    fromS: out.length === 0 ? -Infinity : Math.max(...out),
  })
  return fit.ok ? fit.value : null
}
