/** The core's means of the runs of each series, as they stand. */
import { and, eq, inArray, notExists } from 'drizzle-orm'
import type { ComparedFacts } from '../../../core/compare/facts'
import { lotSums, type LotSums } from '../../../core/compare/lotSums'
import type { MeanOf, ReduceAnswer, RunAnswer, SetupFlameAnswer, SetupMean } from '../../../core/formats/answer'
import type { StoredRun } from '../../../core/formats/toRunDocument'
import type { Connection } from '../../database/connection'
import { hashOf } from '../../database/hash'
import { run, series, setupSummary } from '../../database/schema'
import type { Options } from '../answerRun'

/** A series that all its runs have left has no mean, and no row that would have it worked out. */
export const dropMeansOfNone = (tx: Connection, seriesKeys: readonly string[]) =>
  tx
    .delete(setupSummary)
    .where(
      and(
        inArray(setupSummary.seriesKey, [...seriesKeys]),
        notExists(tx.select({ id: run.id }).from(run).where(eq(run.seriesKey, setupSummary.seriesKey))),
      ),
    )

export const dropMeans = (tx: Connection, seriesKey: string) =>
  tx.delete(setupSummary).where(eq(setupSummary.seriesKey, seriesKey))

/** What the runs of a series say together of its flame. */
export async function keepFlame(tx: Connection, key: string, flame: SetupFlameAnswer | null): Promise<void> {
  await tx.insert(series).values({ key, flame }).onConflictDoUpdate({ target: series.key, set: { flame } })
}

interface Means {
  /** Of the series. */
  key: string
  options: Options
  means: readonly SetupMean[]
  answers: ReduceAnswer['runs']
  /** Those that are read by these conventions: a mean that none of them enters is none of theirs. */
  own: readonly StoredRun[]
  /** What of a run is compared; null: it is not. */
  factsOf: (answer: RunAnswer) => ComparedFacts | null
}

/** @returns what gives the key of each mean */
export async function keepMeans(
  tx: Connection,
  { key, options, means, answers, own, factsOf }: Means,
): Promise<(mean: MeanOf) => string> {
  const conventions = hashOf(options)
  const keyOf = ({ kind, endC, setting, volumeG }: MeanOf) => hashOf([key, conventions, kind, endC, setting, volumeG])
  const entering = new Map(means.map((mean) => [keyOf(mean), [] as RunAnswer[]]))
  for (const one of answers) if (!('error' in one) && one.mean !== null) entering.get(keyOf(one.mean))!.push(one)
  const ownIds = new Set(own.map((one) => one.id))
  const kept = means.filter((mean) => entering.get(keyOf(mean))!.some((one) => ownIds.has(one.id)))
  if (kept.length === 0) return keyOf
  const { origin, fuel } = own[0]!
  await tx.insert(setupSummary).values(
    kept.map((mean) => ({
      ...comparedOf(entering.get(keyOf(mean))!.flatMap((one) => factsOf(one) ?? [])),
      key: keyOf(mean),
      seriesKey: key,
      conventions,
      origin,
      fuelKind: fuel?.kind ?? null,
      kind: mean.kind,
      endC: mean.endC,
      setting: mean.setting,
      volumeKg: mean.volumeG / 1000,
      n: mean.n,
      meanGPerL: mean.meanGPerL,
      meanU: mean.meanU,
      sdGPerL: mean.sdGPerL,
      lowGPerL: mean.ci95?.[0] ?? null,
      highGPerL: mean.ci95?.[1] ?? null,
      runIds: entering.get(keyOf(mean))!.map((one) => one.id),
      figuresGPerL: entering.get(keyOf(mean))!.map((one) => one.normalisedGPerL!),
    })),
  )
  return keyOf
}

const comparedOf = (facts: ComparedFacts[]): { facts: ComparedFacts[]; sums: LotSums | null } => ({
  facts,
  sums: facts.length === 0 ? null : shortly(lotSums(facts)),
})

/** Blocks are told apart by their hash. */
const shortly = ({ blocked, ...sums }: LotSums): LotSums => ({
  ...sums,
  blocked: blocked === null ? null : { ...blocked, blocks: hashOf(blocked.blocks) },
})
