/** What a finished run's page says of the presses beside its marks. */
import type { AsidePress } from '../../shared/keptPress'
import type { Connection } from '../database/connection'
import { eventRows, type EventRow } from './repository/eventRows'
import { headOfMark } from './lanes'

/** @param pace seconds of what burns in one of the bench's: of a rehearsal as fast as it ran */
export async function pressesOf(db: Connection, runId: string, pace = 1): Promise<AsidePress[]> {
  const rows = (await eventRows(db, [runId])).get(runId)!.filter((row) => row.source === 'bench')
  const beside = rows.filter((row) => row.payload.press !== undefined).map((row) => asideOf(row, rows))
  const changed = rows.filter((row) => row.supersedesId !== null).map((row) => changeOf(row, rows))
  return [...beside, ...changed]
    .sort((a, b) => a.atMs - b.atMs)
    .map((press) => ({ ...press, atMs: press.atMs * pace, ofMs: press.ofMs === null ? null : press.ofMs * pace }))
}

/** A press that made no mark of its own. */
function asideOf(row: EventRow, rows: readonly EventRow[]): AsidePress {
  const { id, kind, atMs, payload } = row
  const of = (payload.ofId === undefined ? null : headOfMark(rows, payload.ofId)) ?? markBefore(row, rows)
  return {
    id,
    kind: payload.press === 'double' ? (of?.kind ?? kind) : kind,
    as: payload.press!,
    atMs,
    ofMs: of?.atMs ?? null,
  }
}

/** A double was meant for the mark just before it, though Next had gone on by then; another for one of its kind. */
function markBefore({ kind, atMs, payload }: EventRow, rows: readonly EventRow[]): EventRow | null {
  const marks = rows.filter((row) => row.payload.press === undefined && !row.voided && row.atMs <= atMs)
  const meant = payload.press === 'double' ? marks : marks.filter((row) => row.kind === kind)
  return meant.sort((a, b) => a.atMs - b.atMs).at(-1) ?? null
}

/** A mark that was taken back or put at another time. */
const changeOf = ({ id, kind, atMs, voided, supersedesId }: EventRow, rows: readonly EventRow[]): AsidePress => ({
  id,
  kind,
  as: voided ? 'undone' : 'moved',
  atMs: rows.find((row) => row.id === supersedesId)?.atMs ?? atMs,
  ofMs: voided ? null : atMs,
})
