/** The boil that the trace shows, held against the one that was called. */
import type { Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import type { RunInput } from '../run/runInput'
import type { DerivedTimes } from '../run/deriveTimes'
import type { CleanTrace } from '../trace/cleanTrace'
import { findBoilInClean, type BoilEstimate } from '../trace/findBoil'
import { formatClock } from '../quantity/format'

/** Fewer samples are readings, not a trace. */
export const FEWEST_SAMPLES = 12

export function boilIn(clean: CleanTrace, boilingC: number): BoilEstimate | null {
  const result = findBoilInClean(clean, { boilingC })
  return result.ok ? result.value : null
}

/** A call and a trace further apart are shown both, and asked about [s]. */
const DISAGREE_S = 10

export function boilFlags({ events, kind, boilBy }: RunInput, found: BoilEstimate | null): Flag[] {
  if (found === null || kind === 'coolDown') return []
  const call = events.find((event) => event.kind === 'rollingBoil')?.s ?? null
  if (found.atS !== null && call !== null && Math.abs(call - found.atS) > DISAGREE_S) {
    const both = `You called ${formatClock(call)}; the trace says ${formatClock(found.atS)}.`
    return [
      boilBy === null
        ? { code: 'boil-calls-disagree', severity: 'warning', text: `${both} Which?` }
        : { code: 'boil-decided', severity: 'note', text: `${both} Decided: the ${boilBy}.` },
    ]
  }
  if (found.status === 'near' && call === null)
    return [
      {
        code: 'boil-near',
        severity: 'note',
        text: `The trace comes within 4 K of the boiling point (${found.levelC.toFixed(1)} °C) and shows no plateau. Did it boil?`,
      },
    ]
  if (found.atS !== null && Math.abs(found.offsetK) > 2 * Math.max(found.offsetU, 0.3)) {
    return [
      {
        code: 'probe-offset',
        severity: 'note',
        text: `The probe reads ${Math.abs(found.offsetK).toFixed(1)} K ${found.offsetK < 0 ? 'low' : 'high'} at the boil.`,
      },
    ]
  }
  return []
}

/** By the finder for a plateau; for a crossing, the thermometer's uncertainty over the slope there [s]. */
export function traceBoilU(
  { trace, uncertainty }: RunInput,
  { boilS, boilFrom }: DerivedTimes,
  found: BoilEstimate | null,
  { boil }: ReduceOptions,
): number | null {
  if (boilS === null || boilFrom !== 'trace') return null
  if (boil === 'plateau' || boil === 'rollingBoil') return found?.u ?? null
  const before = trace.filter(([s]) => s >= boilS - CROSSING_S && s <= boilS)
  const slope = before.length < 2 ? 0 : (before.at(-1)![1] - before[0]![1]) / (before.at(-1)![0] - before[0]![0])
  return slope > 0 ? uncertainty.startC / slope : null
}

const CROSSING_S = 30
