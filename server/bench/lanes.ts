/** The lanes as they stand, from the facts. */
import { and, asc, eq, inArray, isNull, count } from 'drizzle-orm'
import { boilingPointAt } from '../../core/air/pressureOf'
import { placePressure } from '../../core/formats/toRunDocument'
import { benchOrder } from '../../core/method/benchOrder'
import { BOIL } from '../../core/method/shipped'
import { emptyBench, type BenchMark, type BenchState, type Press } from '../../core/run/benchStep'
import type { Bench, BenchPush, Lane } from '../../shared/bench'
import type { LaneName } from '../../shared/benchAct'
import type { Setting } from '../../core/formats/document'
import type { TestName } from '../../core/method/method'
import { byKey } from '../database/byKey'
import type { Connection, Database } from '../database/connection'
import { currentMeasurements } from '../database/repositories/current'
import { findRuns, type FoundRun } from '../runs/repository/findRuns'
import { fuel, fuelBatch, photo, run, runNote } from '../database/schema'
import { eventRows, type EventRow } from './eventRows'
import { changesAfter, lastSeq } from './outbox'

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
  const rows = await db
    .select({ id: run.id, lane: run.lane, bench: run.bench, startedAt: run.startedAt, fuelKind: fuel.kind })
    .from(run)
    .leftJoin(fuelBatch, eq(fuelBatch.id, run.fuelBatchId))
    .leftJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(inArray(run.id, runIds))
  const events = await eventRows(db, runIds)
  const measurements = await currentMeasurements(db, runIds)
  const notes = await db.select().from(runNote).where(inArray(runNote.runId, runIds)).orderBy(asc(runNote.recordedAt))
  const photos = await db
    .select({ runId: photo.runId, n: count() })
    .from(photo)
    .where(and(inArray(photo.runId, runIds), isNull(photo.removedAt)))
    .groupBy(photo.runId)
  return found
    .flatMap((one): Lane[] => {
      const row = rows.find((each) => each.id === one.record.id)
      if (!row?.lane || !row.bench) return []
      const order = orderOf(one)
      const { record, method } = one
      return [
        {
          lane: row.lane,
          runId: row.id,
          armedAtMs: row.bench.armedAtMs,
          test: method?.test ?? (record.kind as TestName),
          kind: record.kind,
          method: method && record.method ? { name: record.method.name, n: record.method.n, body: method } : null,
          setup: record.setup,
          burner: one.stored.burner?.kind ?? null,
          fuelKind: row.fuelKind,
          fuel: record.fuel,
          person: record.person,
          place: record.place,
          zone: record.zone,
          setting: record.setting as Setting | null,
          hasLid: one.stored.lid,
          boilingC: boilingOf(one),
          order,
          state: stateOfRows(events.get(row.id) ?? [], row.startedAt.getTime(), order.marks),
          readings: measurements
            .filter((each) => each.runId === row.id)
            .map(({ id, quantity, value, typed, atMs }) => ({ id, quantity, value, typed, atMs })),
          notes: notes.filter((each) => each.runId === row.id).map(({ id, text, atMs }) => ({ id, text, atMs })),
          photos: photos.find((each) => each.runId === row.id)?.n ?? 0,
          rehearsal: row.bench.rehearsal ?? null,
        },
      ]
    })
    .sort((a, b) => (a.lane < b.lane ? -1 : 1))
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

const ON_THE_BENCH = ['draft', 'live'] as const
const standing = async (db: Connection) =>
  (
    await db
      .select({ id: run.id })
      .from(run)
      .where(inArray(run.state, [...ON_THE_BENCH]))
  ).map((row) => row.id)

/** The bench whole, and the number it stands at: one moment of the database. */
export function readBenchNow(db: Database, serverMs: number): Promise<Bench> {
  return db.transaction(
    async (tx) => ({ seq: await lastSeq(tx), serverMs, lanes: await lanesOf(tx, await standing(tx)) }),
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/** What became different after a number. */
export function readBenchSince(db: Database, seq: number, serverMs: number): Promise<BenchPush> {
  return db.transaction(
    async (tx) => {
      const changes = await changesAfter(tx, seq)
      const ids = [...new Set(changes.map((one) => one.subjectId))]
      const states =
        ids.length === 0 ? [] : await tx.select({ id: run.id, state: run.state }).from(run).where(inArray(run.id, ids))
      const here = states.filter((one) => one.state === 'draft' || one.state === 'live').map((one) => one.id)
      return {
        seq: changes.at(-1)?.seq ?? seq,
        serverMs,
        lanes: await lanesOf(tx, here),
        gone: ids
          .filter((id) => !here.includes(id))
          .map((runId) => ({ runId, finished: states.find((one) => one.id === runId)?.state === 'finished' })),
      }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/** A lane without anything on it; null: all six are taken. */
export async function freeLane(tx: Connection, wanted: LaneName, names: readonly LaneName[]): Promise<LaneName | null> {
  const taken = (
    await tx
      .select({ lane: run.lane })
      .from(run)
      .where(inArray(run.state, [...ON_THE_BENCH]))
  ).map((row) => row.lane)
  return [wanted, ...names].find((name) => !taken.includes(name)) ?? null
}
