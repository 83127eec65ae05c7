/** Several burns with gaps, as one burn that would have heated as far. */
import { fail, ok, type R } from '../result'
import { findRoot } from '../numeric/findRoot'
import { heatingTime, type Heating } from './heatingTime'
import { heatFlowFromTime } from './heatFlow'

/**
 * The time one unbroken burn of the same flame would have needed, where burns and gaps alternate and the gaps cool by
 * K_loss.
 * Evaporation in the gaps is left out.
 * @param spansS [burn, gap, burn, …] [s], as burnsAndGaps gives them
 * @returns [s]; the problem of the heat balance where no flame explains the times. Source: newton.
 */
export function unbrokenHeatingTime(spansS: readonly number[], heating: Heating): R<number> {
  const h: Heating = { ...heating, evaporation: null }
  const burnS = spansS.reduce((sum, span, i) => (i % 2 === 0 ? sum + span : sum), 0)
  const least = heatFlowFromTime(burnS, h)
  if (!least.ok) return least
  const endAt = (q0W: number) => endTemperature(q0W, spansS, h) - h.endC
  let high = least.value.q0W
  // Gaps only cost heat: the flame is at least as strong as without them.
  for (let i = 0; endAt(high) < 0; i++) {
    high *= 1.5
    if (i > 60)
      return fail({
        code: 'gaps-too-long',
        what: 'The gaps between the burns cool the water below its start',
        hint: 'Check the times of flame out and lighting again.',
      })
  }
  const q0W = high === least.value.q0W ? high : findRoot(endAt, least.value.q0W, high, 1e-12)
  return ok(heatingTime(q0W, h))
}

/** Newton's law through burns and gaps. */
function endTemperature(q0W: number, spansS: readonly number[], h: Heating): number {
  return spansS.reduce((tempC, span, i) => {
    const burning = i % 2 === 0
    const lossWPerK = h.lossWPerK + (burning ? q0W / h.thetaK : 0)
    const levelC = h.airC + (burning ? q0W / lossWPerK : 0)
    return lossWPerK === 0
      ? tempC + (burning ? (q0W * span) / h.capacityJPerK : 0)
      : levelC + (tempC - levelC) * Math.exp((-lossWPerK * span) / h.capacityJPerK)
  }, h.startC)
}
