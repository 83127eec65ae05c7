/** What a finished run's page says of the presses beside its marks. */
import type { AsidePress } from '../../shared/keptPress'
import type { Connection } from '../database/connection'
import { eventRows } from './repository/eventRows'
import { headOfMark } from './lanes'

/** @param pace seconds of what burns in one of the bench's: of a rehearsal as fast as it ran */
export async function pressesOf(db: Connection, runId: string, pace = 1): Promise<AsidePress[]> {
  const rows = (await eventRows(db, [runId])).get(runId)!.filter((row) => row.source === 'bench')
  const standing = (id: string | undefined) => (id === undefined ? null : headOfMark(rows, id))
  const beside = rows
    .filter((row) => row.payload.press !== undefined)
    .map(({ id, kind, atMs, payload }): AsidePress => {
      // A double was meant for the mark just before it, though Next had gone on by then.
      const of =
        standing(payload.ofId) ??
        rows
          .filter(
            (row) =>
              row.payload.press === undefined &&
              !row.voided &&
              row.atMs <= atMs &&
              (payload.press === 'double' || row.kind === kind),
          )
          .sort((a, b) => a.atMs - b.atMs)
          .at(-1) ??
        null
      return {
        id,
        kind: payload.press === 'double' ? (of?.kind ?? kind) : kind,
        as: payload.press!,
        atMs,
        ofMs: of?.atMs ?? null,
      }
    })
  const changed = rows
    .filter((row) => row.supersedesId !== null)
    .map(({ id, kind, atMs, voided, supersedesId }): AsidePress => ({
      id,
      kind,
      as: voided ? 'undone' : 'moved',
      atMs: rows.find((row) => row.id === supersedesId)?.atMs ?? atMs,
      ofMs: voided ? null : atMs,
    }))
  return [...beside, ...changed]
    .sort((a, b) => a.atMs - b.atMs)
    .map((press) => ({ ...press, atMs: press.atMs * pace, ofMs: press.ofMs === null ? null : press.ofMs * pace }))
}
