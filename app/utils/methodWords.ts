/** A method in plain words. */
import type { MethodBody } from '#core/method/method'
import { formatClock, formatNumber } from '#core/quantity/format'
import { EVENT_NAMES } from '#core/run/events'
import type { UnitSystem } from '#core/quantity/kinds'
import { MEASURED_NAMES, type MeasuredQuantity } from '#shared/measuredQuantity'
import { shown } from './shownQuantity'

export const readingName = (name: string): string => MEASURED_NAMES[name as MeasuredQuantity] ?? name
const listWords = (names: readonly string[]) => names.map((name) => name.toLowerCase()).join(', ')

/** What it holds, a sentence each. */
export function methodSentences(body: MethodBody, units: UnitSystem): string[] {
  const {
    startC,
    windMS,
    waterKg,
    hardwareAboveAirK,
    giveUpS,
    durationS,
    replicates,
    readEveryS,
    must,
    may,
    mustMark,
    mayMark,
  } = body
  const temp = (value: number) => shown(value, 'temperature', units)
  const speed = (value: number) => shown(value, 'wind', units)
  const window = (low: number | null, high: number | null, show: (value: number) => string) =>
    low !== null && high !== null
      ? `${show(low)} to ${show(high)}`
      : low !== null
        ? `at least ${show(low)}`
        : high !== null
          ? `at most ${show(high)}`
          : null
  const start = window(startC.low, startC.high, temp)
  const wind =
    windMS.low === 0 && windMS.high !== null
      ? windMS.high <= 0.5
        ? `calm: at most ${speed(windMS.high)} at the pot`
        : `up to ${speed(windMS.high)} at the pot`
      : window(windMS.low, windMS.high, speed)
  return [
    waterKg === null ? null : `Water: ${shown(waterKg, 'mass', units)}, weighed.`,
    start === null ? null : `Start: ${start}.`,
    wind === null ? null : `Wind: ${wind}.`,
    hardwareAboveAirK === null
      ? null
      : `Hardware when lit: at most ${formatNumber(hardwareAboveAirK, 0)} K warmer than the air.`,
    durationS === null ? null : `Heats for ${formatClock(durationS)}.`,
    giveUpS === null ? null : `Given up at ${formatClock(giveUpS)}.`,
    readEveryS === null ? null : `Water is read every ${formatClock(readEveryS)}, or logged.`,
    `${replicates === 1 ? 'One run' : `${replicates} runs`} of each.`,
    `Read: ${listWords(must.map(readingName))}.`,
    may.length === 0 ? null : `May be read: ${listWords(may.map(readingName))}.`,
    `Marked: ${listWords(mustMark.map((kind) => EVENT_NAMES[kind]))}.`,
    mayMark.length === 0 ? null : `May be marked: ${listWords(mayMark.map((kind) => EVENT_NAMES[kind]))}.`,
  ].filter((sentence) => sentence !== null)
}
