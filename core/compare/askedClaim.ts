/** A maker's claim held against runs, corrected to the conditions that it states. */
import { formatClock, formatNumber } from '../quantity/format'
import type { RunAnswer } from '../formats/answer'
import type { AskedClaim, ClaimedWhat } from '../formats/comparison'
import type { ReduceRequest, RunDocument } from '../formats/document'
import type { Reference } from '../normalise/reference'
import { reduceElsewhere } from '../reduceElsewhere'
import { isAlikeVolume } from '../reduce/setupMeans'
import {
  inTenths,
  judgeClaim,
  OPEN_STARTS_C,
  startTaken,
  type Brought,
  type Claimed,
  type ClaimVerdict,
} from '../statistics/claim'
import { setupMean } from '../statistics/setupMean'
import { litresFromMass } from '../water/liquid'

/** A run that the claim is held against. */
export interface ClaimRun {
  answer: RunAnswer
  document: RunDocument
  /** Fully corrected, by its own runs. */
  isCompared: boolean
}

const whole = (value: number): string => formatNumber(value, 0)
/** How a figure of a claim is shown, and its unit. */
const UNITS: Record<ClaimedWhat, Pick<Claimed, 'unit' | 'shown'>> = {
  gPerL: { shown: inTenths, unit: ' g/L' },
  gPerBoil: { shown: inTenths, unit: ' g' },
  timeS: { shown: (s) => formatClock(s), unit: '' },
  burnS: { shown: inTenths, unit: ' min' },
  boilsPerPack: { shown: inTenths, unit: ' boils' },
  powerW: { shown: whole, unit: ' W' },
}
/** A power reads about so well by a minute's weighing: 2 %. Source: estimate. */
const POWER_U = 0.02
/** A burn's end is seen to so many seconds. Source: estimate. */
const END_SEEN_S = 5

const NO_RUN: ClaimVerdict = { says: 'cannotSay', text: 'No run to hold the claim against.' }
const cannot = (why: string): ClaimVerdict => ({ says: 'cannotSay', text: `Cannot say: ${why}` })

/** @param runs of what the claim is about */
export function judgeAsked(claim: AskedClaim, request: ReduceRequest, runs: readonly ClaimRun[]): ClaimVerdict {
  const { what } = claim
  if (what === 'burnS' || what === 'powerW') return judgeAsBurned(claim, runs)
  const unstated = unstatedOf(claim)
  if (unstated !== null) return cannot(`it does not state how much ${unstated}.`)
  const compared = runs.filter(({ isCompared }) => isCompared)
  if (compared.length === 0) return NO_RUN
  const there = elsewhere(claim, request, compared)
  const starts = claim.conditions.startC === null ? OPEN_STARTS_C : [claim.conditions.startC]
  const brought = starts.flatMap((startC) => there(startC) ?? [])
  if (brought.length < starts.length) return cannot('its runs cannot be corrected to the stated conditions.')
  const verdict = judgeClaim(claimedOf(claim), brought)
  return claim.conditions.startC !== null || verdict.says === 'met' || verdict.says === 'aboutAsSaid'
    ? verdict
    : { ...verdict, text: `${verdict.text}${fitsFrom(claim, there)}` }
}

/** Without which it says nothing; null: all of that is stated. */
function unstatedOf({ what, conditions: { waterG, packG } }: AskedClaim): string | null {
  if (what !== 'gPerL' && waterG === null) return 'water a boil is'
  return what === 'boilsPerPack' && packG === null ? 'fuel the pack holds' : null
}

const claimedOf = ({ what, value, says }: AskedClaim): Claimed => ({
  ...UNITS[what],
  value: what === 'burnS' ? value / 60 : value,
  says: says ?? (what === 'burnS' || what === 'boilsPerPack' || what === 'powerW' ? 'atLeast' : 'atMost'),
})

type There = (startC: number) => Brought | null

/** The mean of the runs where the claim is made, from a start. */
function elsewhere(claim: AskedClaim, request: ReduceRequest, runs: readonly ClaimRun[]): There {
  const at = reduceElsewhere(request)
  const { airC, windMS, pressureHPa, waterG } = claim.conditions
  return (startC) => {
    const { reference } = request
    const there: Reference = {
      ...reference,
      startC,
      airC: airC ?? reference.airC,
      windMS: windMS ?? reference.windMS,
      pressureHPa: pressureHPa ?? reference.pressureHPa,
      waterG: waterG ?? reference.waterG,
    }
    const answers = runs.map(({ answer }) => at(answer.id, there)!)
    if (answers.some(({ normalisedGPerL }) => normalisedGPerL === null)) return null
    const mean = meanOf(answers, claim)
    return { ...mean, taken: claim.conditions.startC === null ? startTaken(startC) : null }
  }
}

/** In the claim's unit. */
function meanOf(
  answers: readonly RunAnswer[],
  { what, conditions: { waterG, packG } }: AskedClaim,
): Omit<Brought, 'taken'> {
  const isTime = what === 'timeS'
  const scaleOf = (answer: RunAnswer) => (isTime ? (answer.normalisedTimeS ?? NaN) / answer.normalisedGPerL! : 1)
  const mean = setupMean(
    answers.map((answer) => ({
      gPerL: answer.normalisedGPerL! * scaleOf(answer),
      uRandom: (answer.normalisedURandom ?? 0) * scaleOf(answer),
      uReadingRandom: isTime ? (answer.timeToBoilU ?? 0) : (answer.normalisedUReadingRandom ?? 0),
      shared: Object.fromEntries(
        Object.entries(answer.normalisedSharedBy).map(([cause, one]) => [cause, one * scaleOf(answer)]),
      ),
    })),
  )
  const uOne =
    Math.hypot(...answers.map((one) => (one.normalisedURandom ?? 0) * scaleOf(one))) / Math.sqrt(answers.length)
  const uRandom = Math.min(mean.meanU, uOne)
  if (what === 'gPerL' || isTime) return { value: mean.meanGPerL, u: mean.meanU, uRandom }
  const litres = litresFromMass(waterG! / 1000)
  const value = what === 'gPerBoil' ? mean.meanGPerL * litres : packG! / (mean.meanGPerL * litres)
  return { value, u: (value * mean.meanU) / mean.meanGPerL, uRandom: (value * uRandom) / mean.meanGPerL }
}

/** Starts that anybody pours from [°C]. */
const STARTS_C: readonly [number, number] = [0, 80]

/** From which start it would be so, where it does not say: it hangs on nothing else that is left open. */
function fitsFrom(claim: AskedClaim, there: There): string {
  const { says, value } = claimedOf(claim)
  const fits = (startC: number): boolean => {
    const brought = there(startC)
    return brought !== null && (says === 'atMost' ? brought.value <= value : brought.value >= value)
  }
  let [cold, warm] = STARTS_C
  if (!fits(warm)) return ` By these runs it fits from no start below ${warm}\u202f°C.`
  if (fits(cold)) return ''
  while (warm - cold > 0.5) {
    const middle = (cold + warm) / 2
    if (fits(middle)) warm = middle
    else cold = middle
  }
  return ` By these runs it fits from about ${formatNumber(warm, 0)}\u202f°C on.`
}

/** What is not corrected: how long a load burns, and how strong a flame is. */
function judgeAsBurned(claim: AskedClaim, runs: readonly ClaimRun[]): ClaimVerdict {
  const { loadG } = claim.conditions
  const isTime = claim.what === 'burnS'
  if (isTime && loadG === null) return cannot('it does not state how large the load is.')
  const values = runs.flatMap(({ answer, document: { fuel, setting } }) => {
    // A power is claimed of the full flame.
    const isSo = isTime
      ? fuel.loadG !== null && isAlikeVolume(fuel.loadG, loadG!)
      : setting === null || setting === 'full'
    const value = isTime ? burnMinutes(answer) : answer.firepowerW
    return value === null || !isSo ? [] : [value]
  })
  if (values.length === 0) return NO_RUN
  const uReading = isTime ? END_SEEN_S / 60 : POWER_U * values[0]!
  const { meanGPerL: value, meanU: u } = setupMean(
    values.map((one) => ({ gPerL: one, uRandom: uReading, uReadingRandom: uReading, shared: {} })),
  )
  return judgeClaim(claimedOf(claim), [{ taken: null, value, u, uRandom: u }])
}

const burnMinutes = ({ kind, test: { burnTimeS } }: RunAnswer): number | null =>
  burnTimeS === null || (kind !== 'burnOff' && kind !== 'boilBurnOut') ? null : burnTimeS / 60
