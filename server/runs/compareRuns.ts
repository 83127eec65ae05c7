/** Picked runs, by set-up, at the Standard bench. */
import { groupedBy, whyNotCompared } from '../../core/compare/oneTest'
import { blocksOf } from '../../core/compare/lotSums'
import { fuelOfKind } from '../../core/constants/fuels'
import { formatNumber } from '../../core/quantity/format'
import { likeWithLike, type Compared, type ComparedRun } from '../../core/statistics/likeWithLike'
import { rankArms } from '../../core/statistics/manyArms'
import type { ArmRun } from '../../core/statistics/arms'
import { priorScatter, type PriorScatter } from '../../core/statistics/scatter'
import type { RunAnswer } from '../../core/formats/answer'
import { ORIGINS, type Origin } from '../../core/formats/document'
import { listedOptions } from '../../shared/reduceOptions'
import type { RunComparison } from '../../shared/runComparison'
import type { Connection } from '../database/connection'
import { armRun, blockDay, valuesOf } from '../comparisons/comparedFacts'
import { findRuns, type FoundRun } from './repository/findRuns'
import { answerRun } from './answerRun'
import { armKey, armNames, ORIGIN_WORDS } from './arms'
import { likeRuns, outOf, type LeftOut, type Taken } from './likeRuns'
import { repeatedMeans } from './repository/means'

/** What a set-up is made of may differ: that is the question. */
const QUESTION: readonly Compared[] = ['burner', 'pot', 'stand', 'lid', 'screen']

/** @param mixed measured and published ones, and rehearsals, are held against each other: asked for, never by itself */
export async function compareRuns(db: Connection, ids: readonly string[], mixed = false): Promise<RunComparison> {
  const found = await findRuns(db, [...ids])
  const origin = mixed ? null : commonest(found.map((one) => one.record.origin))
  const able: Taken[] = []
  const leftOut: LeftOut[] = []
  for (const one of found) {
    const { runs } = await answerRun(db, one, listedOptions(one.method))
    const answer = runs[0]
    if (!answer || 'error' in answer) continue
    const why = whyNot(one, answer) ?? ofAnotherOrigin(one, origin)
    if (why === null) able.push({ run: one, answer })
    else leftOut.push(outOf(one, why))
  }
  const { taken, others } = likeRuns(able)
  const prior = priorScatter(await repeatedMeans(db, [...new Set(taken.map(({ run }) => run.record.kind))]))
  return {
    ...compare(taken, prior),
    origins: new Set(found.map((one) => one.record.origin)).size,
    leftOut: [...leftOut, ...others],
  }
}

function compare(taken: readonly Taken[], prior: PriorScatter): Omit<RunComparison, 'origins' | 'leftOut'> {
  const names = armNames(taken.map(({ run }) => run))
  const blocks = blocksOf(groupedBy(taken, ({ run }) => armKey(run)).map((arm) => arm.map(datedRun)))
  const arms = new Map<string, { runs: ArmRun[]; fuel: ArmFuel | null }>()
  const compared: ComparedRun[] = []
  for (const { run, answer } of taken) {
    const name = names.get(armKey(run))!
    const arm = arms.get(name) ?? { runs: [], fuel: fuelOf(run) }
    arm.runs.push({ ...armRun(answer), block: blocks.get(run.record.id) })
    arms.set(name, arm)
    compared.push({ arm: name, normalised: answer.status === 'normalised', values: valuesOf(run, answer) })
  }
  const ranking = rankArms(
    [...arms].map(([name, { runs }]) => ({ name, runs })),
    { prior },
  )
  const pairs = ranking.pairs.map(({ arms: [first, second], verdict, adjustedP }) => {
    const fuels = byHeat(arms.get(first)!.fuel, arms.get(second)!.fuel, verdict.ratio)
    const { ratio, ci95 } = verdict
    return { arms: [first, second] as [string, string], text: `${verdict.text}${fuels}`, ratio, ci95, adjustedP }
  })
  return { likeWithLike: likeWithLike(compared, QUESTION), arms: ranking.arms, pairs }
}

const datedRun = ({ run }: Taken) => ({
  id: run.record.id,
  startedAt: run.record.startedAt,
  day: blockDay(run),
})

interface ArmFuel {
  name: string
  kind: string
  /** [J/kg]; null: the built-in one of its kind. */
  lhvJPerKg: number | null
}
const fuelOf = ({ record, stored }: FoundRun): ArmFuel | null =>
  stored.fuel && { ...stored.fuel, name: record.fuel ?? stored.fuel.kind }

/** Heat in a gram [kJ]; null: not known. */
const heatOf = ({ kind, lhvJPerKg }: ArmFuel): number | null =>
  lhvJPerKg === null ? (fuelOfKind(kind)?.lowerHeatingValue.value ?? null) : lhvJPerKg / 1e6

/** Grams of one fuel against grams of another are said to be so, with the heat in them. */
function byHeat(first: ArmFuel | null, second: ArmFuel | null, ratio: number | null): string {
  if (first === null || second === null || ratio === null || first.kind === second.kind) return ''
  const said = ` Grams of ${second.name} against grams of ${first.name}`
  const [a, b] = [heatOf(first), heatOf(second)]
  if (a === null || b === null) return `${said}.`
  return `${said}: ${formatNumber((ratio * b) / a, 2)} times the heat.`
}

/** Measured ones first, where there are as many of each. */
const commonest = (origins: readonly Origin[]): Origin | null =>
  ORIGINS.filter((one) => origins.includes(one)).sort(
    (a, b) => origins.filter((one) => one === b).length - origins.filter((one) => one === a).length,
  )[0] ?? null

const ofAnotherOrigin = ({ record }: FoundRun, origin: Origin | null): string | null =>
  origin === null || record.origin === origin
    ? null
    : `it was ${ORIGIN_WORDS[record.origin]}, and the others were ${ORIGIN_WORDS[origin]}`

function whyNot({ record }: FoundRun, answer: RunAnswer): string | null {
  if (record.state === 'void') return 'it is void'
  return record.breakIn ? 'it is a break-in' : whyNotCompared(answer)
}
