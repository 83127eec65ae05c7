/** A run's row of the logbook: what it is found by, and the line that is shown. */
import { isImpossible } from '../../core/plausibility/physicalLimit'
import { formatClock, formatNumber } from '../../core/quantity/format'
import type { RunAnswer } from '../../core/formats/answer'
import type { StoredRun } from '../../core/formats/toRunDocument'
import { CORE_VERSION } from '../../core/version'
import { dayOf } from './dayOf'
import type { RunRemark } from '../../shared/runList'
import type { Ribbon, RunLine, RunRecord } from '../../shared/runRecord'
import type { runSummary } from '../database/schema'
import { ribbonOf } from './ribbonOf'

/** Without a ribbon: that which it has still stands. */
export type RunSummary = Omit<typeof runSummary.$inferInsert, 'meanKey' | 'tags' | 'ribbon'> & {
  ribbon?: Ribbon
}

type Shown =
  | 'kind'
  | 'boilingPointC'
  | 'missing'
  | 'timeToBoilS'
  | 'gPerL'
  | 'normalisedGPerL'
  | 'normalisedU'
  | 'status'
  | 'ended'
  | 'flags'
  | 'efficiency'
  | 'burnRateGPerMin'
  | 'firepowerW'
/** What of an answer a row shows. */
export type ShownAnswer = Pick<RunAnswer, Shown> & { test: RunAnswer['test'] | null }

/** Of a run that was not reduced yet. */
export const unanswered = (kind: RunAnswer['kind']): ShownAnswer => ({
  kind,
  boilingPointC: null,
  missing: [],
  timeToBoilS: null,
  gPerL: null,
  normalisedGPerL: null,
  normalisedU: null,
  status: 'not',
  ended: null,
  flags: [],
  efficiency: null,
  burnRateGPerMin: null,
  firepowerW: null,
  test: null,
})

const ELSEWHERE = 'elsewhere'
const NO_METHOD = 'by no method'

export function summaryOf(record: RunRecord, stored: StoredRun, answer: ShownAnswer): RunSummary & { ribbon: Ribbon } {
  const line = lineOf(record, answer)
  const ribbon = ribbonOf(stored, answer)
  const names = { place: line.place ?? ELSEWHERE, fuel: line.fuel ?? '', method: line.method ?? NO_METHOD }
  return {
    runId: line.id,
    startedAt: new Date(line.startedAt),
    day: dayOf(line.startedAt, line.zone),
    origin: line.origin,
    voided: line.voided,
    setupId: record.setupId,
    setup: line.setup,
    placeId: record.placeId,
    place: names.place,
    fuelId: record.fuelId,
    fuel: names.fuel,
    methodId: record.method?.id ?? null,
    method: names.method,
    personId: record.personId,
    person: line.person,
    remarks: remarksOf(line, ribbon.weighed),
    words: wordsOf(record, names),
    timeToBoilS: line.timeToBoilS,
    gPerL: line.gPerL,
    normalisedGPerL: line.normalisedGPerL,
    efficiency: line.efficiency,
    burnRateGPerMin: line.burnRateGPerMin,
    firepowerW: line.firepowerW,
    line,
    ribbon,
    coreVersion: CORE_VERSION,
  }
}

/** What it is found by. */
const wordsOf = (
  { setup, person, notes, parts }: RunRecord,
  { place, fuel, method }: { place: string; fuel: string; method: string },
): string => [setup, place, fuel, method, person, notes, ...parts.map((part) => part.name)].join(' ').toLowerCase()

const lineOf = (record: RunRecord, answer: ShownAnswer): RunSummary['line'] => ({
  id: record.id,
  startedAt: record.startedAt,
  zone: record.zone,
  setup: record.setup,
  place: record.place,
  fuel: record.fuel,
  kind: record.kind,
  method: record.method?.name ?? null,
  voided: record.state === 'void',
  breakIn: record.breakIn,
  setting: record.setting,
  says: saysOf(answer),
  timeToBoilS: answer.timeToBoilS,
  gPerL: answer.gPerL,
  normalisedGPerL: answer.normalisedGPerL,
  normalisedU: answer.normalisedU,
  status: answer.status,
  ended: answer.ended,
  worstFlag: worstOf(answer.flags),
  origin: record.origin,
  person: record.person,
  efficiency: answer.efficiency,
  burnRateGPerMin: answer.burnRateGPerMin,
  firepowerW: answer.firepowerW,
})

function remarksOf({ worstFlag, ended, status, breakIn }: RunSummary['line'], weighed: boolean): RunRemark[] {
  return [
    ...(worstFlag?.severity === 'error'
      ? [worstFlag.text as 'impossible' | 'contradictory']
      : worstFlag
        ? ['doubtful' as const]
        : []),
    ...(ended === 'gaveUp' || ended === 'outOfFuel'
      ? ['notBoiled' as const]
      : ended === 'stopped'
        ? ['stopped' as const]
        : []),
    ...(status === 'partly' ? ['partly' as const] : []),
    ...(weighed ? [] : ['unweighed' as const]),
    ...(breakIn ? ['breakIn' as const] : []),
  ]
}

/** The figure a test of this kind is burned for, where that is not fuel per litre. */
function saysOf({ kind, test }: ShownAnswer): string | null {
  if (test === null) return null
  const clock = (s: number | null, words: string) => (s === null ? null : `${words} ${formatClock(s)}`)
  switch (kind) {
    case 'burnOff':
      return clock(test.burnTimeS, 'burns')
    case 'simmer':
      return clock(test.burnTimeS, 'simmers')
    case 'warmUp':
      return clock(test.warmUpS, 'warm in')
    case 'fixedTime':
      return test.riseK === null ? null : `rises ${formatNumber(test.riseK, 1)}\u202fK`
    case 'coolDown':
      return test.lossWPerK === null ? null : `loses ${formatNumber(test.lossWPerK, 2)}\u202fW/K`
    default:
      return null
  }
}

function worstOf(flags: RunAnswer['flags']): RunLine['worstFlag'] {
  const worst = flags.find((flag) => flag.severity === 'error') ?? flags.find((flag) => flag.severity === 'warning')
  if (!worst || worst.severity === 'note') return null
  if (worst.severity === 'warning') return { severity: 'warning', text: worst.text }
  return { severity: 'error', text: isImpossible([worst]) ? 'impossible' : 'contradictory' }
}
