/**
 * What saving and deleting have in common, whatever the record: its row is locked, what stands is compared with what
 * was seen, and all is stored or nothing.
 */
import type { TypedRecord } from '../../shared/record'
import type { Connection } from '../database/connection'
import { studiesWith } from './repository/planRefs'
import type { RunUse } from './repository/runRefs'
import { editOf, inUse, notFound, saved, type Outcome, type Refused } from './outcome'

/** A record as it stands. */
interface Standing {
  row: { revision: number; retiredAt?: Date | null }
  record: TypedRecord
}

export interface RecordKind<S extends Standing, Page> {
  /** Its word, for refusals. */
  what: string
  /** Null where there is none of this id; `lock`: until the transaction ends. */
  standing: (db: Connection, id: string, lock: boolean) => Promise<S | null>
  page: (db: Connection, id: string) => Promise<Page | null>
}

/**
 * Saves a new record or an edit.
 * @param store given what stood (null: it is new), keeps what is sent, or refuses before it has written anything
 * @param sent.compared what is compared with what stands, where that is more than the fields
 */
export async function saveRecord<S extends Standing, Page>(
  db: Connection,
  { what, standing: find, page }: RecordKind<S, Page>,
  sent: { typed: TypedRecord; compared?: (record: S['record']) => TypedRecord },
  store: (tx: Connection, standing: S | null) => Promise<Refused | undefined>,
): Promise<Outcome<Page>> {
  const { typed, compared = (record: S['record']) => record } = sent
  return db.transaction(async (tx): Promise<Outcome<Page>> => {
    const standing = await find(tx, typed.id, true)
    const edit = editOf(standing && compared(standing.record), compared(typed), what)
    if (typeof edit !== 'string') return edit.theirs === undefined ? edit : { ...edit, theirs: standing!.record }
    const refused = edit === 'known' ? undefined : await store(tx, standing)
    return refused ?? saved((await page(tx, typed.id))!)
  })
}

/** Since when it is retired: what is ticked keeps the day it was first ticked. */
export const retiredSince = (values: Record<string, unknown>, standing: Standing | null): Date | null =>
  values.retired === true ? (standing?.row.retiredAt ?? new Date()) : null

/**
 * Deletes a record that nothing rests on.
 * @param remove refuses, or deletes what belongs to it and itself
 */
export async function deleteRecord<S extends Standing>(
  db: Connection,
  { what, standing: find }: RecordKind<S, unknown>,
  id: string,
  remove: (tx: Connection, standing: S) => Promise<Refused | undefined>,
): Promise<Outcome<null>> {
  return db.transaction(async (tx): Promise<Outcome<null>> => {
    const standing = await find(tx, id, true)
    if (standing === null) return notFound(what)
    const refused = plannedWith(await studiesWith(tx, id), what) ?? (await remove(tx, standing))
    return refused ?? saved(null)
  })
}

function plannedWith(count: number, what: string): Refused | undefined {
  if (count === 0) return undefined
  const studies = count === 1 ? 'a study' : `${count} studies`
  return inUse(`This ${what} stands in ${studies} under Plan. Take it out there, or give the study up, first.`)
}

const RETIRE = 'Retire it instead: it is then no longer offered.'
export const countedRuns = (count: number) => `${count} ${count === 1 ? 'run' : 'runs'}`
/** The refusal where runs rest on it, `said` as in "Tin can has 3 runs"; undefined where none do. */
export const usedBy = (
  { count, runs }: RunUse,
  said: (runs: string) => string,
  advice = RETIRE,
): Refused | undefined => (count > 0 ? inUse(`${said(countedRuns(count))}. ${advice}`.trim(), runs) : undefined)
