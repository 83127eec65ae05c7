/**
 * What the traces of runs said when they were read last, and which of it still stands: a changed fuel moves every figure
 * and no reading.
 */
import { isDeepStrictEqual } from 'node:util'
import { CORE_VERSION } from '../../core/version'
import type { RunDocument } from '../../core/formats/document'
import type { StoredRun } from '../../core/formats/toRunDocument'
import type { TraceReading } from '../../core/formats/traceReading'
import type { Connection } from '../database/connection'
import { sha256 } from '../database/hash'
import type { TraceChunks } from '../database/repositories/traces'
import { needsTrace, type Options } from './answerRun'
import type { FoundRun } from './repository/findRuns'
import { keepRunReadings, runReadings } from './repository/runReadings'

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
  const rows = await runReadings(db, [...keys.keys()])
  const standing = new Map(
    rows.flatMap(({ runId, key, reading }) => (key === keys.get(runId) ? [[runId, reading] as const] : [])),
  )
  return {
    stands: (id) => standing.has(id),
    take: (run) => withReading(run, standing.get(run.record.id) ?? null),
    keep: (read) =>
      keepRunReadings(
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
