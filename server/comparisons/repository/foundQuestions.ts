/** The questions that were found, as they are kept. */
import { sql } from 'drizzle-orm'
import type { FoundQuestion } from '../../../core/compare/found'
import type { Connection } from '../../database/connection'
import { foundQuestion, series } from '../../database/schema'
import { isOneOf } from './isOneOf'

export interface AnsweredQuestion {
  key: string
  series: string[]
  /** The same question, however many runs have come since. */
  sameAs: string
  /** Runs that it rests on; of very many, none. */
  runIds: string[]
  question: FoundQuestion
}

/** In place of all that rest on these series; which then stand as of the revisions that were read. */
export async function replaceQuestions(
  tx: Connection,
  changed: readonly { key: string; revision: number }[],
  found: readonly AnsweredQuestion[],
): Promise<void> {
  const keys = changed.map(({ key }) => key)
  const were = await tx
    .delete(foundQuestion)
    .where(sql`${foundQuestion.series} && ${sql.param(keys)}::text[]`)
    .returning(WERE)
  const wasOf = new Map(were.map((one) => [one.sameAs, one]))
  for (let from = 0; from < found.length; from += ROWS_AT_A_TIME)
    await tx
      .insert(foundQuestion)
      .values(
        found.slice(from, from + ROWS_AT_A_TIME).map((one) => ({
          ...one,
          ...sinceWhen(one, wasOf.get(one.sameAs)),
          kind: one.question.kind,
          p: one.question.p,
        })),
      )
      .onConflictDoNothing()
  await tx.execute(sql`update ${series} set compared_revision = read.revision
    from unnest(${sql.param(keys)}::text[], ${sql.param(changed.map(({ revision }) => revision))}::int[]) as read (key, revision)
    where ${series.key} = read.key`)
}
const ROWS_AT_A_TIME = 500
const WERE = {
  sameAs: foundQuestion.sameAs,
  question: foundQuestion.question,
  runIds: foundQuestion.runIds,
  newIds: foundQuestion.newIds,
  before: foundQuestion.before,
}
type Was = Pick<typeof foundQuestion.$inferSelect, keyof typeof WERE>

/** Which runs it moved with, and what it said before them; of what only was worked out anew, as it was. */
function sinceWhen({ runIds }: AnsweredQuestion, was: Was | undefined): Pick<Was, 'newIds' | 'before'> {
  if (was === undefined || was.runIds.length === 0 || runIds.length === 0) return { newIds: [], before: null }
  const had = new Set(was.runIds)
  const newIds = runIds.filter((id) => !had.has(id))
  if (newIds.length === 0) return { newIds: was.newIds, before: was.before }
  const { line, effect, runs } = was.question
  return { newIds, before: { line, effect, runs } }
}

/** Questions that this run was the last to move. */
export const movedBy = (
  db: Connection,
  runId: string,
): Promise<{ question: FoundQuestion; before: typeof foundQuestion.$inferSelect.before }[]> =>
  db
    .select({ question: foundQuestion.question, before: foundQuestion.before })
    .from(foundQuestion)
    .where(sql`${foundQuestion.newIds} @> ${sql.param([runId])}::uuid[]`)

/** The scatter that the questions of each kind of test were answered with. */
export async function priorsUsed(db: Connection): Promise<{ kind: string; sd: number }[]> {
  const { rows } = await db.execute<{ kind: string; sd: number }>(sql`
    select distinct question->>'testKind' as kind, (question->>'priorSd')::float8 as sd from ${foundQuestion}
    where question->>'priorSd' is not null`)
  return rows
}

/** What a question is sorted by. */
export interface WeighedQuestion {
  key: string
  kind: FoundQuestion['kind']
  p: number | null
  sentence: string
  ratio: number | null
  means: number
}
export async function weighedQuestions(db: Connection): Promise<WeighedQuestion[]> {
  const { rows } = await db.execute<WeighedQuestion & Record<string, unknown>>(sql`
    select key, kind, p, question->>'sentence' as sentence, (question->'effect'->>'ratio')::float8 as ratio,
      jsonb_array_length(question->'means') as means from ${foundQuestion}`)
  return rows
}

/** By its key. */
export async function questionsOf(db: Connection, keys: readonly string[]): Promise<Map<string, FoundQuestion>> {
  const rows = await db
    .select({ key: foundQuestion.key, question: foundQuestion.question })
    .from(foundQuestion)
    .where(isOneOf(sql`${foundQuestion.key}`, keys))
  return new Map(rows.map(({ key, question }) => [key, question]))
}

export const foundQuestions = (db: Connection): Promise<{ key: string; question: FoundQuestion }[]> =>
  db.select({ key: foundQuestion.key, question: foundQuestion.question }).from(foundQuestion)
