/** The lanes as they stand, from the facts. */
import { boilingPointAt } from '../../core/air/pressureOf'
import { placePressure } from '../../core/formats/toRunDocument'
import { benchOrder } from '../../core/method/benchOrder'
import { BOIL } from '../../core/method/shippedBoil'
import { emptyBench, type BenchMark, type BenchState, type Press } from '../../core/run/benchStep'
import type { Bench, BenchPush, Lane } from '../../shared/bench'
import type { LaneName } from '../../shared/lanes'
import type { Setting } from '../../core/formats/document'
import type { TestName } from '../../core/method/method'
import { byKey } from '../database/byKey'
import type { Connection, Database } from '../database/connection'
import { currentMeasurements } from '../database/repositories/current'
import { findRuns, type FoundRun } from '../runs/repository/findRuns'
import { eventRows, type EventRow } from './repository/eventRows'
import { inOneMoment, laneRows, notesOfRuns, photoCounts, runsOnBench, statesOf, takenLanes } from './repository/lanes'
import { changesAfter, lastSeq } from './repository/outbox'

/** The rows of a run as the lane's state. A mark keeps the id of its first row, wherever it was moved since. */
export function stateOfRows(rows: readonly EventRow[], zeroMs: number, order: BenchState['order']): BenchState {
  const superseded = new Map<string, EventRow>()
  for (const row of rows) if (row.supersedesId !== null) superseded.set(row.supersedesId, row)
  const headOf = (row: EventRow): EventRow => (superseded.has(row.id) ? headOf(superseded.get(row.id)!) : row)
  const press = (row: EventRow): Press => ({
    id: row.id,
    kind: row.kind,
    atMs: zeroMs + row.atMs,
    device: row.deviceId,
  })
  const first = rows.filter((row) => row.supersedesId === null)
  const aside = first.filter((row) => row.payload.press !== undefined)
  const twins = byKey(
    aside.filter((row) => row.payload.press === 'twin'),
    (row) => row.payload.ofId!,
  )
  const marks: BenchMark[] = []
  const undone: string[] = []
  for (const row of first) {
    if (row.payload.press !== undefined) continue
    const head = headOf(row)
    if (head.voided) undone.push(row.id)
    else {
      const { press: _press, ofId: _ofId, ...payload } = head.payload
      marks.push({ ...press(row), atMs: zeroMs + head.atMs, payload, twins: (twins.get(row.id) ?? []).map(press) })
    }
  }
  return {
    ...emptyBench(order),
    marks: marks.sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1)),
    kept: aside.flatMap((row) => (row.payload.press === 'twin' ? [] : [{ ...press(row), why: row.payload.press! }])),
    undone: [...undone, ...undone.flatMap((id) => (twins.get(id) ?? []).map((row) => row.id))],
  }
}

/** The row that stands for a mark now: its own, or the last that superseded it. */
export function headOfMark(rows: readonly EventRow[], id: string): EventRow | null {
  let head = rows.find((row) => row.id === id) ?? null
  for (let next = head; next; next = rows.find((row) => row.supersedesId === next!.id) ?? null) head = next
  return head
}

export const orderOf = ({ method, stored }: FoundRun) => benchOrder(method ?? BOIL, stored.burner?.kind ?? null)

/** Those of these runs that stand on the bench. */
async function lanesOf(db: Connection, runIds: string[]): Promise<Lane[]> {
  if (runIds.length === 0) return []
  const found = await findRuns(db, runIds, { traces: false, events: false })
  const rows = new Map((await laneRows(db, runIds)).map((row) => [row.id, row]))
  const events = await eventRows(db, runIds)
  const measurements = byKey(await currentMeasurements(db, runIds), (one) => one.runId)
  const notes = byKey(await notesOfRuns(db, runIds), (one) => one.runId)
  const photos = await photoCounts(db, runIds)
  return found
    .flatMap((one): Lane[] => {
      const { id } = one.record
      const row = rows.get(id)
      if (!row?.lane || !row.bench) return []
      const { armedAtMs, rehearsal = null } = row.bench
      const order = orderOf(one)
      return [
        {
          ...laneOfRun(one),
          lane: row.lane,
          armedAtMs,
          rehearsal,
          fuelKind: row.fuelKind,
          order,
          state: stateOfRows(events.get(id) ?? [], row.startedAt.getTime(), order.marks),
          readings: (measurements.get(id) ?? []).map(readingOf),
          notes: (notes.get(id) ?? []).map(({ id: noteId, text, atMs }) => ({ id: noteId, text, atMs })),
          photos: photos.get(id) ?? 0,
        },
      ]
    })
    .sort((a, b) => (a.lane < b.lane ? -1 : 1))
}

const readingOf = ({ id, quantity, value, typed, atMs }: Lane['readings'][number]) => ({
  id,
  quantity,
  value,
  typed,
  atMs,
})

type OfRun =
  | 'runId'
  | 'test'
  | 'kind'
  | 'method'
  | 'setup'
  | 'burner'
  | 'fuel'
  | 'person'
  | 'place'
  | 'zone'
  | 'setting'
  | 'hasLid'
  | 'boilingC'
/** What a lane shows of its run, whatever was pressed. */
function laneOfRun(found: FoundRun): Pick<Lane, OfRun> {
  const { record, method, stored } = found
  return {
    runId: record.id,
    test: method?.test ?? (record.kind as TestName),
    kind: record.kind,
    method: method && record.method ? { name: record.method.name, n: record.method.n, body: method } : null,
    setup: record.setup,
    burner: stored.burner?.kind ?? null,
    fuel: record.fuel,
    person: record.person,
    place: record.place,
    zone: record.zone,
    setting: record.setting as Setting | null,
    hasLid: stored.lid,
    boilingC: boilingOf(found),
  }
}

/** As the run's own figure will have it: read there, else by the place. */
function boilingOf({ stored }: FoundRun): number | null {
  const value = (quantity: string) => stored.measured[quantity]?.value ?? null
  const read = {
    altitudeM: value('altitude'),
    stationPressurePa: value('stationPressure'),
    seaLevelPressurePa: value('seaLevelPressure'),
    airC: value('air'),
  }
  return boilingPointAt(read, placePressure(stored))
}

/** The bench whole, and the number it stands at. */
export const readBenchNow = (db: Database, serverMs: number): Promise<Bench> =>
  inOneMoment(db, async (tx) => ({
    seq: await lastSeq(tx),
    serverMs,
    lanes: await lanesOf(tx, await runsOnBench(tx)),
  }))

/** What became different after a number. */
export const readBenchSince = (db: Database, seq: number, serverMs: number): Promise<BenchPush> =>
  inOneMoment(db, async (tx) => {
    const changes = await changesAfter(tx, seq)
    const ids = [...new Set(changes.map((one) => one.subjectId))]
    const states = await statesOf(tx, ids)
    const here = states.filter((one) => one.state === 'draft' || one.state === 'live').map((one) => one.id)
    return {
      seq: changes.at(-1)?.seq ?? seq,
      serverMs,
      lanes: await lanesOf(tx, here),
      gone: ids
        .filter((id) => !here.includes(id))
        .map((runId) => ({ runId, finished: states.find((one) => one.id === runId)?.state === 'finished' })),
    }
  })

/** A lane without anything on it; null: all six are taken. */
export async function freeLane(tx: Connection, wanted: LaneName, names: readonly LaneName[]): Promise<LaneName | null> {
  const taken = await takenLanes(tx)
  return [wanted, ...names].find((name) => !taken.includes(name)) ?? null
}
