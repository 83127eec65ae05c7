/** How many repeats it takes to show a difference, and what difference so many can show. */
/// <reference path="./jstat.d.ts" />
import jstat from 'jstat'
import { findRoot } from '../numeric/findRoot'
import { ENOUGH, USUAL_SCATTER } from './scatter'
import { NORMAL_95, studentFactor95 } from './student'

const POWER = 0.8
const MOST = 200

/** How two arms are held against each other: the spread of their difference for runs that scatter by 1, and its freedom. */
interface DifferenceTest {
  spread: number
  freedom: number
}

/** Runs of each arm, in any order: Welch's test where both scatter alike. */
const ofRuns = (first: number, second: number): DifferenceTest => ({
  spread: Math.sqrt(1 / first + 1 / second),
  freedom: first + second - 2,
})

/** Blocks with a run of each arm: the test is of the differences within them. */
const ofBlocks = (blocks: number): DifferenceTest => ({ spread: Math.sqrt(2 / blocks), freedom: blocks - 1 })

/** Fewer than four runs of an arm are helped by the usual scatter, which is worth its runs. */
const helped = ({ spread, freedom }: DifferenceTest, fewest: number): DifferenceTest => ({
  spread,
  freedom: fewest < ENOUGH ? freedom + USUAL_SCATTER.runs - 1 : freedom,
})

/**
 * Power of a two-sided t test at 5 %, on logarithms: noncentral t with δ = ln(1 + difference)/(CV·spread).
 * Source: noncentralT.
 */
function powerOfTest({ spread, freedom }: DifferenceTest, cv: number, lnDifference: number): number {
  const delta = lnDifference / (cv * spread)
  const critical = studentFactor95(freedom)
  return 1 - jstat.noncentralt.cdf(critical, freedom, delta) + jstat.noncentralt.cdf(-critical, freedom, delta)
}

/**
 * Power of the two-sample test.
 * @param n runs in each arm, ≥ 2; `cv` coefficient of variation of one run; `difference` relative. Source: noncentralT.
 */
export const powerOf = (n: number, cv: number, difference: number): number =>
  powerOfTest(ofRuns(n, n), cv, Math.log1p(difference))

/**
 * Runs in each arm that show the difference four times out of five; null: more than 200. Example: CV 3 %, 5 % → 8.
 * @param sharedU of the ratio by what repeating does not shrink, relative
 */
export function replicatesNeeded(cv: number, difference: number, sharedU = 0): number | null {
  // However many there are, so much stays: 1.96 for the test, 0.84 for its power.
  if (Math.log1p(difference) < (NORMAL_95 + 0.84) * sharedU) return null
  const withShared = (n: number) => Math.sqrt(cv ** 2 + (n * sharedU ** 2) / 2)
  return fewestThat((n) => powerOf(n, withShared(n), difference) >= POWER)
}

/** Blocks that show the difference four times out of five; null: more than 200. Example: CV 3 %, 5 % → 9. */
export const blocksNeeded = (cv: number, difference: number): number | null =>
  fewestThat((n) => powerOfTest(helped(ofBlocks(n), n), cv, Math.log1p(difference)) >= POWER)

function fewestThat(shows: (n: number) => boolean): number | null {
  if (!shows(MOST)) return null
  let [few, enough] = [1, MOST]
  while (enough - few > 1) {
    const n = Math.floor((few + enough) / 2)
    if (shows(n)) enough = n
    else few = n
  }
  return enough
}

/** The relative difference that n runs in each arm show four times out of five. */
export const detectableDifference = (n: number, cv: number): number => shownBy(ofRuns(n, n), cv)

/** The relative difference that so many blocks show four times out of five; two at least. */
export const shownByBlocks = (blocks: number, cv: number): number => shownBy(helped(ofBlocks(blocks), blocks), cv)

function shownBy(test: DifferenceTest, cv: number): number {
  const gap = (ln: number) => powerOfTest(test, cv, ln) - POWER
  return Math.expm1(findRoot(gap, 1e-6 * cv, 40 * cv, 1e-6))
}
