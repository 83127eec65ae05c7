/** Whether a run's efficiency and power can be, and the slip that they look like where not. */
import type { Flag } from '../formats/answer'
import type { RunInput } from '../run/runInput'
import { densityAt } from '../constants/fuels'
import { efficiency, FIGURE, type FigureOptions } from '../normalise/figures'
import type { HeatRun } from '../normalise/heatRun'
import { efficiencyFlags } from '../plausibility/physicalLimit'
import { powerFlags } from '../plausibility/powerLimit'
import { slips } from '../plausibility/slips'
import { unweighedLeftover } from '../run/fuelUsed'
import type { Readings } from './readings'
import { combined, type Propagation } from '../uncertainty/propagate'
import { firepower } from './firepower'

export function plausibilityFlags(
  input: RunInput,
  run: HeatRun,
  budget: Propagation<HeatRun>,
  { windMS, fuel, used }: Readings,
  options: FigureOptions,
): Flag[] {
  const eta = combined(budget, FIGURE.efficiency)
  if (Number.isFinite(eta.value)) {
    const evaporatedJ =
      options.evaporatedJ ?? eta.value * run.fuelKg * run.lhvJPerKg - efficiency(run, 0) * run.fuelKg * run.lhvJPerKg
    const context = {
      scaleResolutionKg: used === null || input.fuel.usedM3 !== null ? null : input.fuel.scaleResolutionKg,
      densityKgPerM3: fuel === null ? null : densityAt(fuel, input.place.airC ?? 20),
      unweighedLeftoverKg: unweighedLeftover(input),
    }
    return efficiencyFlags(eta.value, eta.u, {
      burner: input.burner.kind,
      finned: input.pot.finned,
      calm: windMS === 0,
      slips: () => slips(run, context, (changed) => efficiency(changed, evaporatedJ)),
    })
  }
  if (Number.isNaN(run.lhvJPerKg))
    return [
      { code: 'heating-value-unknown', severity: 'note', text: 'Heating value of the fuel not known: no efficiency.' },
    ]
  return []
}

/** A power that no burner of the kind gives, where the fuel, or the heating of the water, says one. */
export function powerFlagsOf(
  input: RunInput,
  run: HeatRun,
  budget: Propagation<HeatRun>,
  { windMS, heatS, burnS, leadS, toEnd, used, fuel, times }: Readings,
): Flag[] {
  // What was stopped from outside was weighed or timed in haste, if at all.
  if (heatS === null || times.ended === 'stopped') return []
  const watts = firepower(toEnd?.massKg ?? null, burnS + leadS, run.lhvJPerKg)
  const q0 = combined(budget, FIGURE.q0)
  const relativeU = used === null ? 0 : Math.hypot(used.uRandomKg, used.uScaleKg) / used.massKg
  return powerFlags({
    kind: input.kind,
    burner: input.burner.kind,
    calm: windMS === 0,
    heatS,
    densityKgPerM3: fuel === null ? null : densityAt(fuel, input.place.airC ?? 20),
    firepower: watts === null ? null : { value: watts, u: watts * relativeU },
    heatFlow: Number.isFinite(q0.value) ? q0 : null,
  })
}
