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
  return [...conditionSentences(body, units), ...courseSentences(body), ...readingSentences(body)].filter(
    (sentence) => sentence !== null,
  )
}

type Sentences = (string | null)[]
const sentence = <T>(value: T | null, words: (value: T) => string): string | null =>
  value === null ? null : words(value)

function conditionSentences({ waterKg, startC, windMS, hardwareAboveAirK }: MethodBody, units: UnitSystem): Sentences {
  const start = windowWords(startC, (value) => shown(value, 'temperature', units))
  const wind = windWords(windMS, (value) => shown(value, 'wind', units))
  return [
    sentence(waterKg, (value) => `Water: ${shown(value, 'mass', units)}, weighed.`),
    sentence(start, (words) => `Start: ${words}.`),
    sentence(wind, (words) => `Wind: ${words}.`),
    sentence(
      hardwareAboveAirK,
      (value) => `Hardware when lit: at most ${formatNumber(value, 0)} K warmer than the air.`,
    ),
  ]
}

const courseSentences = ({ durationS, giveUpS, readEveryS, replicates }: MethodBody): Sentences => [
  sentence(durationS, (value) => `Heats for ${formatClock(value)}.`),
  sentence(giveUpS, (value) => `Given up at ${formatClock(value)}.`),
  sentence(readEveryS, (value) => `Water is read every ${formatClock(value)}, or logged.`),
  `${replicates === 1 ? 'One run' : `${replicates} runs`} of each.`,
]

const readingSentences = ({ must, may, mustMark, mayMark }: MethodBody): Sentences => [
  `Read: ${listWords(must.map(readingName))}.`,
  may.length === 0 ? null : `May be read: ${listWords(may.map(readingName))}.`,
  `Marked: ${listWords(mustMark.map((kind) => EVENT_NAMES[kind]))}.`,
  mayMark.length === 0 ? null : `May be marked: ${listWords(mayMark.map((kind) => EVENT_NAMES[kind]))}.`,
]

type Show = (value: number) => string
/** Null: it is open at both ends. */
function windowWords({ low, high }: MethodBody['startC'], show: Show): string | null {
  if (low !== null && high !== null) return `${show(low)} to ${show(high)}`
  if (low !== null) return `at least ${show(low)}`
  return high === null ? null : `at most ${show(high)}`
}

const CALM_MS = 0.5
function windWords(wind: MethodBody['windMS'], show: Show): string | null {
  const { low, high } = wind
  if (low !== 0 || high === null) return windowWords(wind, show)
  return high <= CALM_MS ? `calm: at most ${show(high)} at the pot` : `up to ${show(high)} at the pot`
}
