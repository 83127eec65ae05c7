/** The heat loss that a cool-down test shows. */
import type { RunDocument } from '../formats/document'
import { fitCoolDown, type LossEstimate } from '../trace/fitCoolDown'
import { potHeatCapacity } from '../heating/pot'
import { WATER_SPECIFIC_HEAT } from '../constants/physical'

export function coolDownOf(document: RunDocument, boilingC: number | null): LossEstimate | null {
  if (document.kind !== 'coolDown' || document.water.massG === null || document.place.airC === null) return null
  const capacity = potHeatCapacity(
    document.pot.massG === null ? null : document.pot.massG / 1000,
    document.pot.material,
  )
  const waterKg = document.water.massG / 1000
  const out = document.events
    .filter((event) => ['flameOut', 'shutOff', 'snuffed'].includes(event.kind))
    .map((event) => event.s)
  const fit = fitCoolDown(document.trace, {
    capacityJPerK: waterKg * WATER_SPECIFIC_HEAT.value + capacity.jPerK,
    capacityU: Math.hypot(capacity.u, (document.uncertainty.waterG / 1000) * WATER_SPECIFIC_HEAT.value),
    airC: document.place.airC,
    airU: document.uncertainty.airC,
    boilingC: boilingC ?? 100,
    fromS: out.length === 0 ? -Infinity : Math.max(...out),
  })
  return fit.ok ? fit.value : null
}
