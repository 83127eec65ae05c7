/** What comparisons rest on, and the questions that were found. */
import { and, eq, isNull, sql, type SQL } from 'drizzle-orm'
import type { ComparedFacts, ComparedMean, ComparedPart } from '../../../core/compare/facts'
import type { FoundQuestion } from '../../../core/compare/found'
import type { LotSums } from '../../../core/compare/lotSums'
import type { SetupFlameAnswer } from '../../../core/formats/answer'
import type { BurnerProperties, PotProperties } from '../../../shared/thing'
import { byKey } from '../../database/byKey'
import type { Connection } from '../../database/connection'
import { notifyFigures } from '../../runs/repository/notify'
import {
  foundQuestion,
  fuel,
  fuelBatch,
  run,
  series,
  setup,
  setupPart,
  setupSummary,
  setupVersion,
  thing,
  thingVersion,
} from '../../database/schema'

const isOneOf = (column: SQL, keys: readonly string[]): SQL => sql`${column} = any(${sql.param([...keys])}::text[])`

/** Series whose figures stand and whose questions do not, with the revision that was read. */
export const changedSeries = (db: Connection, most: number): Promise<{ key: string; revision: number }[]> =>
  db
    .select({ key: series.key, revision: series.revision })
    .from(series)
    .where(and(isNull(series.staleSince), sql`${series.comparedRevision} is distinct from ${series.revision}`))
    .orderBy(series.key)
    .limit(most)

/** Whether any figure is still to come that questions rest on. */
export async function isWaiting(db: Connection): Promise<boolean> {
  const [row] = await db
    .select({ key: series.key })
    .from(series)
    .where(sql`${series.comparedRevision} is distinct from ${series.revision}`)
    .limit(1)
  return row !== undefined
}

/** Means of measured runs, by what they are of: each by the run that entered it last. */
export async function comparedMeans(db: Connection): Promise<ComparedMean[]> {
  const rows = await db
    .select({
      key: setupSummary.key,
      seriesKey: setupSummary.seriesKey,
      conventions: setupSummary.conventions,
      kind: setupSummary.kind,
      endC: setupSummary.endC,
      setting: setupSummary.setting,
      volumeKg: setupSummary.volumeKg,
      n: setupSummary.n,
      meanGPerL: setupSummary.meanGPerL,
      setupId: setup.id,
      setup: setup.name,
      setupVersionId: setupVersion.id,
      fuelKind: fuel.kind,
      fuel: fuel.name,
    })
    .from(setupSummary)
    .innerJoin(run, sql`${run.id} = ${setupSummary.runIds}[array_upper(${setupSummary.runIds}, 1)]`)
    .innerJoin(setupVersion, eq(setupVersion.id, run.setupVersionId))
    .innerJoin(setup, eq(setup.id, setupVersion.setupId))
    .innerJoin(fuelBatch, eq(fuelBatch.id, run.fuelBatchId))
    .innerJoin(fuel, eq(fuel.id, fuelBatch.fuelId))
    .where(eq(setupSummary.origin, 'measured'))
    .orderBy(setupSummary.key)
  const parts = await partsOfVersions(db, [...new Set(rows.map((row) => row.setupVersionId))])
  return rows.map(({ kind, endC, setting, volumeKg, ...own }) => ({
    ...own,
    parts: parts.get(own.setupVersionId) ?? [],
    test: { kind, endC, setting, volumeG: Math.round(volumeKg * 1000) },
  }))
}

async function partsOfVersions(db: Connection, ids: readonly string[]): Promise<Map<string, ComparedPart[]>> {
  if (ids.length === 0) return new Map()
  const rows = await db
    .select({
      of: setupPart.setupVersionId,
      role: setupPart.role,
      versionId: thingVersion.id,
      name: thing.name,
      properties: thingVersion.properties,
    })
    .from(setupPart)
    .innerJoin(thingVersion, eq(thingVersion.id, setupPart.thingVersionId))
    .innerJoin(thing, eq(thing.id, thingVersion.thingId))
    .where(sql`${setupPart.setupVersionId} = any(${sql.param([...ids])}::uuid[])`)
  const parts = rows.map(({ of, role, versionId, name, properties }) => ({
    of,
    part: {
      role,
      versionId,
      name,
      finned: role === 'pot' && (properties as PotProperties).finned,
      burner: role === 'burner' ? (properties as BurnerProperties).burner : null,
    },
  }))
  return new Map([...byKey(parts, ({ of }) => of)].map(([of, own]) => [of, own.map(({ part }) => part)]))
}

export async function factsOfMeans(db: Connection, keys: readonly string[]): Promise<Map<string, ComparedFacts[]>> {
  const rows = await db
    .select({ key: setupSummary.key, facts: setupSummary.facts })
    .from(setupSummary)
    .where(isOneOf(sql`${setupSummary.key}`, keys))
  return new Map(rows.map(({ key, facts }) => [key, facts]))
}

/** Of those that have a run to compare. */
export async function sumsOfMeans(db: Connection, keys: readonly string[]): Promise<Map<string, LotSums>> {
  const rows = await db
    .select({ key: setupSummary.key, sums: setupSummary.sums })
    .from(setupSummary)
    .where(isOneOf(sql`${setupSummary.key}`, keys))
  return new Map(rows.flatMap(({ key, sums }) => (sums === null ? [] : [[key, sums] as const])))
}

export async function flamesOf(db: Connection, keys: readonly string[]): Promise<Map<string, SetupFlameAnswer | null>> {
  const rows = await db
    .select({ key: series.key, flame: series.flame })
    .from(series)
    .where(isOneOf(sql`${series.key}`, keys))
  return new Map(rows.map(({ key, flame }) => [key, flame]))
}

export interface AnsweredQuestion {
  key: string
  series: string[]
  /** The same question, however many runs have come since. */
  sameAs: string
  /** Runs that it rests on; of very many, none. */
  runIds: string[]
  question: FoundQuestion
}

/** Questions of these series are answered once more, in the background. */
export async function findAgain(tx: Connection, seriesKeys: readonly string[]): Promise<void> {
  if (seriesKeys.length === 0) return
  await tx
    .update(series)
    .set({ comparedRevision: null })
    .where(isOneOf(sql`${series.key}`, seriesKeys))
  await notifyFigures(tx)
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

/** How many runs are measured here: from so many on answers of them hold up others. */
export async function countMeasured(db: Connection): Promise<number> {
  const [row] = await db.select({ n: sql<number>`coalesce(sum(${setupSummary.n}), 0)::int` }).from(setupSummary)
  return row!.n
}

/** The scatter that the questions of each kind of test were answered with. */
export async function priorsUsed(db: Connection): Promise<{ kind: string; sd: number }[]> {
  const { rows } = await db.execute<{ kind: string; sd: number }>(sql`
    select distinct question->>'testKind' as kind, (question->>'priorSd')::float8 as sd from ${foundQuestion}
    where question->>'priorSd' is not null`)
  return rows
}

/** Every series whose figures stand, with the revision that was read. */
export const standingSeries = (db: Connection): Promise<{ key: string; revision: number }[]> =>
  db.select({ key: series.key, revision: series.revision }).from(series).where(isNull(series.staleSince))

export const foundQuestions = (db: Connection): Promise<{ key: string; question: FoundQuestion }[]> =>
  db.select({ key: foundQuestion.key, question: foundQuestion.question }).from(foundQuestion)
