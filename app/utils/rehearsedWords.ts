/** What a rehearsal's end says, in words. */
import { formatNumber, signed } from '#core/quantity/format'
import type { CallBias, CalledKind, JudgedCall, JudgedReading, JudgedStep, Judgement } from '#core/rehearse/judge'

export const CALL_WORDS: Record<CalledKind, string> = {
  bloomed: 'Full flame',
  rollingBoil: 'Boil',
  targetReached: 'Target reached',
  flameOut: 'Flame out',
}
/** Nearer than a hand is quick. Source: estimate. */
const IN_TIME_S = 0.5

export function lateWords({ calledS, trueS, lateS }: JudgedCall): string {
  if (lateS !== null) return offWords(lateS)
  return calledS === null ? 'not called' : trueS === null ? 'did not happen' : ''
}
const offWords = (lateS: number) =>
  Math.abs(lateS) < IN_TIME_S ? 'on time' : `${formatNumber(Math.abs(lateS), 1)} s ${lateS > 0 ? 'late' : 'early'}`

const STEP_WORDS: Record<JudgedStep['step'], string> = {
  asMarked: 'As you marked it',
  weighings: 'With the fuel that was burned',
  calls: 'With the calls on time',
  conditions: 'With the conditions as they were',
}
/** Each with what it changes; none where a step has no figure. */
export function judgedSteps({ steps }: Judgement): { step: string; words: string; gPerL: number; factor: string }[] {
  if (steps.some((one) => one.gPerL === null)) return []
  return steps.map(({ step, gPerL }, i) => ({
    step,
    words: STEP_WORDS[step],
    gPerL: gPerL!,
    factor: i === 0 ? '' : factorText(gPerL! / steps[i - 1]!.gPerL!),
  }))
}

/** "4 readings, on average 0.3 K too high, 0.8 K at most." */
export function readingsWords(readings: readonly JudgedReading[]): string {
  if (readings.length === 0) return ''
  const off = readings.map(({ readC, trueC }) => readC - trueC)
  const worst = off.reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most), 0)
  const mean = off.reduce((sum, one) => sum + one, 0) / off.length
  return readings.length === 1
    ? `One reading, ${signed(mean, 1)} K from the water.`
    : `${readings.length} readings, on average ${signed(mean, 1)} K from the water, ${signed(worst, 1)} K at most.`
}

/** "Calls the boil 4.2 s late on average (±2.1 s, 5 rehearsals)." */
export function biasWords({ kind, n, meanS, uS }: CallBias & { kind: CalledKind }): string {
  const name = CALL_WORDS[kind].toLowerCase()
  if (n === 1) return `${CALL_WORDS[kind]}: ${offWords(meanS)}, once. More rehearsals say whether that is a habit.`
  if (uS !== null && uS >= Math.abs(meanS))
    return `Calls of ${name}: ${offWords(meanS)} on average (± ${formatNumber(uS, 1)} s, ${n} rehearsals). No habit shown.`
  return `Calls of ${name}: ${offWords(meanS)} on average (± ${formatNumber(uS!, 1)} s, ${n} rehearsals).`
}
