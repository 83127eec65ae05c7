/** The cache of answers. */
import { and, eq } from 'drizzle-orm'
import type { ReduceAnswer } from '../../../core/formats/answer'
import type { Connection } from '../connection'
import { result } from '../schema'

export interface ResultKey {
  runId: string
  optionsHash: string
  inputHash: string
  coreVersion: string
}

/** The answer, where it was worked out from the same input by the same core. */
export async function cachedResult(db: Connection, key: ResultKey): Promise<ReduceAnswer | null> {
  const [row] = await db
    .select({ json: result.json })
    .from(result)
    .where(
      and(
        eq(result.runId, key.runId),
        eq(result.optionsHash, key.optionsHash),
        eq(result.inputHash, key.inputHash),
        eq(result.coreVersion, key.coreVersion),
      ),
    )
  return row?.json ?? null
}

/** Keeps an answer in place of an older one. */
export async function keepResult(db: Connection, key: ResultKey, json: ReduceAnswer): Promise<void> {
  await db
    .insert(result)
    .values({ ...key, json })
    .onConflictDoUpdate({
      target: [result.runId, result.optionsHash],
      set: { inputHash: key.inputHash, coreVersion: key.coreVersion, json, createdAt: new Date() },
    })
}
