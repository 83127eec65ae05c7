/** The earliest a run can burn, among what is taken already. */
import { earliestStart, withinWindows, type Holds, type Span } from './freeSpans'
import { demandsOf, SECOND_MS, type Burning, type RunToSchedule, type Watched } from './runHolds'

interface DayPerson extends Span {
  id: string
  /** Flames that are watched at a time. */
  flames: number
}

export interface DayToSchedule extends Span {
  people: readonly DayPerson[]
  stationIds: readonly string[]
  /** When it may burn at all: daylight and weather. */
  windows: readonly Span[]
}

export type LeftWhy = 'noPerson' | 'noStation' | 'pastEnd' | 'noWindow'

/** @param fromMs not before */
export function burningTimes(
  run: RunToSchedule,
  fromMs: number,
  { day, holds }: { day: DayToSchedule; holds: Holds },
): Burning | LeftWhy {
  const person = day.people.find(({ id }) => id === run.personId)
  if (person === undefined) return 'noPerson'
  if (!day.stationIds.includes(run.stationId)) return 'noStation'
  const tries = watchedBy(person).map((watched) =>
    timesWith(run, watched, { day, holds, span: { fromMs: Math.max(fromMs, person.fromMs), toMs: person.toMs } }),
  )
  const fitting = tries.filter((one) => typeof one !== 'string')
  const [first] = fitting.sort((one, other) => one.lightMs - other.lightMs)
  return first ?? tries[0]!
}

const watchedBy = (person: DayPerson): Watched[] =>
  Array.from({ length: Math.max(1, person.flames) }, (_, i) => ({
    // Who watches one flame has no hands for another run while it burns.
    handsKey: person.flames > 1 ? `hands ${person.id}` : `flame ${person.id} 0`,
    flameKey: `flame ${person.id} ${i}`,
  }))

/** Windows and free spans push the start on, one after the other, until neither does. */
function timesWith(
  run: RunToSchedule,
  watched: Watched,
  { day, holds, span }: { day: DayToSchedule; holds: Holds; span: Span },
): Burning | LeftWhy {
  const [prepareMs, burnMs] = [run.prepareS * SECOND_MS, run.burnS * SECOND_MS]
  const afterwardsMs = (run.weighAfterS + run.weighS) * SECOND_MS
  const demands = demandsOf(run, watched)
  const lastMs = Math.min(day.toMs, span.toMs) - afterwardsMs - burnMs
  let startMs = Math.max(day.fromMs, span.fromMs)
  for (;;) {
    const freeMs = earliestStart(holds, demands, startMs)
    if (freeMs + prepareMs > lastMs) return 'pastEnd'
    const lightMs = burningFrom(run, day, freeMs + prepareMs)
    if (lightMs === null) return 'noWindow'
    if (lightMs > lastMs) return 'pastEnd'
    if (lightMs === freeMs + prepareMs) return { prepareMs: freeMs, lightMs, outMs: lightMs + burnMs, ...watched }
    startMs = lightMs - prepareMs
  }
}

/** The earliest lighting that the day's windows and the run's own allow. */
function burningFrom(run: RunToSchedule, day: DayToSchedule, fromMs: number): number | null {
  const forMs = run.burnS * SECOND_MS
  let lightMs: number | null = fromMs
  for (;;) {
    const ofDay: number | null = withinWindows(day.windows, lightMs, forMs)
    lightMs = ofDay === null || run.windows === null ? ofDay : withinWindows(run.windows, ofDay, forMs)
    if (lightMs === null || lightMs === ofDay) return lightMs
  }
}

/** Whose flame a run is that stands already: the first that its person has free. */
export function watchedWhileStanding(run: RunToSchedule, day: DayToSchedule, holds: Holds): Watched {
  const person = day.people.find(({ id }) => id === run.personId)
  const flames = watchedBy(person ?? { id: run.personId, flames: 1, fromMs: 0, toMs: 0 })
  const span = { fromMs: run.stands!.lightMs, toMs: run.stands!.outMs }
  return flames.find(({ flameKey }) => holds.takenUntil(flameKey, span) === null) ?? flames[0]!
}
