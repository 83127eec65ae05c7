/** Heat loss from a pot that cools: Newton's law fitted to its trace. */
import { fail, ok, type R } from '../result'
import { cleanTrace } from './cleanTrace'
import { fitCurve, type Curve } from './gaussNewton'

export interface KnownForCoolDown {
  /** Water and pot [J/K], with its standard uncertainty. */
  capacityJPerK: number
  capacityU: number
  airC: number
  airU: number
  boilingC: number
  /** When the flame went out; the trace before it is left out [s]. −Infinity: all of it is cooling. */
  fromS: number
}

export interface LossEstimate {
  lossWPerK: number
  u: number
  /** Time constant C/K_loss [s]. */
  timeConstantS: number
  n: number
  rmsK: number
  fromC: number
  toC: number
}

const FEWEST = 8
/** Less tells nothing of the rate. */
const LEAST_DROP_K = 3
/** Nearer to the air the difference is lost in its uncertainty. */
const LEAST_EXCESS_K = 5

/**
 * Fits T(t) = Ta + (T₀ − Ta)·e^{−kt}; K_loss = k·C.
 * @param trace [seconds, °C]
 * @returns [W/K] with its standard uncertainty from scatter, heat capacity and air; a problem where it did not cool.
 * Source: newton.
 */
export function fitCoolDown(trace: readonly (readonly [number, number])[], known: KnownForCoolDown): R<LossEstimate> {
  const { capacityJPerK, capacityU, airC, airU, fromS } = known
  const clean = cleanTrace(trace, known.boilingC)
  const after = clean.s.findIndex((time) => time >= fromS)
  const firstS = clean.s[Math.max(0, after)] ?? 0
  const s = clean.s.slice(Math.max(0, after)).map((time) => time - firstS)
  const c = clean.c.slice(Math.max(0, after))
  const dropK = c.length === 0 ? 0 : c[0]! - c[c.length - 1]!
  if (after < 0 || c.length < FEWEST || dropK < LEAST_DROP_K || c[0]! - airC < LEAST_EXCESS_K) {
    return fail({
      code: 'not-cooling',
      what: 'The trace does not cool enough to tell the heat loss',
      got: `${c.length} samples, ${dropK.toFixed(1)} K`,
      limit: `at least ${FEWEST} samples over ${LEAST_DROP_K} K`,
      hint: 'Log on for half an hour after the flame is out.',
    })
  }
  const rate = rateIn(airC, s, c)
  if (rate === null)
    return fail({
      code: 'not-newton',
      what: 'The trace does not follow Newton’s law of cooling',
      hint: 'Check the air temperature, and that nothing was stirred or moved.',
    })
  const byAir = ((rateIn(airC + airU, s, c)?.k ?? rate.k) - rate.k) * capacityJPerK
  const lossWPerK = rate.k * capacityJPerK
  return ok({
    lossWPerK,
    u: Math.hypot(capacityJPerK * rate.u, rate.k * capacityU, byAir),
    timeConstantS: 1 / rate.k,
    n: c.length,
    rmsK: rate.rms,
    fromC: c[0]!,
    toC: c[c.length - 1]!,
  })
}

function rateIn(airC: number, s: Float64Array, c: Float64Array): { k: number; u: number; rms: number } | null {
  const curve: Curve = (time, [excess, k], gradient) => {
    const decay = Math.exp(-k! * time)
    gradient[0] = decay
    gradient[1] = -excess! * time * decay
    return airC + excess! * decay
  }
  const last = c.length - 1
  const guess = Math.log(Math.max(1.0001, (c[0]! - airC) / Math.max(0.1, c[last]! - airC))) / (s[last]! - s[0]!)
  const fit = fitCurve(curve, s, c, [c[0]! - airC, guess], [10, guess])
  return fit === null || !(fit.parameters[1]! > 0)
    ? null
    : { k: fit.parameters[1]!, u: Math.sqrt(fit.covariance[1]![1]!), rms: fit.rms }
}
