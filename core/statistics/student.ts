/** Student's t: the kept package's, in the words used here. */
/// <reference path="./jstat.d.ts" />
import jstat from 'jstat'

const MOST_FREEDOM = 1e6

/** 95 % of a normal figure lie within so many standard deviations. */
export const NORMAL_95 = 1.96

/** Two-sided 95 % factor of Student's t. Example: 2 degrees of freedom → 4.303. */
export const studentFactor95 = (freedom: number): number => studentQuantile(0.975, freedom)

export const studentQuantile = (probability: number, freedom: number): number =>
  jstat.studentt.inv(probability, Math.min(freedom, MOST_FREEDOM))

/** Two-sided probability of a t at least so far from 0. */
export const studentTwoSided = (t: number, freedom: number): number =>
  Math.min(1, 2 * jstat.studentt.cdf(-Math.abs(t), Math.min(freedom, MOST_FREEDOM)))
