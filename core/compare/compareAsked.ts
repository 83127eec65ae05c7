/** A question that is asked of a document of runs, answered by the same functions as the screens'. */
import type { ReduceAnswer, RunAnswer } from '../formats/answer'
import type {
  ArmAnswer,
  CompareAnswer,
  ComparedVerdict,
  CompareRequest,
  DocumentUnit,
  Question,
} from '../formats/comparison'
import { reduce } from '../reduce'
import { compareArms } from '../statistics/compareArms'
import { factorEffects } from '../statistics/factors'
import { likeWithLike, type Compared, type LikeWithLike } from '../statistics/likeWithLike'
import { rankArms, type Ranking } from '../statistics/manyArms'
import { ringTest } from '../statistics/ringTest'
import { USUAL_SCATTER, type PriorScatter } from '../statistics/scatter'
import { setupMean } from '../statistics/setupMean'
import type { Compared as ComparedIn } from '../statistics/verdictText'
import { CORE_VERSION } from '../version'
import { askedArms, type AskedArm } from './askedArms'
import { judgeAsked } from './askedClaim'
import { linesOf } from './askedLines'
import { whyNotCompared } from './oneTest'
import { placesOf } from './places'

/** @param request checked against its schema */
export function compareAsked({ reduce: request, question }: CompareRequest): CompareAnswer {
  const reduced = reduce(request)
  const { arms, leftOut } = askedArms(question, request, answersOf(reduced))
  const filled = arms.filter(({ runs }) => runs.length > 0)
  const differed = differedBetween(filled, question)
  if (isUnfinished(question, arms)) return unanswered(question, { arms, differed, leftOut })
  const how = { of: OF_UNIT[question.unit], prior: priorOf(question) }
  const ranking = rankArms(filled, how)
  return {
    ...COMPARED,
    verdict:
      question.kind === 'claim'
        ? claimVerdict(question, request, arms)
        : verdictOf(ranking, arms, { differed, unit: question.unit, how }),
    arms: arms.map((arm) => armAnswer(arm, ranking)),
    pairs: ranking.pairs.map(({ arms: pair, verdict, adjustedP }) => ({
      arms: pair,
      ratio: verdict.ratio,
      ci95: verdict.ci95,
      adjustedP,
      text: verdict.text,
    })),
    differed,
    leftOut,
    lines: linesOf(question.kind, arms, { request, setups: reduced.setups }),
    factors: question.kind === 'factors' ? factorsOf(filled) : [],
    ...scoresOf(question.kind, filled),
  }
}

const isUnfinished = ({ planned }: Question, arms: readonly AskedArm[]): boolean =>
  planned !== null && arms.some(({ runs }) => runs.length < planned.perArm)

/** What a plan asks for is not looked at before its end: no figure of it is said. */
function unanswered(
  { planned }: Question,
  { arms, differed, leftOut }: Pick<CompareAnswer, 'differed' | 'leftOut'> & { arms: readonly AskedArm[] },
): CompareAnswer {
  const why = `shown when its ${planned!.perArm} planned runs are burned`
  const left = arms.map(({ name, runs }) => `${runs.length} of ${planned!.perArm} of ${name}`)
  return {
    ...COMPARED,
    verdict: { ...NOTHING, says: 'tooFew', text: `Too few of the planned runs: ${left.join(', ')}. Shown at its end.` },
    arms: arms.map(({ name, runs }) => ({ ...NO_ARM, name, n: runs.length, why })),
    pairs: [],
    differed,
    leftOut,
    lines: [],
    factors: [],
    scores: [],
    ring: null,
  }
}
const COMPARED = { format: 'vulcanum-compared', version: 1, core: CORE_VERSION } as const
const NO_ARM = {
  mean: null,
  u: null,
  letters: null,
  places: null,
  asMeasured: { gPerBoil: null, s: null, n: 0, low: null, high: null },
}

/** What few runs are helped by. */
const priorOf = ({ scatter }: Question): PriorScatter =>
  scatter === null ? USUAL_SCATTER : { sd: scatter, runs: USUAL_SCATTER.runs, isAssumed: false }

const OF_UNIT: Record<DocumentUnit, ComparedIn> = {
  g: 'fuel',
  MJ: 'heat',
  money: 'money',
  s: 'time',
  carriedG: 'weight',
}

/** Several who burned the same. */
function scoresOf(kind: Question['kind'], arms: readonly AskedArm[]): Pick<CompareAnswer, 'scores' | 'ring'> {
  if (kind !== 'people' || arms.length < 2) return { scores: [], ring: null }
  const { scores, ...ring } = ringTest(arms.map(({ name, runs }) => ({ name, values: runs.map(({ gPerL }) => gPerL) })))
  return { scores, ring }
}

const answersOf = ({ runs }: ReduceAnswer): Map<string, RunAnswer> =>
  new Map(runs.flatMap((run) => ('error' in run ? [] : [[run.id, run] as const])))

const PARTS: readonly Compared[] = ['burner', 'pot', 'lid', 'screen', 'fuelBatch']
/** What is asked besides: who burned it. */
const BESIDES: Partial<Record<Question['kind'], readonly Compared[]>> = { people: ['observer'], volume: ['waterG'] }

/** What differs besides the question. Set-ups as they are used may differ in all that a burner brings. */
function differedBetween(arms: readonly AskedArm[], { as, kind }: Question): LikeWithLike {
  const runs = arms.flatMap(({ name, runs: own }) => own.map(({ values }) => ({ arm: name, normalised: true, values })))
  const firsts = arms.map((arm) => arm.runs[0]!.values)
  const asked = PARTS.filter((part) => new Set(firsts.map((values) => values[part] ?? null)).size > 1)
  return likeWithLike(runs, [...asked, ...(BESIDES[kind] ?? [])], { asUsed: as === 'used' && asked.includes('burner') })
}

const NOTHING = { ratio: null, ci95: null, p: null, adjustedP: null, by: null, detectable: null, measured: null }

/** Of two arms theirs, the second over the first as they were named; of more, who leads. */
function verdictOf(
  ranking: Ranking,
  arms: readonly AskedArm[],
  { differed, unit, how }: { differed: LikeWithLike; unit: DocumentUnit; how: Parameters<typeof compareArms>[1] },
): ComparedVerdict {
  const empty = arms.filter(({ runs }) => runs.length === 0)
  if (empty.length > 0 || arms.length < 2)
    return {
      ...NOTHING,
      says: 'tooFew',
      text: `Too few runs: ${empty.map(({ name }) => name).join(', ') || 'one arm'} has none to compare.`,
    }
  if (differed.grade === 'together') {
    const together = differed.differences.filter(({ grade }) => grade === 'together').map(({ text }) => text)
    return { ...NOTHING, says: 'confounded', text: together.join(' ') }
  }
  if (arms.length > 2) return leaderVerdict(ranking, unit)
  const [first, second] = arms as [AskedArm, AskedArm]
  const { ratio, ci95, p, by, detectable, says, text } = compareArms([first, second], how)
  return { ratio, ci95, p, adjustedP: null, by: by === 'tooFew' ? null : by, detectable, measured: null, says, text }
}

const LEADS: Record<DocumentUnit, string> = {
  g: 'uses least',
  MJ: 'uses least',
  money: 'costs least',
  s: 'is quickest',
  carriedG: 'is lightest to carry',
}

function leaderVerdict({ arms: [first, second], pairs: [pair] }: Ranking, unit: DocumentUnit): ComparedVerdict {
  const { verdict, adjustedP } = pair!
  const text = `${first!.name} ${LEADS[unit]}; against ${second!.name}, the next: ${verdict.text}`
  return { ...NOTHING, says: verdict.says, adjustedP, text }
}

function armAnswer({ name, runs, reduced }: AskedArm, ranking: Ranking): ArmAnswer {
  const place = placesOf(ranking).find((one) => one.name === name)
  const fuels = reduced.flatMap(({ answer }) => answer.fuelToBoilG ?? [])
  const times = reduced.flatMap(({ answer }) => answer.timeToBoilS ?? [])
  const mean = runs.length === 0 ? null : setupMean(runs.map(meanRun))
  return {
    name,
    n: runs.length,
    mean: mean?.meanGPerL ?? null,
    u: mean?.meanU ?? null,
    letters: ranking.arms.find((one) => one.name === name)?.letters ?? null,
    places: place === undefined ? null : [place.from, place.to],
    why: runs.length === 0 ? 'none of its runs counts' : null,
    asMeasured: {
      gPerBoil: averageOf(fuels),
      s: averageOf(times),
      n: fuels.length,
      low: fuels.length === 0 ? null : Math.min(...fuels),
      high: fuels.length === 0 ? null : Math.max(...fuels),
    },
  }
}

function meanRun({ gPerL, uRandom = 0, shared = {}, answer }: AskedArm['runs'][number]) {
  const uAll = ((answer.normalisedURandom ?? 0) * gPerL) / answer.normalisedGPerL!
  return { gPerL, uRandom: uAll, uReadingRandom: uRandom, shared }
}

const averageOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, one) => sum + one, 0) / values.length

function claimVerdict(
  { claim }: Question,
  request: CompareRequest['reduce'],
  arms: readonly AskedArm[],
): ComparedVerdict {
  const runs = arms.flatMap(({ reduced }) =>
    reduced.map((one) => ({ ...one, isCompared: whyNotCompared(one.answer) === null })),
  )
  if (claim === null || runs.length === 0)
    return { ...NOTHING, says: 'tooFew', text: 'No run to hold the claim against.' }
  const { says, text, measured } = judgeAsked(claim, request, runs)
  return { ...NOTHING, says, text, measured: measured ?? null }
}

const FACTORS = ['burner', 'pot', 'lid', 'screen', 'fuelBatch', 'setting'] as const

function factorsOf(arms: readonly AskedArm[]): CompareAnswer['factors'] {
  const runs = arms.flatMap((arm) =>
    arm.runs.map(({ gPerL, values }) => ({
      gPerL,
      factors: Object.fromEntries(FACTORS.flatMap((key) => (values[key] == null ? [] : [[key, String(values[key])]]))),
    })),
  )
  const answer = factorEffects(runs)
  if (answer === null) return []
  const aliasedWith = (factor: string) => answer.aliased.find((group) => group.includes(factor)) ?? []
  return answer.effects.map(({ factor, level, change, ci95, p }) => ({
    what: level === null ? factor : `${factor}: ${level}`,
    ratio: 1 + change,
    ci95: [1 + ci95[0], 1 + ci95[1]],
    p,
    aliasedWith: aliasedWith(factor).filter((one) => one !== factor),
  }))
}
