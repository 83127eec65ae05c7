/** Traces are checked by a plain loop: Yup takes milliseconds over a long list of numbers. */
import { LONGEST_TRACE_S } from '../core/formats/parseChannels'
import { MAX_TRACE_SAMPLES } from './limits'
import { shown, type FieldProblem } from './readProblems'

/**
 * What is wrong with a list of [seconds, °C] or [seconds, g], naming the first bad sample; nothing where there is no
 * trace.
 */
export function traceProblems(trace: unknown, name = 'trace', unit = '°C'): FieldProblem[] {
  if (trace === undefined || trace === null) return []
  if (!Array.isArray(trace))
    return [{ path: name, text: `read ${shown(trace)}, expected a list of [seconds, ${unit}]` }]
  if (trace.length > MAX_TRACE_SAMPLES)
    return [{ path: name, text: `read ${trace.length} samples, expected at most ${MAX_TRACE_SAMPLES}` }]
  for (let i = 0; i < trace.length; i++) {
    const expected = wrongOf(trace[i], unit)
    if (expected !== null) return [{ path: `${name}[${i}]`, text: `read ${shown(trace[i])}, expected ${expected}` }]
  }
  return []
}

/** What a sample should have been; null: it is one. */
function wrongOf(pair: unknown, unit: string): string | null {
  if (!Array.isArray(pair) || pair.length !== 2 || !Number.isFinite(pair[0]) || !Number.isFinite(pair[1]))
    return `[seconds, ${unit}]`
  return Math.abs(pair[0] as number) > LONGEST_TRACE_S
    ? 'seconds on the run’s clock, within a week of its zero. Are they milliseconds, or seconds since 1970?'
    : null
}
