/**
 * What the traces of runs said when they were read last, and which of it still stands: a changed fuel moves every figure
 * and no reading.
 */
import { isDeepStrictEqual } from 'node:util'
import { CORE_VERSION } from '../../core/version'
import { toRunDocument } from '../../core/formats/toRunDocument'
import type { TraceReading } from '../../core/formats/traceReading'
import { anyOf } from '../database/anyOf'
import type { Connection } from '../database/connection'
import { hashOf } from '../database/hash'
import type { TraceChunks } from '../database/repositories/traces'
import { runSummary } from '../database/schema'
import { needsTrace, type Options } from './answerRun'
import type { FoundRun } from './repository/findRuns'

interface ToRead {
  options: Options
  own: readonly FoundRun[]
  chunks: ReadonlyMap<string, TraceChunks>
}
interface KeptReadings {
  /** Its ribbon and what its trace said are as they were. */
  stands: (id: string) => boolean
  /** The run, with what its trace said where that stands. */
  take: (run: FoundRun) => FoundRun
  /** What is kept of a run that was read anew. */
  toKeep: (id: string, reading: TraceReading | null) => { readingKey: string | null; traceReading: TraceReading | null }
}

export async function keptReadings(db: Connection, { options, own, chunks }: ToRead): Promise<KeptReadings> {
  const keys = new Map(own.map((one) => [one.record.id, keyOfReading(one, options, chunks.get(one.record.id))]))
  const rows = await db
    .select({ id: runSummary.runId, key: runSummary.readingKey, reading: runSummary.traceReading })
    .from(runSummary)
    .where(anyOf(runSummary.runId, [...keys.keys()]))
  const standing = new Map(
    rows.flatMap(({ id, key, reading }) => (key !== null && key === keys.get(id) ? [[id, reading] as const] : [])),
  )
  return {
    stands: (id) => standing.has(id),
    take: (run) => withReading(run, standing.get(run.record.id) ?? null),
    toKeep(id, traceReading) {
      const readingKey = keys.get(id) ?? null
      const keeps = readingKey !== null && isDeepStrictEqual(JSON.parse(JSON.stringify(traceReading)), traceReading)
      return keeps ? { readingKey, traceReading } : { readingKey: null, traceReading: null }
    },
  }
}

const withReading = (run: FoundRun, traceReading: TraceReading | null): FoundRun =>
  traceReading === null ? run : { ...run, stored: { ...run.stored, traceReading } }

/** Null: it is read anew each time, since more than its rolling boil rests on samples. */
function keyOfReading(run: FoundRun, options: Options, chunks: TraceChunks | undefined): string | null {
  if (options.boil !== 'rollingBoil' || needsTrace(run)) return null
  const { fuel, setup: _, ...rest } = toRunDocument({ ...run.stored, trace: [], scaleTrace: [] })
  const weighed = { ...fuel, kind: null, lhvMJPerKg: null, densityGPerMl: null }
  return hashOf([CORE_VERSION, options, chunks?.hash ?? null, rest, weighed])
}
