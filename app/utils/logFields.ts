/** The log form by method: which boxes stand there, and which are one click away. */
import type { MethodBody } from '#core/method/method'
import { BOIL } from '#core/method/shippedBoil'
import type { EventKind } from '#core/run/events'
import { TYPED_EVENTS, TYPED_LINES, type TypedEventKind, type TypedLine, type TypedRun } from '#shared/typedRun'
import type { MeasuredQuantity } from '#shared/measuredQuantity'

const READING_GROUPS = {
  where: ['altitude', 'stationPressure', 'seaLevelPressure', 'air', 'humidity', 'wind', 'windHeight'],
  water: ['water', 'snow', 'waterStart', 'hardware'],
  fuel: [
    'fuelBefore',
    'fuelAfter',
    'fuelUsed',
    'fuelLoad',
    'fuelLeftover',
    'fuelTemp',
    'moisture',
    'char',
    'scaleResolution',
  ],
  after: ['waterLast', 'waterEndMass'],
  claim: ['claimFuel', 'claimWater', 'claimStart', 'claimTime'],
} as const satisfies Record<string, readonly MeasuredQuantity[]>
export type ReadingGroup = keyof typeof READING_GROUPS
const OTHERWISE: TypedEventKind[] = ['gaveUp', 'stopped']
/** In the order a run has them. */
const FLOW: EventKind[] = [
  'lit',
  'bloomed',
  'potOn',
  'rollingBoil',
  'targetReached',
  'flameLeftPot',
  'shutOff',
  'flameOut',
]

export interface LogFields {
  readings: Record<ReadingGroup, MeasuredQuantity[]>
  /** Times that the method asks for or takes; ends that went otherwise; and everything else. */
  times: TypedEventKind[]
  otherwise: TypedEventKind[]
  restReadings: MeasuredQuantity[]
  restTimes: TypedEventKind[]
  lines: TypedLine['kind'][]
  /** The stop-watch's Next walks these. */
  order: EventKind[]
  wants: Set<string>
}

/** By no method: as for a boil. What was typed already never goes out of sight. */
export function logFields(
  method: MethodBody | null,
  typed: { measured: Record<string, string>; times: Record<string, string> },
): LogFields {
  const { must, may, mustMark, mayMark } = method ?? BOIL
  const reads = new Set<string>([...must, ...may])
  const marks = new Set<string>([...mustMark, ...mayMark])
  const shownReading = (name: string) => reads.has(name) || Boolean(typed.measured[name]?.trim())
  const shownTime = (kind: string) =>
    marks.has(kind) || Boolean(typed.times[kind]?.trim() && typed.times[kind] !== '0:00')
  const all = Object.values(READING_GROUPS).flat() as MeasuredQuantity[]
  const flow = FLOW.filter((kind) => marks.has(kind))
  // Where a test has both, the flame's own end is what is waited for.
  const order = mustMark.includes('flameOut')
    ? flow.filter((kind) => kind !== 'shutOff')
    : flow.filter((kind) => kind !== 'flameOut' && kind !== 'flameLeftPot')
  return {
    readings: Object.fromEntries(
      Object.entries(READING_GROUPS).map(([group, names]) => [group, names.filter(shownReading)]),
    ) as LogFields['readings'],
    times: TYPED_EVENTS.filter((kind) => !OTHERWISE.includes(kind) && shownTime(kind)),
    otherwise: OTHERWISE.filter(shownTime),
    restReadings: all.filter((name) => !shownReading(name)),
    restTimes: TYPED_EVENTS.filter((kind) => !shownTime(kind)),
    lines: TYPED_LINES.filter((kind) => marks.has(kind)),
    order,
    wants: new Set<string>([...must, ...mustMark]),
  }
}

/** What the method cannot do without, by where it stands; of nowhere in the list, the altitude too. */
export function neededOf({ readings, times, wants }: LogFields, isNowhere: boolean) {
  const needed = (group: ReadingGroup) =>
    readings[group].filter((name) => wants.has(name) || (isNowhere && name === 'altitude'))
  return {
    where: needed('where'),
    water: needed('water'),
    fuel: [...needed('fuel'), ...needed('claim'), ...needed('after')],
    times: times.filter((kind) => wants.has(kind)),
  }
}
/** The rest of what it takes. */
export function furtherOf(fields: LogFields, isNowhere: boolean) {
  const { where, water, fuel, times } = neededOf(fields, isNowhere)
  const needed = new Set<string>([...where, ...water, ...fuel, ...times])
  return {
    readings: (Object.values(fields.readings).flat() as MeasuredQuantity[]).filter((name) => !needed.has(name)),
    times: [...fields.times, ...fields.otherwise].filter((kind) => !needed.has(kind)),
  }
}

const UNTOUCHED = ['', '0:00']

/** Chooses a method for a draft. The clock's zero goes to its first mark, where no time was typed yet. */
export function applyMethod(typed: TypedRun, method: { id: string; body: MethodBody } | null): void {
  const { test, mustMark } = method?.body ?? BOIL
  typed.methodId = method?.id ?? null
  typed.test = test
  if (ZEROS.some((kind) => !UNTOUCHED.includes(typed.times[kind]))) return
  const first = ZEROS.find((kind) => mustMark.includes(kind))
  typed.times = { ...typed.times, lit: '', potOn: '', ...(first && { [first]: '0:00' }) }
}
/** Where a run's clock may begin, the earlier first. */
const ZEROS = ['lit', 'potOn'] as const
