/** Questions that somebody keeps: what they said then, what they say now, and what fresh runs alone say. */
import type { KeptAnswer, KeptLine } from '../../shared/comparison'
import { readKept } from '../../shared/keptQuestion'
import type { Connection } from '../database/connection'
import { invalid, invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { ask, isAskedPage, keptOf } from './ask'
import { insertKept, keptRows, removeKeptRow, updateKept, type KeptRow } from './repository/kept'

/** Keeps it as it is answered now; the same id again is one. */
export async function keepQuestion(db: Connection, input: unknown): Promise<Outcome<KeptLine[]>> {
  const read = readKept(input)
  if (!read.ok) return invalid(read.problems)
  const { id, name, page, query } = read.value
  if (!isAskedPage(page)) return invalidAt('page', 'This page asks nothing that can be kept.')
  const answer = await ask(db, page, query)
  if (typeof answer === 'string') return invalidAt('query', answer)
  const kept = keptOf(page, answer)
  await insertKept(db, {
    id,
    name: name === '' ? kept.sentence : name,
    path: page,
    query,
    kept,
    now: withoutRanking(kept),
  })
  return saved(await keptLines(db))
}

/** The ranking of the day that it was kept is kept once. */
const withoutRanking = ({ ranking: _ranking, ...rest }: KeptAnswer): KeptAnswer => rest

export async function removeKept(db: Connection, id: string): Promise<Outcome<KeptLine[]>> {
  return (await removeKeptRow(db, id)) ? saved(await keptLines(db)) : notFound('question')
}

export const keptLines = async (db: Connection): Promise<KeptLine[]> => (await keptRows(db)).map(lineOf)

const lineOf = ({ id, name, path, query, keptAt, kept, now, fresh }: KeptRow): KeptLine => ({
  id,
  name,
  path,
  query,
  keptAt: keptAt.toISOString(),
  kept: withoutRanking(kept),
  now,
  fresh,
})

/** Answers them anew after runs have changed. One whose runs are gone says so. */
export async function refreshKept(db: Connection): Promise<void> {
  for (const row of await keptRows(db)) {
    const { path, query, kept, keptAt } = row
    if (!isAskedPage(path)) continue
    const answer = await ask(db, path, query)
    const now =
      typeof answer === 'string'
        ? { ...withoutRanking(kept), line: answer, effect: null, runs: 0 }
        : keptOf(path, answer)
    await updateKept(db, row.id, {
      now: withoutRanking(now),
      fresh: path === 'two' ? await freshOf(db, query, keptAt) : null,
    })
  }
}

/** Of runs alone that were burned after it was kept: the only ones by which it is tested. */
async function freshOf(db: Connection, query: Record<string, string>, keptAt: Date): Promise<KeptAnswer | null> {
  const answer = await ask(db, 'two', { ...query, from: keptAt.toISOString() })
  if (typeof answer === 'string' || answer.arms.some(({ n }) => n < FEWEST_FRESH)) return null
  return keptOf('two', answer)
}
const FEWEST_FRESH = 2
