/** Set-ups by what they took as measured, with the conditions they were burned in: for those without a wind meter. */
import type { ComparedMean } from '../../core/compare/facts'
import { volumeWords } from '../../core/compare/words'
import { formatNumber } from '../../core/quantity/format'
import { CALM_MS } from '../../core/reduce/uncertainInputs'
import { isAlikeVolume } from '../../core/reduce/setupMeans'
import { litresFromMass } from '../../core/water/liquid'
import type { RankingAnswer } from '../../shared/comparison'
import type { Connection } from '../database/connection'
import { byKey } from '../database/byKey'
import type { AskedTest } from './askedTest'
import { viewOf, type AskedQuery } from './askedView'
import { NOT_IN_MONEY } from './prices'
import { measuredRuns, type MeasuredRun } from './repository/measuredRuns'

interface Asked {
  test: AskedTest
  all: readonly ComparedMean[]
  others: RankingAnswer['others']
  query: AskedQuery
}

/** @returns the ranking, or why there is none, in words */
export async function measuredRanking(
  db: Connection,
  { test, all, others, query }: Asked,
): Promise<RankingAnswer | string> {
  const litres = litresFromMass(test.waterG / 1000)
  const runs = (await measuredRuns(db, { fuel: test.fuel, kind: test.kind })).filter(
    ({ waterKg }) => waterKg !== null && isAlikeVolume(waterKg * 1000, test.waterG),
  )
  const rows = [...byKey(runs, ({ setupId }) => setupId).values()]
    .map((lot) => rowOf(lot, litres))
    .sort((a, b) => a.boilG - b.boilG)
    .map((row, i) => ({ ...row, from: i + 1, to: i + 1 }))
  const [first] = rows
  if (first === undefined) return 'No run of this fuel, kind of test and volume boiled with its fuel weighed.'
  const fuel = all.find(({ fuelKind }) => fuelKind === test.fuel)?.fuel ?? test.fuel
  return {
    view: viewOf(query),
    unit: 'g',
    ...NOT_IN_MONEY,
    by: 'measured',
    isAcross: false,
    keptAt: null,
    sentence: `Which set-up boiled ${volumeWords(test.waterG)} on least ${fuel.toLowerCase()}, as measured?`,
    line: `${first.name}: ${formatNumber(first.boilG, 1)}\u202fg a boil on the average. Start, wind and height differ: it is no comparison of set-ups.`,
    fuel,
    rows,
    notRanked: [],
    others,
  }
}

function rowOf(lot: readonly MeasuredRun[], litres: number): RankingAnswer['rows'][number] {
  const grams = lot.map(({ gPerL }) => gPerL * litres)
  const [{ setup, setupId }] = lot as [MeasuredRun]
  return {
    name: setup,
    setupId,
    from: 0,
    to: 0,
    n: lot.length,
    boilG: grams.reduce((sum, one) => sum + one, 0) / grams.length,
    low: Math.min(...grams),
    high: Math.max(...grams),
    tiedWith: [],
    caution: null,
    moved: '',
    conditions: conditionsOf(lot),
    fuelG: null,
    timeS: null,
  }
}

const conditionsOf = (lot: readonly MeasuredRun[]): string =>
  [
    rangeWords(lot, { of: 'startC', label: 'start', unit: '°C' }),
    rangeWords(lot, { of: 'windMS', label: 'wind', unit: 'm/s' }),
    rangeWords(lot, { of: 'altitudeM', label: 'height', unit: 'm' }),
  ].join(' · ')

function rangeWords(
  lot: readonly MeasuredRun[],
  { of, label, unit }: { of: 'startC' | 'windMS' | 'altitudeM'; label: string; unit: string },
): string {
  const values = lot.flatMap((one) => one[of] ?? [])
  if (values.length === 0) return `${label} not read`
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const decimals = of === 'altitudeM' ? 0 : 1
  const shown = (value: number) => formatNumber(value, decimals)
  if (of === 'windMS' && high < CALM_MS) return 'calm'
  return shown(low) === shown(high)
    ? `${label} ${shown(low)}\u202f${unit}`
    : `${label} ${shown(low)} to ${shown(high)}\u202f${unit}`
}
