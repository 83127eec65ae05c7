/**
 * What the traces of runs said when they were read last, and which of it still stands: a changed fuel moves every figure
 * and no reading.
 */
import { isDeepStrictEqual } from 'node:util'
import { eq, sql } from 'drizzle-orm'
import { CORE_VERSION } from '../../core/version'
import type { RunDocument } from '../../core/formats/document'
import type { StoredRun } from '../../core/formats/toRunDocument'
import type { TraceReading } from '../../core/formats/traceReading'
import { anyOf } from '../database/anyOf'
import type { Connection } from '../database/connection'
import { sha256 } from '../database/hash'
import type { TraceChunks } from '../database/repositories/traces'
import { runReading, runSummary } from '../database/schema'
import { needsTrace, type Options } from './answerRun'
import type { FoundRun } from './repository/findRuns'

interface ToRead {
  options: Options
  own: readonly FoundRun[]
  chunks: ReadonlyMap<string, TraceChunks>
  documentOf: (stored: StoredRun) => RunDocument
}
interface KeptReadings {
  /** Its ribbon and what its trace said are as they were. */
  stands: (id: string) => boolean
  /** The run, with what its trace said where that stands. */
  take: (run: FoundRun) => FoundRun
  /** Keeps what runs were read to say. */
  keep: (read: readonly { id: string; reading: TraceReading | null }[]) => Promise<void>
}

export async function keptReadings(db: Connection, toRead: ToRead): Promise<KeptReadings> {
  const keys = new Map(toRead.own.map((one) => [one.record.id, keyOfReading(one, toRead)]))
  const rows = await db
    .select({ id: runReading.runId, key: runReading.key, reading: runReading.reading })
    .from(runReading)
    .innerJoin(runSummary, eq(runSummary.runId, runReading.runId))
    .where(anyOf(runReading.runId, [...keys.keys()]))
  const standing = new Map(
    rows.flatMap(({ id, key, reading }) => (key === keys.get(id) ? [[id, reading] as const] : [])),
  )
  return {
    stands: (id) => standing.has(id),
    take: (run) => withReading(run, standing.get(run.record.id) ?? null),
    keep: (read) =>
      keepReadings(
        db,
        read.flatMap(({ id, reading }) => {
          const key = keys.get(id) ?? null
          return key === null || !isPlain(reading) ? [] : [{ runId: id, key, reading }]
        }),
      ),
  }
}

/** It comes back from the database as it was. */
const isPlain = (reading: TraceReading | null): boolean =>
  isDeepStrictEqual(JSON.parse(JSON.stringify(reading)), reading)

async function keepReadings(db: Connection, rows: readonly (typeof runReading.$inferInsert)[]): Promise<void> {
  if (rows.length === 0) return
  const ordered = [...rows].sort((a, b) => (a.runId < b.runId ? -1 : 1))
  await db
    .insert(runReading)
    .values(ordered)
    .onConflictDoUpdate({
      target: runReading.runId,
      set: { key: sql`excluded.key`, reading: sql`excluded.reading` },
    })
}

const withReading = (run: FoundRun, traceReading: TraceReading | null): FoundRun =>
  traceReading === null ? run : { ...run, stored: { ...run.stored, traceReading } }

/** Null: it is read anew each time, since more than its rolling boil rests on samples. */
function keyOfReading(run: FoundRun, { options, chunks, documentOf }: ToRead): string | null {
  if (options.boil !== 'rollingBoil' || needsTrace(run)) return null
  const { fuel, setup: _, ...rest } = documentOf(run.stored)
  const untraced = { ...rest, trace: [], scaleTrace: [] }
  const weighed = { ...fuel, kind: null, lhvMJPerKg: null, densityGPerMl: null }
  return sha256(JSON.stringify([CORE_VERSION, options, chunks.get(run.record.id)?.hash ?? null, untraced, weighed]))
}
