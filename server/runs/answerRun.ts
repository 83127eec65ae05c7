/** A stored run's answer: from the cache where its input has not changed, else worked out and kept. */
import { reduce } from '../../core/reduce'
import type { ReduceAnswer } from '../../core/formats/answer'
import type { ReduceRequest } from '../../core/formats/document'
import { toRunDocument, type StoredRun } from '../../core/formats/toRunDocument'
import { CORE_VERSION } from '../../core/version'
import { defaultOptions } from '../../shared/reduceRequest'
import type { Connection } from '../database/connection'
import { hashOf } from '../database/hash'
import { cachedResult, keepResult } from '../database/repositories/results'

/** The request that screen, CSV, JSON and command line share. */
export function requestFor(stored: StoredRun, options = defaultOptions()): ReduceRequest {
  return { ...options, runs: [toRunDocument(stored)] }
}

/** @param asked options other than the contract's defaults */
export async function answerRun(db: Connection, stored: StoredRun, asked = defaultOptions()): Promise<ReduceAnswer> {
  const { runs, ...options } = requestFor(stored, asked)
  const key = { runId: stored.id, optionsHash: hashOf(options), inputHash: hashOf(runs), coreVersion: CORE_VERSION }
  const kept = await cachedResult(db, key)
  if (kept) return kept
  const answer = reduce({ ...options, runs }, { workings: true })
  await keepResult(db, key, answer)
  return answer
}
