/** What single boxes cannot see: readings of a typed run that contradict each other. */
import { boilingPointFromPressure } from '../core/water/saturation'
import { STANDARD_PRESSURE } from '../core/constants/physical'
import { pressureOf, type PressureFacts } from '../core/air/pressureOf'
import { formatClock, formatNumber } from '../core/quantity/format'
import { fromSI, unitOf } from '../core/quantity/units'
import type { MeasuredQuantity } from './measuredQuantity'
import type { TestKind } from '../core/formats/document'
import { KIND_OF_TEST, type TestName } from '../core/method/method'
import type { FieldProblem } from './readProblems'
import type { TypedEventKind, TypedRun } from './typedRun'
import type { ReadRun } from './readRun'

const CLOCK_SLACK_MS = 5 * 60_000

export function crossCheck(typed: TypedRun, read: ReadRun, nowMs: number): FieldProblem[] {
  return [dateProblem(typed, nowMs), ...crossCheckReadings(read, null, typed.test)].filter(
    (problem) => problem !== null,
  )
}

/** The readings against each other. `place`: what is known of it; `test`: which marks it cannot do without. */
export const crossCheckReadings = (
  read: ReadRun,
  place: PressureFacts | null = null,
  test: TestName = 'boil',
): FieldProblem[] => [...fuelProblems(read), ...startProblems(read, place), ...timeProblems(read, test)]

const find = (read: ReadRun, quantity: MeasuredQuantity) => read.measurements.find((one) => one.quantity === quantity)

function dateProblem({ startedAt }: TypedRun, nowMs: number): FieldProblem | null {
  return Date.parse(startedAt) > nowMs + CLOCK_SLACK_MS
    ? { path: 'startedAt', text: `Date: ${startedAt} is in the future. Check the day and the year.` }
    : null
}

function fuelProblems(read: ReadRun): FieldProblem[] {
  const problem = fuelProblem(find(read, 'fuelBefore'), find(read, 'fuelAfter'), find(read, 'fuelUsed'))
  return problem === null ? [] : [problem]
}

type Reading = ReadRun['measurements'][number] | undefined
function fuelProblem(before: Reading, after: Reading, used: Reading): FieldProblem | null {
  if (before && after) return weighingProblem(before, after) ?? (used ? TWO_WAYS : null)
  if (!before && !after) return null
  if (used) return TWO_WAYS
  const missing = before ? ['fuelAfter', 'after'] : ['fuelBefore', 'before']
  return {
    path: `measured.${missing[0]}`,
    text: `Fuel ${missing[1]}: read nothing, expected the other weighing. Type it, or clear the one.`,
  }
}

const TWO_WAYS: FieldProblem = {
  path: 'measured.fuelUsed',
  text: 'Fuel used and fuel by two weighings were both typed. Clear one.',
}

function weighingProblem(before: NonNullable<Reading>, after: NonNullable<Reading>): FieldProblem | null {
  const path = 'measured.fuelAfter'
  if (after.value > before.value)
    return { path, text: `Fuel after (${after.typed}) is more than fuel before (${before.typed}). Swapped?` }
  if (after.value === before.value)
    return {
      path,
      text: `Fuel before and after are the same (${after.typed}): nothing was burned. Check both readings.`,
    }
  return null
}

function startProblems(read: ReadRun, place: PressureFacts | null): FieldProblem[] {
  const start = find(read, 'waterStart')
  const last = find(read, 'waterLast')
  const value = (quantity: MeasuredQuantity) => find(read, quantity)?.value ?? null
  const pressure = pressureOf(
    {
      stationPressurePa: value('stationPressure'),
      seaLevelPressurePa: value('seaLevelPressure'),
      altitudeM: value('altitude'),
      airC: value('air'),
    },
    place,
  )
  const boilingC = boilingPointFromPressure(pressure?.pressurePa ?? STANDARD_PRESSURE.value)
  const shown = (value: number, unitId: string) =>
    `${formatNumber(fromSI(value, unitOf(unitId)), 1)} ${unitOf(unitId).label}`
  if (start && start.value >= boilingC) {
    return [
      {
        path: 'measured.waterStart',
        text: `Start temperature (${start.typed} = ${shown(start.value, 'degC')}) is not below the boiling point (${shown(boilingC, 'degC')}). °C or °F?`,
      },
    ]
  }
  if (start && last && last.value <= start.value) {
    return [
      {
        path: 'measured.waterLast',
        text: `Last temperature (${last.typed}) is not above the start (${start.typed}). Swapped?`,
      },
    ]
  }
  return []
}

/** In the order a run has them; each is compared with those before it. */
const ORDER: [TypedEventKind, TypedEventKind, string][] = [
  ['lit', 'potOn', 'Pot on'],
  ['lit', 'bloomed', 'Full flame'],
  ['potOn', 'firstBubbles', 'First bubbles'],
  ['firstBubbles', 'rollingBoil', 'Boil'],
  ['potOn', 'rollingBoil', 'Boil'],
  ['lit', 'rollingBoil', 'Boil'],
  ['potOn', 'targetReached', 'Target reached'],
  ['lit', 'snuffed', 'Snuffed'],
  ['potOn', 'gaveUp', 'Given up'],
  ['potOn', 'stopped', 'Stopped'],
  ['lit', 'shutOff', 'Shut off'],
  ['potOn', 'shutOff', 'Shut off'],
  ['lit', 'flameOut', 'Flame out'],
]
const EARLIER_NAMES: Partial<Record<TypedEventKind, string>> = {
  lit: 'lighting',
  potOn: 'pot-on',
  firstBubbles: 'first bubbles',
}
/** A pot may go on before the burner is lit. */
const MAY_SWAP = new Set(['lit>potOn'])

function timeProblems(read: ReadRun, test: TestName): FieldProblem[] {
  const problem = orderProblem(read) ?? endProblem(read, test)
  return problem === null ? [] : [problem]
}

const eventOf = (read: ReadRun, kind: TypedEventKind) => read.events.find((one) => one.kind === kind)

function orderProblem(read: ReadRun): FieldProblem | null {
  for (const [earlier, later, name] of ORDER) {
    const a = eventOf(read, earlier)
    const b = eventOf(read, later)
    if (!a || !b || b.atMs > a.atMs || MAY_SWAP.has(`${earlier}>${later}`)) continue
    const relation = b.atMs < a.atMs ? 'before' : 'at the same moment as'
    return {
      path: `times.${later}`,
      text: `${name} (${formatClock(b.atMs / 1000)}) is ${relation} ${EARLIER_NAMES[earlier]} (${formatClock(a.atMs / 1000)}). Swapped?`,
    }
  }
  return null
}

/** Any of these says how a test ended. */
const ENDS: readonly TypedEventKind[] = [
  'rollingBoil',
  'targetReached',
  'firstBubbles',
  'snuffed',
  'gaveUp',
  'stopped',
  'flameOut',
  'shutOff',
]
/** Kinds of test that go on to a boil. */
const TO_THE_BOIL: ReadonlySet<TestKind> = new Set(['boil', 'snow', 'fed', 'wood', 'boilBurnOut'])

/** What it cannot do without: when it began, and when what it was burned for was reached. */
function endProblem(read: ReadRun, test: TestName): FieldProblem | null {
  const kind = KIND_OF_TEST[test]
  // A cool-down is its trace.
  if (kind === 'coolDown') return null
  if (!eventOf(read, 'potOn') && !eventOf(read, 'lit'))
    return {
      path: 'times.potOn',
      text: 'Pot on: read nothing, expected a time such as 0:00. Type when the pot went on.',
    }
  // A warm-up is over at full flame.
  const ends = kind === 'warmUp' ? [...ENDS, 'bloomed' as const] : ENDS
  if (ends.some((end) => eventOf(read, end))) return null
  if (TO_THE_BOIL.has(kind))
    return {
      path: 'times.rollingBoil',
      text: 'Boil: read nothing, expected a time such as 5:12. Type it, or when it was given up.',
    }
  return {
    path: 'times.flameOut',
    text: `${kind === 'warmUp' ? 'Full flame' : 'The flame’s end'}: read nothing, expected a time such as 7:20. Type when it was reached.`,
  }
}
