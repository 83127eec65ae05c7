/** Picked runs, by set-up, at the Standard bench. */
import { likeWithLike, type Compared, type ComparedRun } from '../../core/statistics/likeWithLike'
import { rankArms } from '../../core/statistics/manyArms'
import type { ArmRun } from '../../core/statistics/compareArms'
import type { RunAnswer } from '../../core/formats/answer'
import { ORIGINS, type Origin } from '../../core/formats/document'
import { conventionsOf, listedOptions } from '../../shared/runOptions'
import type { RunComparison } from '../../shared/runComparison'
import type { Connection } from '../database/connection'
import { findRuns, type FoundRun } from '../database/repositories/runs'
import { answerRun } from './answerRun'

/** What a set-up is made of may differ: that is the question. */
const QUESTION: readonly Compared[] = ['burner', 'pot', 'stand', 'lid', 'screen']

/** @param mixed measured and published ones, and rehearsals, are held against each other: asked for, never by itself */
export async function compareRuns(db: Connection, ids: readonly string[], mixed = false): Promise<RunComparison> {
  const found = await findRuns(db, [...ids])
  const origin = mixed ? null : commonest(found.map((one) => one.record.origin))
  const arms = new Map<string, ArmRun[]>()
  const compared: ComparedRun[] = []
  const leftOut: RunComparison['leftOut'] = []
  for (const one of found) {
    const {
      runs: [answer],
    } = await answerRun(db, one, listedOptions(one.method))
    if (!answer || 'error' in answer) continue
    const why =
      whyNot(one, answer) ??
      (origin !== null && one.record.origin !== origin
        ? `it was ${ORIGIN_WORDS[one.record.origin]}, and the others were ${ORIGIN_WORDS[origin]}`
        : null)
    if (why !== null) {
      leftOut.push({ id: one.record.id, setup: one.record.setup, why })
      continue
    }
    const arm =
      one.record.origin === 'measured' ? one.record.setup : `${one.record.setup}, ${ORIGIN_WORDS[one.record.origin]}`
    arms.set(arm, [...(arms.get(arm) ?? []), { gPerL: answer.normalisedGPerL!, shared: answer.normalisedSharedBy }])
    compared.push({ arm, normalised: answer.status === 'normalised', values: valuesOf(one, answer) })
  }
  const ranking = rankArms([...arms].map(([name, runs]) => ({ name, runs })))
  return {
    likeWithLike: likeWithLike(compared, QUESTION),
    arms: ranking.arms,
    origins: [...new Set(found.map((one) => one.record.origin))].length,
    pairs: ranking.pairs.map(({ arms: names, verdict, adjustedP }) => ({ arms: names, text: verdict.text, adjustedP })),
    leftOut,
  }
}

const ORIGIN_WORDS = { measured: 'measured here', rehearsal: 'rehearsed', published: 'published elsewhere' } as const
/** Measured ones first, where there are as many of each. */
const commonest = (origins: readonly Origin[]): Origin | null =>
  ORIGINS.filter((one) => origins.includes(one)).sort(
    (a, b) => origins.filter((one) => one === b).length - origins.filter((one) => one === a).length,
  )[0] ?? null

function whyNot({ record }: FoundRun, { normalisedGPerL, flags, ended }: RunAnswer): string | null {
  if (record.state === 'void') return 'it is void'
  if (record.breakIn) return 'it is a break-in'
  if (flags.some((flag) => flag.severity === 'error'))
    return 'its figure is impossible, or its readings contradict each other'
  if (normalisedGPerL === null) return ended === 'boiled' ? 'it has no normalised figure' : 'it never boiled'
  return null
}

function valuesOf({ record, stored, method }: FoundRun, answer: RunAnswer): ComparedRun['values'] {
  const value = (name: string) => stored.measured[name]?.value ?? null
  const conventions = conventionsOf(method)
  const named = (role: string) => record.parts.find((part) => part.role === role)?.name ?? null
  return {
    origin: record.origin,
    burner: named('burner'),
    pot: named('pot'),
    stand: named('stand'),
    lid: stored.lid,
    screen: stored.screen,
    fuelBatch: record.batch === null ? record.fuel : `${record.fuel}, ${record.batch}`,
    waterG: answer.litres === null ? null : Math.round(answer.litres * 1000),
    startC: value('waterStart'),
    boilingPointC: answer.boilingPointC === null ? null : Number(answer.boilingPointC.toFixed(1)),
    airC: value('air'),
    windMS: value('wind'),
    boil: conventions.boil === 'target' ? `${conventions.targetC} °C` : conventions.boil,
    clock: conventions.clock,
    setting: record.setting,
    breakIn: record.breakIn,
    observer: record.person,
  }
}
