/** A question that is asked of a document of runs, answered by the same functions as the screens'. */
import type { ReduceAnswer, RunAnswer } from '../formats/answer'
import type {
  ArmAnswer,
  AskedClaim,
  CompareAnswer,
  ComparedVerdict,
  CompareRequest,
  Question,
} from '../formats/comparison'
import { reduce } from '../reduce'
import { judgeClaim, OPEN_STARTS_C, type Brought } from '../statistics/claim'
import { compareArms } from '../statistics/compareArms'
import { factorEffects } from '../statistics/factors'
import { likeWithLike, type Compared, type LikeWithLike } from '../statistics/likeWithLike'
import { rankArms, type Ranking } from '../statistics/manyArms'
import { setupMean } from '../statistics/setupMean'
import { CORE_VERSION } from '../version'
import { litresFromMass } from '../water/liquid'
import { askedArms, type AskedArm } from './askedArms'
import { linesOf } from './askedLines'
import { placesOf } from './places'

/** @param request checked against its schema */
export function compareAsked({ reduce: request, question }: CompareRequest): CompareAnswer {
  const reduced = reduce(request)
  const { arms, leftOut } = askedArms(question, request, answersOf(reduced))
  const filled = arms.filter(({ runs }) => runs.length > 0)
  const differed = differedBetween(filled, question)
  const ranking = rankArms(filled)
  return {
    format: 'vulcanum-compared',
    version: 1,
    core: CORE_VERSION,
    verdict: question.kind === 'claim' ? claimVerdict(question, request, filled) : verdictOf(ranking, arms, differed),
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
    lines: linesOf(question.kind, arms, reduced.setups),
    factors: question.kind === 'factors' ? factorsOf(filled) : [],
  }
}

const answersOf = ({ runs }: ReduceAnswer): Map<string, RunAnswer> =>
  new Map(runs.flatMap((run) => ('error' in run ? [] : [[run.id, run] as const])))

const PARTS: readonly Compared[] = ['burner', 'pot', 'lid', 'screen', 'fuelBatch']

/** What differs besides the question. Set-ups as they are used may differ in all that a burner brings. */
function differedBetween(arms: readonly AskedArm[], { as }: Question): LikeWithLike {
  const runs = arms.flatMap(({ name, runs: own }) => own.map(({ values }) => ({ arm: name, normalised: true, values })))
  const firsts = arms.map((arm) => arm.runs[0]!.values)
  const asked = PARTS.filter((part) => new Set(firsts.map((values) => values[part] ?? null)).size > 1)
  return likeWithLike(runs, asked, { asUsed: as === 'used' && asked.includes('burner') })
}

const NOTHING = { ratio: null, ci95: null, p: null, adjustedP: null, by: null, detectable: null }

/** Of two arms theirs, the second over the first as they were named; of more, who leads. */
function verdictOf(ranking: Ranking, arms: readonly AskedArm[], differed: LikeWithLike): ComparedVerdict {
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
  if (arms.length > 2) return leaderVerdict(ranking)
  const { ratio, ci95, p, by, detectable, says, text } = compareArms([arms[0]!, arms[1]!])
  return { ratio, ci95, p, adjustedP: null, by: by === 'tooFew' ? null : by, detectable, says, text }
}

function leaderVerdict({ arms: [first, second], pairs: [pair] }: Ranking): ComparedVerdict {
  const { verdict, adjustedP } = pair!
  const text = `${first!.name} uses least; against ${second!.name}, the next: ${verdict.text}`
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
  const ids = new Set(arms.flatMap(({ runs }) => runs.map(({ id }) => id)))
  if (claim === null || ids.size === 0) return { ...NOTHING, says: 'tooFew', text: 'No run to hold the claim against.' }
  const starts = claim.conditions.startC === null ? OPEN_STARTS_C : [claim.conditions.startC]
  const brought = starts.flatMap((startC) => broughtTo(request, { claim, startC, ids }) ?? [])
  if (brought.length < starts.length)
    return { ...NOTHING, says: 'cannotSay', text: 'Cannot say: its runs cannot be corrected to the stated conditions.' }
  const litres = claim.conditions.waterG === null ? null : litresFromMass(claim.conditions.waterG / 1000)
  if (claim.what === 'gPerBoil' && litres === null)
    return { ...NOTHING, says: 'cannotSay', text: 'Cannot say: it does not state how much water a boil is.' }
  const { says, text } = judgeClaim(claim.what === 'gPerL' ? claim.value : claim.value / litres!, brought)
  return { ...NOTHING, says, text }
}

/** The mean of the runs at the claim's conditions; null: they cannot be brought there. */
function broughtTo(
  request: CompareRequest['reduce'],
  { claim, startC, ids }: { claim: AskedClaim; startC: number; ids: ReadonlySet<string> },
): Brought | null {
  const { conditions } = claim
  const { reference } = request
  const there = reduce({
    ...request,
    reference: {
      ...reference,
      startC,
      airC: conditions.airC ?? reference.airC,
      windMS: conditions.windMS ?? reference.windMS,
      pressureHPa: conditions.pressureHPa ?? reference.pressureHPa,
      waterG: conditions.waterG,
    },
  })
  const runs = there.runs.flatMap((run) => ('error' in run || !ids.has(run.id) ? [] : [run]))
  if (runs.some(({ normalisedGPerL }) => normalisedGPerL === null)) return null
  const mean = setupMean(
    runs.map((run) => ({
      gPerL: run.normalisedGPerL!,
      uRandom: run.normalisedURandom ?? 0,
      uReadingRandom: run.normalisedUReadingRandom ?? 0,
      shared: run.normalisedSharedBy,
    })),
  )
  const uRandom = Math.sqrt(averageOf(runs.map((run) => (run.normalisedURandom ?? 0) ** 2))!)
  const taken = conditions.startC === null ? `start ${startC} °C` : null
  return { taken, gPerL: mean.meanGPerL, u: mean.meanU, uRandom: Math.min(mean.meanU, uRandom) }
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
