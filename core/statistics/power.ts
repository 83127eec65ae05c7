/** How many repeats it takes to show a difference, and what difference so many can show. */
/// <reference path="./jstat.d.ts" />
import jstat from 'jstat'
import { findRoot } from '../numeric/findRoot'
import { NORMAL_95, studentFactor95 } from './student'

const POWER = 0.8
const MOST = 200

/**
 * Power of a two-sided two-sample t test at 5 %, on logarithms: noncentral t with δ = ln(1 + difference)/(CV·√(2/n)).
 * @param n runs in each arm, ≥ 2; `cv` coefficient of variation of one run; `difference` relative. Source: noncentralT.
 */
export function powerOf(n: number, cv: number, difference: number): number {
  const freedom = 2 * n - 2
  const delta = Math.log1p(difference) / (cv * Math.sqrt(2 / n))
  const critical = studentFactor95(freedom)
  return 1 - jstat.noncentralt.cdf(critical, freedom, delta) + jstat.noncentralt.cdf(-critical, freedom, delta)
}

/**
 * Runs in each arm that show the difference four times out of five; null: more than 200. Example: CV 3 %, 5 % → 8.
 * @param sharedU of the ratio by what repeating does not shrink, relative
 */
export function replicatesNeeded(cv: number, difference: number, sharedU = 0): number | null {
  // However many there are, so much stays: 1.96 for the test, 0.84 for its power.
  if (Math.log1p(difference) < (NORMAL_95 + 0.84) * sharedU) return null
  const withShared = (n: number) => Math.sqrt(cv ** 2 + (n * sharedU ** 2) / 2)
  const shows = (n: number) => powerOf(n, withShared(n), difference) >= POWER
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
export function detectableDifference(n: number, cv: number): number {
  const gap = (ln: number) => powerOf(n, cv, Math.expm1(ln)) - POWER
  return Math.expm1(findRoot(gap, 1e-6 * cv, 40 * cv, 1e-6))
}
