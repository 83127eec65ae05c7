/** When each run of a day is prepared, lit, out, weighed and cool: nothing and nobody is in two places at once. */
import { burningTimes, watchedWhileStanding, type DayToSchedule, type LeftWhy } from './burningTimes'
import { Holds } from './freeSpans'
import {
  blockId,
  heldIds,
  holdBurning,
  holdWeighed,
  keptIds,
  tailsOf,
  weighFrom,
  type Burning,
  type RunToSchedule,
  type ScheduledRun,
} from './runHolds'

export interface ScheduledDay {
  runs: ScheduledRun[]
  /** In no place of the day, and why. */
  left: { id: string; why: LeftWhy }[]
  /** When the last is weighed; null: nothing fits. */
  endMs: number | null
}

/**
 * Each run as early as all that it needs is free; stations, burners, pots and containers meet their runs in the order
 * given, and those of a block begin in it. Of the runs whose turn it is, and of what waits to be weighed, what can begin first goes first. What does not
 * fit is left, with all that comes after it at its station.
 */
export function scheduleDay(runs: readonly RunToSchedule[], day: DayToSchedule): ScheduledDay {
  const tailS = tailsOf(runs)
  const tries = RULES.map((rule) => scheduleBy({ rule, tailS }, runs, day))
  const later = ({ left, endMs }: ScheduledDay) => left.length * (day.toMs - day.fromMs) + (endMs ?? 0)
  return first(tries, later)!
}

function scheduleBy(by: By, runs: readonly RunToSchedule[], day: DayToSchedule): ScheduledDay {
  const late = new Set<string>()
  for (;;) {
    const tried = attempt(runs, day, by, late)
    const over = tried.runs.findLast((one) => one.doneMs > day.toMs && !isStanding(runs, one.id) && !late.has(one.id))
    if (over === undefined) return tried
    late.add(over.id)
  }
}

const isStanding = (runs: readonly RunToSchedule[], id: string): boolean =>
  runs.some((run) => run.id === id && run.stands !== null)

/** Which of several runs goes first: the one that can begin first, or of its rivals the one for which most waits. */
type Rule = 'soonest' | 'awaited'
const RULES: readonly Rule[] = ['soonest', 'awaited']
interface By {
  rule: Rule
  /** How long it takes at the least from a run's beginning until all that waits for it is done [s]. */
  tailS: ReadonlyMap<string, number>
}

interface State extends By {
  /** What was begun last, and so what comes next, is not before. */
  nowMs: number
  holds: Holds
  /** Runs that were not begun yet, in their order. */
  waiting: RunToSchedule[]
  /** Out, or burning, and not weighed yet. */
  unweighed: { run: RunToSchedule; burning: Burning }[]
  /** From when on the next run may have a thing that keeps the order. */
  freeMs: Map<string, number>
  /** Stations at which a run was left. */
  closed: Set<string>
  done: ScheduledRun[]
  left: ScheduledDay['left']
}

function attempt(runs: readonly RunToSchedule[], day: DayToSchedule, by: By, late: ReadonlySet<string>): ScheduledDay {
  const state: State = {
    ...by,
    nowMs: day.fromMs,
    holds: new Holds(),
    waiting: runs.filter(({ stands }) => stands === null),
    unweighed: [],
    freeMs: new Map(),
    closed: new Set(),
    done: [],
    left: [],
  }
  for (const run of runs) if (run.stands !== null) stand(state, run, day)
  while (state.waiting.length > 0 || state.unweighed.length > 0) goOn(state, day, late)
  const done = state.done.sort((one, other) => one.prepareMs - other.prepareMs)
  const endMs = done.length === 0 ? null : Math.max(...done.map(({ doneMs }) => doneMs))
  return { runs: done, left: state.left, endMs }
}

/** What stands comes before all that waits for the same hardware or container. */
function stand(state: State, run: RunToSchedule, day: DayToSchedule): void {
  const burning = { ...run.stands!, ...watchedWhileStanding(run, day, state.holds) }
  holdBurning(state.holds, run, burning)
  state.done.push(holdWeighed(state.holds, run, burning, burning.weighMs))
  for (const id of heldIds(run))
    state.freeMs.set(id, state.holds.takenUntil(id, { fromMs: burning.prepareMs, toMs: Infinity })!)
}

/** What can begin first is done next: a run is begun, or left; or what is cool is weighed. */
function goOn(state: State, day: DayToSchedule, late: ReadonlySet<string>): void {
  const weighed = first(
    state.unweighed.map((one) => ({ ...one, atMs: weighFrom(state.holds, one.run, one.burning) })),
    ({ atMs }) => atMs,
  )
  const turns = turnsOf(state).map((run) => ({ run, burning: timesOf(state, run, day, late) }))
  const [none] = turns.flatMap(({ run, burning }) => (typeof burning === 'string' ? [{ run, why: burning }] : []))
  if (none !== undefined) return leave(state, none.run, none.why)
  const soonest = first(turns as Turn[], ({ burning }) => burning.prepareMs)
  if (soonest === null || soonest.burning.prepareMs >= (weighed?.atMs ?? Infinity)) return weigh(state, weighed!)
  const chosen = chosenOf(state, turns as Turn[], soonest, weighed?.atMs ?? Infinity)
  begin(state, chosen.run, chosen.burning)
  state.nowMs = soonest.burning.prepareMs
}

interface Turn {
  run: RunToSchedule
  burning: Burning
}

function chosenOf({ rule, tailS }: State, turns: readonly Turn[], soonest: Turn, weighMs: number): Turn {
  if (rule === 'soonest') return soonest
  const beforeMs = Math.min(weighMs, ...turns.map(({ burning }) => burning.outMs))
  const rivals = turns.filter(({ burning }) => burning.prepareMs < beforeMs)
  return first(rivals, ({ run }) => -tailS.get(run.id)!) ?? soonest
}

function first<T>(all: readonly T[], of: (one: T) => number): T | null {
  let best: T | null = null
  for (const one of all) if (best === null || of(one) < of(best)) best = one
  return best
}

/** Those whose turn it is: no other comes before at what keeps the order, nor holds it until it is weighed. */
function turnsOf({ waiting, unweighed }: State): RunToSchedule[] {
  const taken = new Set(unweighed.flatMap(({ run }) => heldIds(run)))
  return waiting.filter((run) => {
    const ids = keptIds(run)
    const isTurn = ids.every((id) => !taken.has(id))
    for (const id of ids) taken.add(id)
    return isTurn
  })
}

function timesOf(state: State, run: RunToSchedule, day: DayToSchedule, late: ReadonlySet<string>): Burning | LeftWhy {
  if (state.closed.has(run.stationId) || late.has(run.id)) return 'pastEnd'
  const fromMs = Math.max(state.nowMs, ...keptIds(run).map((id) => state.freeMs.get(id) ?? 0))
  return burningTimes(run, fromMs, { day, holds: state.holds })
}

const without = <T>(all: readonly T[], is: (one: T) => boolean): T[] => all.filter((one) => !is(one))

function leave(state: State, run: RunToSchedule, why: LeftWhy): void {
  state.closed.add(run.stationId)
  state.left.push({ id: run.id, why })
  state.waiting = without(state.waiting, ({ id }) => id === run.id)
}

function begin(state: State, run: RunToSchedule, burning: Burning): void {
  holdBurning(state.holds, run, burning)
  state.freeMs.set(`station ${run.stationId}`, burning.outMs)
  state.freeMs.set(blockId(run), burning.prepareMs)
  state.unweighed.push({ run, burning })
  state.waiting = without(state.waiting, ({ id }) => id === run.id)
}

function weigh(state: State, { run, burning, atMs }: State['unweighed'][number] & { atMs: number }): void {
  const done = holdWeighed(state.holds, run, burning, atMs)
  for (const id of heldIds(run))
    state.freeMs.set(id, state.holds.takenUntil(id, { fromMs: burning.prepareMs, toMs: done.doneMs })!)
  state.done.push(done)
  state.unweighed = without(state.unweighed, (one) => one.run.id === run.id)
}
