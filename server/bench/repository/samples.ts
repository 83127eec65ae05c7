/** Samples of the runs on the bench, chunk by chunk. */
import { and, eq, isNull, sql } from 'drizzle-orm'
import type { ChannelName } from '../../../shared/channels'
import { anyOf } from '../../database/anyOf'
import { byKey } from '../../database/byKey'
import type { Connection } from '../../database/connection'
import { run, trace } from '../../database/schema'

export async function tracesOfRuns(
  db: Connection,
  runIds: readonly string[],
): Promise<{ id: string; runId: string; channel: ChannelName; startedAt: Date }[]> {
  const rows = await db
    .select({ id: trace.id, runId: trace.runId, channel: trace.channel, startedAt: run.startedAt })
    .from(trace)
    .innerJoin(run, eq(run.id, trace.runId))
    .where(and(anyOf(trace.runId, runIds), isNull(trace.removedAt)))
  return rows.map((row) => ({ ...row, channel: row.channel as ChannelName }))
}

export interface Chunk {
  seq: number
  tMs: number[]
  v: number[]
}
/** Those after the chunk that is known of each trace. All in one asking: six lanes have two dozen traces. */
export async function chunksAfter(
  db: Connection,
  known: readonly { id: string; seq: number }[],
): Promise<Map<string, Chunk[]>> {
  const { rows } = await db.execute<{ id: string; seq: number; tMs: number[]; v: number[] }>(sql`
    select c.trace_id as id, c.seq, to_json(c.t_ms) as "tMs", to_json(c.v) as v
    from json_to_recordset(${JSON.stringify(known)}::json) as known (id uuid, seq int)
      join trace_chunk c on c.trace_id = known.id and c.seq > known.seq
    order by c.trace_id, c.seq`)
  return byKey(rows, (one) => one.id)
}
