/** What can be asked of the runs: tests, with the set-ups that were burned so. */
import type { ComparedMean } from '../../core/compare/facts'
import { groupedBy } from '../../core/compare/oneTest'
import { testAsked, testWords } from '../../core/compare/words'
import { byVolume } from '../../core/reduce/setupMeans'
import type { AskChoices } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { comparedMeans } from './repository/comparisons'

export async function askChoices(db: Connection): Promise<AskChoices> {
  const tests = groupedBy(await comparedMeans(db), ({ conventions, fuelKind, test: { kind, endC, setting } }) =>
    JSON.stringify([conventions, fuelKind, kind, endC, setting]),
  )
  const alike = tests.flatMap((means) =>
    byVolume(means.map((mean) => ({ mean, waterKg: mean.test.volumeG / 1000 }))).map((lot) =>
      lot.map(({ mean }) => mean),
    ),
  )
  const runsOf = (means: readonly ComparedMean[]) => means.reduce((sum, { n }) => sum + n, 0)
  return { tests: once(alike.sort((a, b) => runsOf(b) - runsOf(a))).map(testOf) }
}

/** Read by two conventions, a test is asked of the most runs. */
function once(tests: readonly ComparedMean[][]): ComparedMean[][] {
  const words = new Map<string, ComparedMean[]>()
  for (const one of tests) {
    const key = `${one[0]!.fuelKind} ${one[0]!.test.kind} ${testWords(one[0]!.test)}`
    if (!words.has(key)) words.set(key, one)
  }
  return [...words.values()]
}

const testOf = (means: readonly ComparedMean[]): AskChoices['tests'][number] => ({
  words: `${testWords(means[0]!.test)} on ${means[0]!.fuel.toLowerCase()}`,
  query: testAsked(means[0]!),
  setups: means
    .map(({ setupVersionId, setupId, setup, n }) => ({ versionId: setupVersionId, setupId, name: setup, n }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en')),
})
