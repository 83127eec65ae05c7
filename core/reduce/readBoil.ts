/** The boil that the trace shows, held against the one that was called. */
import type { Flag } from '../formats/answer'
import type { ReduceOptions, Setting } from '../formats/document'
import { ENDS } from '../run/burns'
import type { EventKind } from '../run/events'
import type { RunInput } from '../run/runInput'
import type { DerivedTimes } from '../run/deriveTimes'
import type { CleanTrace } from '../trace/cleanTrace'
import { findBoilInClean, isUnexplained, type BoilEstimate } from '../trace/findBoil'
import { formatClock } from '../quantity/format'

/** Fewer samples are readings, not a trace. */
export const FEWEST_SAMPLES = 12

export function boilIn(clean: CleanTrace, boilingC: number, input: RunInput): BoilEstimate | null {
  const offset = offsetOf(input)
  const result = findBoilInClean(clean, { boilingC, offset, lagS: input.thermometer?.lagS, cutS: cutOf(input) })
  return result.ok ? result.value : null
}

const offsetOf = ({ thermometer }: RunInput) =>
  thermometer === null ? null : { k: thermometer.offsetK, u: thermometer.offsetU }

const CALLS: readonly EventKind[] = ['rollingBoil', 'firstBubbles', 'targetReached']
const STRENGTH: Record<Setting, number> = { low: 1, medium: 2, full: 3 }

/**
 * When the flame was put out or turned down and stayed so, with no boil called [s]; null: it was not. What was
 * turned down to an unknown setting may have been turned up.
 */
function cutOf({ events, setting: first }: RunInput): number | null {
  let cutS: number | null = null
  let setting = first
  for (const event of [...events].sort((a, b) => a.s - b.s)) {
    if (CALLS.includes(event.kind)) return null
    if (ENDS.includes(event.kind)) cutS ??= event.s
    if (event.kind === 'relit') cutS = null
    if (event.kind !== 'settingChanged') continue
    const now = event.setting ?? null
    cutS = now !== null && STRENGTH[now] < STRENGTH[setting ?? 'full'] ? (cutS ?? event.s) : null
    setting = now
  }
  return cutS
}

/** A call and a trace further apart are shown both, and asked about [s]. */
const DISAGREE_S = 10

export function boilFlags(input: RunInput, found: BoilEstimate | null): Flag[] {
  if (found === null || input.kind === 'coolDown') return []
  const call = input.events.find((event) => event.kind === 'rollingBoil')?.s ?? null
  const flag =
    disagreement(input, found, call) ?? nearFlag(found, call) ?? onBaseFlag(input, found) ?? offsetFlag(found)
  return flag === null ? [] : [flag]
}

function disagreement({ boilBy }: RunInput, { atS }: BoilEstimate, call: number | null): Flag | null {
  if (atS === null || call === null || Math.abs(call - atS) <= DISAGREE_S) return null
  const both = `You called ${formatClock(call)}; the trace says ${formatClock(atS)}.`
  return boilBy === null
    ? { code: 'boil-calls-disagree', severity: 'warning', text: `${both} Which?` }
    : { code: 'boil-decided', severity: 'note', text: `${both} Decided: the ${boilBy}.` }
}

const nearFlag = ({ status, levelC }: BoilEstimate, call: number | null): Flag | null =>
  status === 'near' && call === null
    ? {
        code: 'boil-near',
        severity: 'note',
        text: `The trace comes within 4 K of the boiling point (${levelC.toFixed(1)} °C) and shows no plateau. Did it boil?`,
      }
    : null

const onBaseFlag = (input: RunInput, { atS, offsetK }: BoilEstimate): Flag | null => {
  const offset = offsetOf(input)
  if (atS === null || offset === null || !isUnexplained(offsetK, offset)) return null
  const off = offsetK - offset.k
  return {
    code: 'probe-offset-unexplained',
    severity: 'warning',
    text: `The probe reads ${Math.abs(off).toFixed(1)} K ${off < 0 ? 'low' : 'high'} against its checks while the water boils. Is it on the base, or not in the water?`,
  }
}

/** Below it no offset is sure [K]. */
const LEAST_OFFSET_U_K = 0.3
const offsetFlag = ({ atS, offsetK, offsetU }: BoilEstimate): Flag | null =>
  atS !== null && Math.abs(offsetK) > 2 * Math.max(offsetU, LEAST_OFFSET_U_K)
    ? {
        code: 'probe-offset',
        severity: 'note',
        text: `The probe reads ${Math.abs(offsetK).toFixed(1)} K ${offsetK < 0 ? 'low' : 'high'} at the boil.`,
      }
    : null

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
