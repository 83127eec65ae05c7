/** What each part of the kit does to the fuel, over all set-ups of one fuel and kind of test. */
import { listed, testWords } from '../../core/compare/words'
import { LEVEL } from '../../core/statistics/compareArms'
import { ratioRange } from '../../core/statistics/verdictText'
import { factorEffects, type FactorAnswer } from '../../core/statistics/factors'
import type { ComparedFacts } from '../../core/compare/facts'
import type { FactorsAnswer } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { askedFacts } from './askedDocuments'
import { askedTest, isOfTest } from './askedTest'
import { atAskedWater, viewOf, type AskedQuery } from './askedView'
import { conventionsOfMean } from './readAs'
import { NOT_IN_MONEY } from './prices'
import { comparedMeans } from './repository/comparisons'

/** @returns what each does, or why nothing can be said, in words */
export async function factorsQuestion(db: Connection, query: AskedQuery): Promise<FactorsAnswer | string> {
  const test = askedTest(query)
  if (test === null) return NONE
  const means = (await comparedMeans(db))
    // Settings and lids are among what is asked.
    .filter((one) => isOfTest({ ...one, test: { ...one.test, setting: test.setting } }, test))
    .map(atAskedWater(query))
  const [first] = means
  if (first === undefined) return NONE
  const facts = await askedFacts(db, means, query)
  // Read by two conventions, a run is in two means.
  const runs = [...new Map([...facts.values()].flat().map((one) => [one.id, one])).values()]
  const answer = factorEffects(runs.map((one) => ({ gPerL: one.gPerL, factors: factorsOf(one) })))
  if (answer === null || answer.effects.length === 0)
    return 'Too few runs, or too few that differ in one part, to say what each part does. Two runs each of two set-ups that differ in one part are enough.'
  return {
    view: viewOf(query, await conventionsOfMean(db, first)),
    unit: 'g',
    ...NOT_IN_MONEY,
    sentence: `What does each part do to the ${first.fuel.toLowerCase()} that is burned?`,
    line: lineOf(answer),
    of: testWords({ ...first.test, setting: null }),
    runs: runs.length,
    leftOut: [],
    factors: shownFactors(answer),
    setups: new Set(means.map(({ setupId }) => setupId)).size,
  }
}
const NONE = 'No run of this fuel and kind of test is corrected in full.'

/** Kit, and how the valve stood. Who burned it, and when, is no part. */
const FACTORS = ['burner', 'pot', 'stand', 'lid', 'screen', 'setting'] as const
const SAID: Partial<Record<string, string>> = { true: 'on', false: 'off' }

function factorsOf({ values }: ComparedFacts): Record<string, string> {
  return Object.fromEntries(
    FACTORS.map((key) => {
      const value = values[key]
      return [key, value == null ? (key === 'setting' ? 'the usual' : 'none') : (SAID[String(value)] ?? String(value))]
    }),
  )
}

function shownFactors({ effects, aliased }: FactorAnswer): FactorsAnswer['factors'] {
  const tiedTo = (factor: string) => aliased.find((group) => group.includes(factor)) ?? []
  return effects
    .map(({ factor, level, base, change, ci95, p }) => ({
      what: level === null ? factor : `${factor}: ${level} in place of ${base ?? 'none'}`,
      ratio: 1 + change,
      ci95: [1 + ci95[0], 1 + ci95[1]] as [number, number],
      p,
      aliasedWith: tiedTo(factor).filter((one) => one !== factor),
    }))
    .sort((a, b) => a.ratio - b.ratio)
}

function lineOf(answer: FactorAnswer): string {
  const { effects, aliased } = answer
  const shown = shownFactors(answer).filter(({ p }) => p < LEVEL)
  const [most] = shown
  const saves = most !== undefined && most.ratio < 1 ? `Most is saved by ${most.what}: ${ratioRange(most.ci95)}. ` : ''
  const tied = aliased.map((group) => `${listed(group)} always changed together: cannot say which.`)
  const said =
    shown.length === 0
      ? 'No part is shown to do anything by itself.'
      : `${saves}${shown.length} of ${effects.length} ${effects.length === 1 ? 'change' : 'changes'} shown.`
  return [said, ...tied].join(' ')
}
