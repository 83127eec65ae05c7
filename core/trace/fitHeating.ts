/** The heating model fitted to a temperature trace: heat flow, loss and start lag, burn by burn. */
import { fail, ok, type R } from '../result'
import { cleanTrace, type CleanTrace } from './cleanTrace'
import { fitCurve, type Curve, type CurveFit } from './gaussNewton'

export interface KnownForFit {
  /** Water and pot, held [J/K]. */
  capacityJPerK: number
  airC: number
  boilingC: number
  /** The burns: from where the pot stood over the flame to where it went out [s]. */
  burns: readonly { startS: number; endS: number }[]
}

interface Measured {
  value: number
  u: number
}

export interface BurnFit {
  fromS: number
  toS: number
  n: number
  /** Temperature the fit starts from [°C]. */
  startC: number
  q0W: Measured
  /** K = K_loss + q0/Θ [W/K]. */
  lossAndDroopWPerK: Measured
  /** The curve itself: slope where it begins [K/s], and the rate at which that falls [1/s]. */
  slopeKPerS: number
  ratePerS: number
  /** From the start of the burn to where the water begins to warm [s]. */
  lagS: Measured
  rmsK: number
  /** Mean residual in each quarter of the burn [K]: a bend says that the flame changed. */
  quartersK: [number, number, number, number]
  flameChanged: boolean
}

export interface HeatingFit {
  burns: BurnFit[]
}

const FEWEST = 8
const LEAST_RISE_K = 8
/** Near the boil, boiling begins on the wall and the model ends. */
const BELOW_BOIL_K = 3
const LEAST_BEND_K = 0.3

/**
 * Fits T(t) = T_i + s·(1 − e^{−kτ})/k, τ = max(0, t − t₀ − lag): the solution of C dT/dt = q0·(1 − (T − Ta)/Θ) −
 * K_loss·(T − Ta) with C held,
 * where K = k·C and q0 = C·s + K·(T_i − Ta).
 * @param trace [seconds, °C]
 * @returns a fit per burn that warmed by 8 K or more; a problem where none did. Source: newton.
 */
export function fitHeating(trace: readonly (readonly [number, number])[], known: KnownForFit): R<HeatingFit> {
  return fitHeatingInClean(cleanTrace(trace, known.boilingC), known)
}

/** The same, of a trace that is clean already. */
export function fitHeatingInClean(clean: CleanTrace, known: KnownForFit): R<HeatingFit> {
  const topC = Math.max(...clean.c.subarray(-FEWEST), -Infinity)
  const burns = known.burns.flatMap((burn) => fitBurn(clean, { ...burn, known, topC }) ?? [])
  if (burns.length === 0)
    return fail({
      code: 'nothing-to-fit',
      what: 'No burn in the trace warms enough to be fitted',
      limit: `at least ${FEWEST} samples over ${LEAST_RISE_K} K`,
      hint: 'Give the trace from pot-on to the boil.',
    })
  return ok({ burns })
}

interface OneBurn {
  startS: number
  endS: number
  known: KnownForFit
  topC: number
}

function fitBurn({ s, c, noiseK }: CleanTrace, { startS, endS, known, topC }: OneBurn): BurnFit | null {
  const untilC = Math.min(known.boilingC, Math.max(topC, known.boilingC - 8)) - BELOW_BOIL_K
  const start = startTemperature(s, c, startS)
  if (start === null) return null
  let [from, to] = [0, s.length]
  while (from < s.length && s[from]! < startS) from++
  for (let i = from; i < s.length; i++) {
    if (s[i]! > endS || c[i]! > untilC) {
      to = i
      break
    }
  }
  if (to - from < FEWEST || c[to - 1]! - start.c < LEAST_RISE_K) return null
  const x = s.slice(from, to).map((time) => time - startS)
  const y = c.slice(from, to)
  const meanSlope = (y[y.length - 1]! - start.c) / x[x.length - 1]!
  const fit = fitCurve(heatingFrom(start.c), x, y, [meanSlope * 1.15, 5e-4, 2], [meanSlope, 5e-4, 5])
  return fit === null ? null : burnFit(fit, { fromS: startS, toS: s[to - 1]!, start, known: { ...known, noiseK } })
}

/** Where the burn starts from: the samples before it, else the first after it [°C]. */
function startTemperature(s: Float64Array, c: Float64Array, startS: number): { c: number; u: number } | null {
  const after = s.findIndex((time) => time >= startS)
  if (after < 0) return null
  const before = c.slice(Math.max(0, after - 3), Math.max(1, after))
  const near = after > 0 && startS - s[after - 1]! < 30 ? before : c.slice(after, after + 1)
  return { c: near.reduce((sum, value) => sum + value, 0) / near.length, u: 1 / Math.sqrt(near.length) }
}

/** The curve in initial slope s [K/s], rate k [1/s] and lag [s]. */
function heatingFrom(startC: number): Curve {
  return (time, parameters, gradient) => {
    const slope = parameters[0]!
    const k = parameters[1]!
    const tau = time - parameters[2]!
    if (tau <= 0) {
      gradient[0] = gradient[1] = gradient[2] = 0
      return startC
    }
    const x = k * tau
    const small = Math.abs(x) < 1e-4
    const decay = Math.exp(-x)
    const grown = small ? tau * (1 - x / 2 + (x * x) / 6) : -Math.expm1(-x) / k
    gradient[0] = grown
    gradient[1] = small ? -slope * tau * tau * (0.5 - x / 3) : (slope / k) * (tau * decay - grown)
    gradient[2] = -slope * decay
    return startC + slope * grown
  }
}

/** The fitted temperature at a moment [s] of the burn [°C]. */
export function fittedTemperature({ fromS, startC, slopeKPerS, ratePerS, lagS }: BurnFit, atS: number): number {
  return heatingFrom(startC)(atS - fromS, [slopeKPerS, ratePerS, lagS.value], [0, 0, 0])
}

function burnFit(
  { parameters, covariance, residuals, rms }: CurveFit,
  {
    fromS,
    toS,
    start,
    known,
  }: { fromS: number; toS: number; start: { c: number; u: number }; known: KnownForFit & { noiseK: number } },
): BurnFit {
  const { capacityJPerK: C, airC } = known
  const excess = start.c - airC
  const [slope, k, lag] = parameters as [number, number, number]
  const variance = (a: number, b: number) => covariance[a]![b]!
  const lossAndDroop = k * C
  const q0Variance = C * C * (variance(0, 0) + 2 * excess * variance(0, 1) + excess * excess * variance(1, 1))
  const quartersK = quarters(residuals)
  // What a quarter's mean may come to by the thermometer's noise alone.
  const byChance = known.noiseK / Math.sqrt(residuals.length / 4)
  return {
    fromS,
    toS,
    n: residuals.length,
    startC: start.c,
    slopeKPerS: slope,
    ratePerS: k,
    q0W: { value: C * slope + lossAndDroop * excess, u: Math.sqrt(Math.max(0, q0Variance)) },
    lossAndDroopWPerK: { value: lossAndDroop, u: C * Math.sqrt(variance(1, 1)) },
    lagS: { value: lag, u: Math.hypot(Math.sqrt(variance(2, 2)), (rms * start.u) / slope) },
    rmsK: rms,
    quartersK,
    flameChanged: Math.max(...quartersK.map(Math.abs)) > Math.max(LEAST_BEND_K, 4 * byChance),
  }
}

function quarters(residuals: Float64Array): [number, number, number, number] {
  const means = [0, 1, 2, 3].map((quarter) => {
    const part = residuals.subarray(
      Math.floor((residuals.length * quarter) / 4),
      Math.floor((residuals.length * (quarter + 1)) / 4),
    )
    return part.reduce((sum, value) => sum + value, 0) / Math.max(1, part.length)
  })
  return means as [number, number, number, number]
}
