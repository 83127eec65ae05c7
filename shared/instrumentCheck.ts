/** A check of an instrument, as it is typed. */
import type { QuantityKindName } from '../core/quantity/kinds'
import type { CheckKind } from '../core/kit/instrumentCorrection'
import type { Choice, FieldSpec } from './fields'
import { isMoment } from './moments'
import { MAX_TEXT } from './limits'
import type { Measures } from './thing'

const READING_KINDS: Record<Measures, QuantityKindName> = {
  temperature: 'waterTemp',
  mass: 'weighing',
  wind: 'windSpeed',
  pressure: 'pressure',
  humidity: 'humidity',
}
export const CHECK_WORDS: Record<CheckKind, string> = {
  icePoint: 'ice point: crushed ice, stirred',
  boilingPoint: 'boiling point here',
  checkWeight: 'check weight',
  beside: 'beside a better one',
}
const CHECKS: Record<Measures, CheckKind[]> = {
  temperature: ['icePoint', 'boilingPoint', 'beside'],
  mass: ['checkWeight'],
  wind: ['beside'],
  pressure: ['beside'],
  humidity: ['beside'],
}

const checkChoices = (measures: Measures): Choice[] =>
  CHECKS[measures].map((value) => ({ value, label: CHECK_WORDS[value] }))

export const checkFields = (measures: Measures): FieldSpec[] => [
  { key: 'kind', label: 'Check', type: 'choice', choices: checkChoices(measures), required: true },
  { key: 'reading', label: 'It showed', type: 'quantity', kind: READING_KINDS[measures], required: true },
  {
    key: 'truth',
    label: 'What was so',
    type: 'quantity',
    kind: READING_KINDS[measures],
    hint: 'Of a check weight or a better instrument.',
  },
  {
    key: 'pressure',
    label: 'Station pressure',
    type: 'quantity',
    kind: 'pressure',
    hint: 'For the boiling point here.',
  },
  { key: 'at', label: 'When', type: 'text', max: 40, required: true },
  { key: 'note', label: 'Note', type: 'text', max: MAX_TEXT.reason },
]

/** The moment of a check; null where it is none, or is yet to come. */
export function readCheckTime(text: string, nowMs: number): Date | null {
  const at = new Date(text)
  return isMoment(at.getTime()) && at.getTime() <= nowMs + 300_000 ? at : null
}
