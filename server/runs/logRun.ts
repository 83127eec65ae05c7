/** The one service by which a typed run comes in, for a person and for the demonstration alike. */
import type { TypedRun } from '../../shared/typedRun'
import { readTypedRun } from '../../shared/readTypedRun'
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { crossCheckReadings } from '../../shared/typedRunChecks'
import type { FieldProblem } from '../../shared/readProblems'
import type { Connection } from '../database/connection'
import { hashOf } from '../database/hash'
import { dropDraft } from '../database/repositories/drafts'
import { resolveRun, type ResolvedRun } from './repository/resolveRun'
import { insertTypedRun } from './repository/insertRun'
import { runBodyHash } from './repository/findRuns'
import { recompute } from './recompute'

export type LogOutcome =
  | { status: 'created' | 'known'; id: string }
  | { status: 'invalid' | 'unknownId' | 'conflict'; problems: FieldProblem[] }

/**
 * Checks a typed run and stores it. The same body again is acknowledged; another body under the same id is refused.
 * @param nowMs the time, against which a date in the future is told; `refresh` false: many are logged, and their lines
 * worked out once after
 */
export async function logRun(
  db: Connection,
  input: unknown,
  nowMs: number,
  { refresh = true }: { refresh?: boolean } = {},
): Promise<LogOutcome> {
  const checked = readTypedRun(input, nowMs)
  if (!checked.ok) return { status: 'invalid', problems: checked.problems }
  const { typed, read } = checked
  const resolved = await resolveRun(db, typed)
  if (!resolved.ok) {
    const text = `${resolved.what}: this one is not known here. It may have been made in another workspace; choose again.`
    return { status: 'unknownId', problems: [{ path: resolved.path, text }] }
  }
  const contradictions = [
    ...crossCheckReadings(read, resolved.value.place, typed.test),
    ...mismatch(typed, resolved.value),
  ]
  if (contradictions.length > 0) return { status: 'invalid', problems: contradictions }
  const bodyHash = hashOf(typed)
  const created = await db.transaction(async (tx) => {
    if (!(await insertTypedRun(tx, { typed, read, resolved: resolved.value, bodyHash }))) return false
    if (refresh) await recompute(tx, [typed.id])
    await dropDraft(tx, typed.id)
    return true
  })
  if (created) return { status: 'created', id: typed.id }
  return (await runBodyHash(db, typed.id)) === bodyHash ? { status: 'known', id: typed.id } : CONFLICT
}

const CONFLICT: LogOutcome = {
  status: 'conflict',
  problems: [
    { path: 'id', text: 'A run of this id is stored with other readings. Nothing was changed; log it as a new run.' },
  ],
}

/** A burner and a fuel that do not belong together are explained; with a reason it goes on. */
function mismatch({ overrides }: TypedRun, { burner, fuelKind }: ResolvedRun): FieldProblem[] {
  const why = burnerFuelMismatch(burner?.burner ?? null, fuelKind)
  return why === null || overrides.burnerAndFuel?.trim() ? [] : [{ path: 'overrides.burnerAndFuel', text: why }]
}
