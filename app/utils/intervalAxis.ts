/** An axis for estimates: round ticks that hold all of them. */
export interface IntervalAxis {
  from: number
  to: number
  ticks: number[]
  decimals: number
}

const STEPS = [1, 2, 5, 10]
/** The round step, 1, 2 or 5 times a power of ten, that divides a span into about so many parts. */
function roundStep(span: number, parts: number): number {
  const rough = span / parts
  const power = 10 ** Math.floor(Math.log10(rough))
  return STEPS.find((step) => step * power >= rough * 0.999)! * power
}

const CLOCK_STEPS_S = [10, 15, 30, 60, 120, 300, 600, 1200, 1800, 3600, 7200]
/** The step, as clocks have them [s], that divides a span [s] into about so many parts. */
export const clockStep = (spanS: number, parts = 8): number =>
  CLOCK_STEPS_S.find((step) => step * parts >= spanS) ?? CLOCK_STEPS_S.at(-1)!

/** @param values whatever is to be drawn, in one unit; at least one @param given the step, where it is not to be found */
export function intervalAxis(values: readonly number[], parts = 5, given?: number): IntervalAxis {
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const span = high - low || Math.max(Math.abs(high) * 0.1, 1e-6)
  const step = given ?? roundStep(span, parts)
  const first = Math.floor((low - span * 0.02) / step)
  const last = Math.ceil((high + span * 0.02) / step)
  const decimals = Math.max(0, -Math.floor(Math.log10(step) + 1e-9))
  const ticks = Array.from({ length: last - first + 1 }, (_, i) => Number(((first + i) * step).toFixed(decimals)))
  return { from: ticks[0]!, to: ticks.at(-1)!, ticks, decimals }
}

/** Where a value stands on an axis, 0 to 100; what is beyond it stands at its end. */
export const placeOn = ({ from, to }: IntervalAxis, value: number): number =>
  Math.min(100, Math.max(0, ((value - from) / (to - from)) * 100))
