/** Fuel against a flame, wind, air, height or volume: one set-up, or several laid over each other. */
import type { ComparedMean } from '../../core/compare/facts'
import { AXES, lineWords } from '../../core/compare/lineWords'
import { armNamesOf, testWords } from '../../core/compare/words'
import { litresFromMass } from '../../core/water/liquid'
import type { LinesAnswer } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { askDocuments, seriesOfSetup, type DocumentAnswer } from './askDocuments'
import { atAskedWater, idsIn, unitOf, type AskedQuery } from './askedView'
import { conventionsOfMean } from './readAs'
import { NOT_IN_MONEY } from './prices'
import { comparedMeans } from './repository/comparisons'

const isLineKind = (kind: unknown): kind is LinesAnswer['kind'] => typeof kind === 'string' && Object.hasOwn(AXES, kind)
/** More lines in one drawing are told apart by nobody. */
const MOST_LINES = 5

/** @returns the lines, or why there are none, in words */
export async function linesQuestion(db: Connection, query: AskedQuery): Promise<LinesAnswer | string> {
  const { kind } = query
  if (!isLineKind(kind)) return 'What is it drawn against? Choose from what your runs can answer.'
  const means = await comparedMeans(db)
  const fuel = typeof query.fuel === 'string' && query.fuel !== '' ? query.fuel : null
  const drawn = idsIn(query.setups)
    .slice(0, MOST_LINES)
    .flatMap((id) => seriesOfSetup(means, id, fuel) ?? [])
  const [first] = drawn
  if (first === undefined) return NONE
  const names = armNamesOf(drawn)
  const { view, answer, found } = await askDocuments(
    db,
    drawn.map(({ seriesKey }, i) => ({ name: names[i]!, seriesKey, isOf: () => true })),
    { query, usual: await conventionsOfMean(db, first), question: { kind } },
  )
  return written({ kind, means, drawn, names, query, view, answer, found })
}
const NONE = 'No run of this set-up with this fuel is corrected in full. Burn it once in calm, by a boil method.'

/** Of the most of its runs. */
const commonVolume = (means: readonly ComparedMean[], { seriesKey }: ComparedMean): number =>
  means.filter((one) => one.seriesKey === seriesKey).reduce((best, one) => (one.n > best.n ? one : best)).test.volumeG

const othersOf = (
  means: readonly ComparedMean[],
  drawn: readonly ComparedMean[],
  fuel: string,
): LinesAnswer['others'] => {
  const taken = new Set(drawn.map(({ setupId }) => setupId))
  const others = new Map(
    means
      .filter((one) => one.fuelKind === fuel && !taken.has(one.setupId))
      .map(({ setupId, setup }) => [setupId, setup] as const),
  )
  return [...others].map(([id, name]) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name, 'en'))
}

interface Written {
  kind: LinesAnswer['kind']
  means: readonly ComparedMean[]
  drawn: readonly ComparedMean[]
  names: readonly string[]
  query: AskedQuery
  view: DocumentAnswer['view']
  answer: DocumentAnswer['answer']
  found: DocumentAnswer['found']
}
function written({ kind, means, drawn, names, query, view, answer, found }: Written): LinesAnswer {
  const [first] = drawn as [ComparedMean]
  return {
    view,
    unit: unitOf(query),
    ...NOT_IN_MONEY,
    kind,
    sentence: AXES[kind].asks(names),
    line: answer.lines
      .map((line) => (drawn.length === 1 ? lineWords(kind, line) : `${line.arm}: ${lineWords(kind, line)}`))
      .join(' '),
    of: testWords({ ...atAskedWater(query)(first).test, setting: null }),
    litres: kind === 'volume' ? null : litresFromMass((view.waterG ?? commonVolume(means, first)) / 1000),
    arms: drawn.map(({ setupId }, i) => ({
      name: names[i]!,
      setupId,
      n: answer.arms[i]!.n,
      isCounted: answer.arms[i]!.n > 0,
    })),
    lines: answer.lines,
    leftOut: answer.leftOut.flatMap(({ id, why }) => {
      const record = found.get(id)?.record
      if (record === undefined) return []
      const { startedAt, zone, setup } = record
      return [{ id, why, startedAt, zone, setup }]
    }),
    others: othersOf(means, drawn, first.fuelKind),
  }
}
