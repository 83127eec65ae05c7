/**
 * At a run's finish its traces, which came in many small batches out of any order, become few whole chunks in the order
 * of time.
 */
import { and, asc, eq, isNull } from 'drizzle-orm'
import type { Connection } from '../../database/connection'
import { hashOf, hashOfLists } from '../../database/hash'
import { insertChunks } from '../../database/repositories/traces'
import { trace, traceChunk } from '../../database/schema'

/** In the transaction of the finish. A chunk that is not as it was stored is a bug, and stops it. */
export async function mergeTraces(tx: Connection, runId: string): Promise<void> {
  const traces = await tx
    .select({ id: trace.id })
    .from(trace)
    .where(and(eq(trace.runId, runId), isNull(trace.removedAt)))
    .orderBy(asc(trace.id))
    .for('update')
  for (const { id } of traces) await mergeTrace(tx, id)
}

/** The run's clock has another zero: what was sampled before its first mark stays where it was in time. */
export async function shiftTraces(tx: Connection, runId: string, laterByMs: number): Promise<void> {
  const chunks = await tx
    .select({ id: traceChunk.id, tMs: traceChunk.tMs, v: traceChunk.v })
    .from(traceChunk)
    .innerJoin(trace, eq(trace.id, traceChunk.traceId))
    .where(eq(trace.runId, runId))
  for (const { id, tMs, v } of chunks) {
    const moved = tMs.map((t) => t - laterByMs)
    await tx
      .update(traceChunk)
      .set({ tMs: moved, firstMs: moved[0]!, lastMs: moved.at(-1)!, hash: hashOfLists(moved, v) })
      .where(eq(traceChunk.id, id))
  }
}

async function mergeTrace(tx: Connection, traceId: string): Promise<void> {
  const chunks = await tx.select().from(traceChunk).where(eq(traceChunk.traceId, traceId)).orderBy(asc(traceChunk.seq))
  if (chunks.length < 2) return
  // Earlier ones have the hash of their lists' text.
  for (const { id, tMs, v, hash } of chunks)
    if (hashOfLists(tMs, v) !== hash && hashOf([tMs, v]) !== hash)
      throw new Error(`Chunk ${id} is not as it was stored`)
  const samples = chunks
    .flatMap(({ tMs, v }) => tMs.map((t, i): [number, number] => [t, v[i]!]))
    .sort((a, b) => a[0] - b[0])
  await tx.delete(traceChunk).where(eq(traceChunk.traceId, traceId))
  await insertChunks(tx, traceId, samples)
}
