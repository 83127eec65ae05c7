/** Days made up by lot, and what must hold of any of them, whoever schedules it. */
import { drawOrder } from '../../core/plan/drawOrder'
import type { Span } from '../../core/plan/freeSpans'
import type { RunToSchedule, ScheduledRun } from '../../core/plan/runHolds'
import type { DayToSchedule } from '../../core/plan/burningTimes'
import type { ScheduledDay } from '../../core/plan/scheduleDay'
import { placeRuns } from '../../core/plan/placeRuns'
import type { Level } from '../../core/plan/study'
import { seededRandom } from '../../core/simulate/random'

export const DAWN_MS = Date.UTC(2026, 4, 4, 7)
export const MINUTE_MS = 60_000
const HOUR_MS = 60 * MINUTE_MS

export interface MadeDay {
  runs: RunToSchedule[]
  day: DayToSchedule
}

/** Ten to sixty runs of some burners and pots on one to four stations, by one to three people. */
export function dayByLot(seed: number, { hours = 60, rain = false } = {}): MadeDay {
  const { uniform } = seededRandom(seed)
  const upTo = (n: number) => Math.floor(uniform() * n)
  const some = (name: string, n: number) => Array.from({ length: n }, (_, i) => `${name} ${i + 1}`)
  const [stationIds, burners, pots] = [
    some('place', 1 + upTo(4)),
    some('burner', 1 + upTo(4)),
    some('pot', 1 + upTo(4)),
  ]
  const day = { fromMs: DAWN_MS, toMs: DAWN_MS + hours * HOUR_MS }
  const people = some('person', 1 + upTo(3)).map((id) => ({ id, flames: 1 + upTo(2), ...day }))
  const noonMs = DAWN_MS + 5 * HOUR_MS
  const dry = [
    { fromMs: day.fromMs, toMs: noonMs },
    { fromMs: noonMs + HOUR_MS, toMs: day.toMs },
  ]
  const coolS = [120, 600, 960][upTo(3)]!
  const runs = Array.from({ length: 10 + upTo(51) }, (_, i) => ({
    id: `run ${i + 1}`,
    block: i >> 1,
    stationId: stationIds[i % stationIds.length]!,
    personId: people[i % people.length]!.id,
    hardware: [burners[i % burners.length]!, pots[i % pots.length]!].map((id) => ({ id, coolS })),
    thermometerId: uniform() < 0.5 ? 'thermometer' : null,
    scaleId: 'scale',
    containerId: uniform() < 0.5 ? `can ${1 + (i % 2)}` : null,
    prepareS: 120 + upTo(180),
    // Predicted lengths are no whole seconds.
    burnS: 180 + uniform() * 600,
    weighAfterS: uniform() < 0.5 ? 0 : coolS,
    weighS: 60,
    windows: null,
    stands: null,
  }))
  return { runs, day: { ...day, people, stationIds, windows: rain ? dry : [day] } }
}

/** A study of two or three set-ups in blocks, drawn and placed, on one to four stations, by one to three people. */
export function studyByLot(seed: number): MadeDay {
  const { uniform } = seededRandom(1000 * seed)
  for (let i = 0; i < 32; i++) uniform()
  const upTo = (n: number) => Math.floor(uniform() * n)
  const some = (name: string, n: number) => Array.from({ length: n }, (_, i) => `${name} ${i + 1}`)
  const armIds = some('arm', 2 + upTo(2))
  const levels: Level[] = [0, 1.8, 3.6].slice(0, upTo(4)).map((windMS) => ({ id: `${windMS}`, of: 'wind', windMS }))
  const cells = armIds.length * Math.max(1, levels.length)
  const replicates = Math.max(2, Math.ceil(10 / cells)) + upTo(Math.max(1, Math.floor(60 / cells) - 5))
  const stationIds = some('station', 1 + upTo(4))
  const day = { fromMs: DAWN_MS, toMs: DAWN_MS + 60 * HOUR_MS }
  const people = some('person', 1 + upTo(3)).map((id) => ({ id, flames: 1 + upTo(2), ...day }))
  const placing = {
    stations: { ids: stationIds, by: upTo(2) === 0 ? ('block' as const) : ('turn' as const) },
    people: { ids: people.map(({ id }) => id), by: 'block' as const },
    containers: { ids: some('can', upTo(3)), by: 'block' as const },
  }
  const placed = placeRuns(drawOrder({ armIds, levels, replicates }, seed), armIds, placing)
  const [coolS, isOneBurner, isLiquid] = [[120, 600, 960][upTo(3)]!, upTo(2) === 0, upTo(2) === 0]
  const burnS = armIds.map(() => 180 + uniform() * 600)
  const runs = placed.map(({ armId, block, stationId, personId, containerId }, i) => ({
    id: `run ${i + 1}`,
    block,
    stationId: stationId!,
    personId: personId!,
    hardware: [isOneBurner ? 'burner' : `burner of ${armId}`, `pot of ${armId}`].map((id) => ({ id, coolS })),
    thermometerId: `thermometer of ${stationId}`,
    scaleId: 'scale',
    containerId,
    prepareS: 120 + upTo(180),
    burnS: burnS[armIds.indexOf(armId)]!,
    weighAfterS: isLiquid ? coolS : 0,
    weighS: 60,
    windows: null,
    stands: null,
  }))
  return { runs, day: { ...day, people, stationIds, windows: [day] } }
}

const overlaps = (spans: readonly Span[]): boolean => {
  const sorted = [...spans].sort((a, b) => a.fromMs - b.fromMs)
  return sorted.some((span, i) => i > 0 && span.fromMs < sorted[i - 1]!.toMs)
}

/** How many of the spans hold at once at the most. */
function most(spans: readonly Span[]): number {
  return Math.max(
    0,
    ...spans.map(({ fromMs }) => spans.filter((one) => one.fromMs <= fromMs && fromMs < one.toMs).length),
  )
}

/** What is wrong with a day; empty: nothing. */
export function brokenIn({ runs, day }: MadeDay, { runs: scheduled, left }: ScheduledDay): string[] {
  const of = new Map(runs.map((run) => [run.id, run]))
  const spansOf = new Map<string, Span[]>()
  const note = (key: string, fromMs: number, toMs: number) =>
    spansOf.set(key, [...(spansOf.get(key) ?? []), { fromMs, toMs }])
  const broken: string[] = []
  for (const times of scheduled) {
    const run = of.get(times.id)!
    noteRun(note, run, times)
    if (times.lightMs - times.prepareMs !== run.prepareS * 1000)
      broken.push(`${run.id}: prepared too short or too long`)
    if (times.weighMs < times.outMs + run.weighAfterS * 1000) broken.push(`${run.id}: weighed hot`)
    if (!day.windows.some(({ fromMs, toMs }) => fromMs <= times.lightMs && times.outMs <= toMs))
      broken.push(`${run.id}: burns in no window`)
  }
  for (const [key, spans] of spansOf) {
    const person = day.people.find(({ id }) => key === `flames of ${id}`)
    if (person === undefined ? overlaps(spans) : most(spans) > person.flames) broken.push(`${key}: taken twice`)
  }
  for (const [i, run] of runs.entries()) {
    const before = runs.slice(0, i).filter(({ block }) => block === run.block)
    const beginsAt = (id: string) => scheduled.find((one) => one.id === id && of.get(id)!.stands === null)?.prepareMs
    if (before.some(({ id }) => beginsAt(id)! > beginsAt(run.id)!)) broken.push(`${run.id}: begins before its turn`)
  }
  const told = new Set([...scheduled, ...left].map(({ id }) => id))
  if (told.size !== runs.length || scheduled.length + left.length !== runs.length)
    broken.push('runs are lost or doubled')
  return broken
}

function noteRun(note: (key: string, fromMs: number, toMs: number) => void, run: RunToSchedule, times: ScheduledRun) {
  const { prepareMs, lightMs, outMs, weighMs, doneMs } = times
  note(run.stationId, prepareMs, outMs)
  for (const { id, coolS } of run.hardware) note(id, prepareMs, Math.max(outMs + coolS * 1000, doneMs))
  if (run.thermometerId !== null) note(run.thermometerId, lightMs, outMs)
  if (run.containerId !== null) note(run.containerId, prepareMs, doneMs)
  note('scale', lightMs - run.weighS * 1000, lightMs)
  note('scale', weighMs, doneMs)
  note(`hands of ${run.personId}`, prepareMs, lightMs)
  note(`hands of ${run.personId}`, weighMs, doneMs)
  note(`flames of ${run.personId}`, lightMs, outMs)
}

const keptOf = (run: RunToSchedule): string[] => [
  `block ${run.block}`,
  run.stationId,
  ...run.hardware.map(({ id }) => id),
  ...(run.containerId === null ? [] : [run.containerId]),
]

/** How long a thing that keeps the order is held from a run's beginning on, at the least [s]. */
function heldS(run: RunToSchedule, id: string, flames: ReadonlyMap<string, number>): number {
  const outS = run.prepareS + run.burnS
  const doneS = outS + run.weighAfterS + run.weighS
  if (id === run.stationId) return outS
  // Its block is burned by one person, who has hands for one at a time, and eyes for so many flames.
  if (id === `block ${run.block}`) return flames.get(run.personId) === 1 ? outS : run.prepareS
  return Math.max(doneS, outS + (run.hardware.find((part) => part.id === id)?.coolS ?? 0))
}

/** The earliest each run can begin [s], each thing that keeps the order in its turn. */
function headsOf(runs: readonly RunToSchedule[], flames: ReadonlyMap<string, number>): number[] {
  const free = new Map<string, number>()
  return runs.map((run) => {
    const head = Math.max(0, ...keptOf(run).map((id) => free.get(id) ?? 0))
    for (const id of keptOf(run)) free.set(id, head + heldS(run, id, flames))
    return head
  })
}

/** How long it takes from each run's beginning until all that waits for it is done, at the least [s]. */
function tailsOf(runs: readonly RunToSchedule[], flames: ReadonlyMap<string, number>): number[] {
  const after = new Map<string, number>()
  return runs
    .toReversed()
    .map((run) => {
      const doneS = run.prepareS + run.burnS + run.weighAfterS + run.weighS
      const next = keptOf(run).flatMap((id) => (after.has(id) ? [heldS(run, id, flames) + after.get(id)!] : []))
      const tail = Math.max(doneS, ...next)
      for (const id of keptOf(run)) after.set(id, tail)
      return tail
    })
    .reverse()
}

interface Job {
  head: number
  forS: number
  /** From its beginning on. */
  tail: number
}

/** One at a time, and as if each could be broken off: Jackson's preemptive bound (Carlier 1982) [s]. */
function oneAtATime(jobs: readonly Job[]): number {
  const left = jobs.map((job) => ({ ...job, leftS: job.forS }))
  let [atS, bound] = [0, 0]
  while (left.some(({ leftS }) => leftS > 0)) {
    const open = left.filter(({ leftS, head }) => leftS > 0 && head <= atS)
    const nextS = Math.min(...left.filter(({ leftS, head }) => leftS > 0 && head > atS).map(({ head }) => head))
    if (open.length === 0) {
      atS = nextS
      continue
    }
    const urgent = open.reduce((best, one) => (one.tail - one.forS > best.tail - best.forS ? one : best))
    const forS = Math.min(urgent.leftS, nextS - atS)
    urgent.leftS -= forS
    atS += forS
    if (urgent.leftS <= 0) bound = Math.max(bound, atS + urgent.tail - urgent.forS)
  }
  return bound
}

/** No schedule of this order is over sooner [ms]: each thing in its turn, and what hands, flames and readings take. */
export function lowerBoundMs({ runs, day }: MadeDay): number {
  const watched = new Map(day.people.map(({ id, flames }) => [id, flames]))
  const [heads, tails] = [headsOf(runs, watched), tailsOf(runs, watched)]
  const jobsOf = (is: (run: RunToSchedule) => boolean, forS: (run: RunToSchedule) => number, afterS = 0) =>
    runs.flatMap((run, i) => (is(run) ? [{ head: heads[i]! + afterS, forS: forS(run), tail: tails[i]! - afterS }] : []))
  const outS = (run: RunToSchedule) => run.prepareS + run.burnS
  const handsS = (run: RunToSchedule) => run.prepareS + run.weighS
  const sum = (some: readonly RunToSchedule[], of: (run: RunToSchedule) => number) =>
    some.reduce((all, run) => all + of(run), 0)
  const ofPeople = day.people.flatMap(({ id, flames }) => {
    const own = runs.filter(({ personId }) => personId === id)
    const isOwn = (run: RunToSchedule) => run.personId === id
    return flames === 1
      ? [oneAtATime(jobsOf(isOwn, outS)), sum(own, (run) => run.burnS + handsS(run))]
      : [
          oneAtATime(jobsOf(isOwn, ({ prepareS }) => prepareS)),
          sum(own, handsS),
          sum(own, ({ burnS }) => burnS) / flames,
        ]
  })
  const ends = heads.map((head, i) => head + tails[i]!)
  return day.fromMs + Math.max(...ends, ...ofPeople) * 1000
}
