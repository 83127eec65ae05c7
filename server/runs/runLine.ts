/** A run's row of the logbook: what it is found by, and the line that is shown. */
import { isImpossible } from '../../core/plausibility/physicalLimit'
import { formatClock, formatNumber } from '../../core/quantity/format'
import type { RunAnswer } from '../../core/formats/answer'
import type { StoredRun } from '../../core/formats/toRunDocument'
import { CORE_VERSION } from '../../core/version'
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
  const {
    id,
    setup,
    person,
    origin,
    voided,
    timeToBoilS,
    gPerL,
    normalisedGPerL,
    efficiency,
    burnRateGPerMin,
    firepowerW,
  } = line
  const [place, fuel, method] = [line.place ?? ELSEWHERE, line.fuel ?? '', line.method ?? NO_METHOD]
  return {
    runId: id,
    startedAt: new Date(line.startedAt),
    day: dayOf(line.startedAt, line.zone),
    origin,
    voided,
    setupId: record.setupId,
    setup,
    placeId: record.placeId,
    place,
    fuelId: record.fuelId,
    fuel,
    methodId: record.method?.id ?? null,
    method,
    personId: record.personId,
    person,
    remarks: remarksOf(line, ribbon.weighed),
    words: [setup, place, fuel, method, person, record.notes, ...record.parts.map((part) => part.name)]
      .join(' ')
      .toLowerCase(),
    timeToBoilS,
    gPerL,
    normalisedGPerL,
    efficiency,
    burnRateGPerMin,
    firepowerW,
    line,
    ribbon,
    coreVersion: CORE_VERSION,
  }
}

/** The day there, as 2026-05-01. */
function dayOf(at: string, zone: string): string {
  const format = days.get(zone) ?? new Intl.DateTimeFormat('en-CA', { timeZone: zone })
  days.set(zone, format)
  return format.format(new Date(at))
}
const days = new Map<string, Intl.DateTimeFormat>()

function lineOf(record: RunRecord, answer: ShownAnswer): RunSummary['line'] {
  const {
    timeToBoilS,
    gPerL,
    normalisedGPerL,
    normalisedU,
    status,
    ended,
    flags,
    efficiency,
    burnRateGPerMin,
    firepowerW,
  } = answer
  const { id, startedAt, zone, setup, place, fuel, kind, setting, breakIn, origin, person } = record
  return {
    id,
    startedAt,
    zone,
    setup,
    place,
    fuel,
    kind,
    method: record.method?.name ?? null,
    voided: record.state === 'void',
    breakIn,
    setting,
    says: saysOf(answer),
    timeToBoilS,
    gPerL,
    normalisedGPerL,
    normalisedU,
    status,
    ended,
    worstFlag: worstOf(flags),
    origin,
    person,
    efficiency,
    burnRateGPerMin,
    firepowerW,
  }
}

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
