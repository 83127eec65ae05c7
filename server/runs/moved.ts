/** Which means of set-ups a day moved, and their places among those that they may be held against. */
import { setupMean } from '../../core/statistics/setupMean'
import { isAlikeVolume } from '../../core/reduce/setupMeans'
import type { MeanOf } from '../../core/formats/answer'
import type { Moved } from '../../shared/today'
import type { Connection } from '../database/connection'
import { figuresBefore, measuredMeans, setupsOfDay, type MeanRow } from './repository/means'

/** A mean that moved by less is as it was. */
const MOVED = 0.005

/**
 * Places are among means of one fuel, kind of test, end temperature, volume and conventions: grams of other fuels, or of
 * other tests, do not compare by themselves.
 */
export async function moved(db: Connection, date: string): Promise<Moved[]> {
  const names = await setupsOfDay(db, date)
  if (names.size === 0) return []
  const all = await measuredMeans(db)
  const before = await meansBefore(db, [...names.keys()], date)
  return all
    .filter((one) => names.has(one.key))
    .flatMap((one) => movedMean(one, { all, names, before }))
    .sort((a, b) => a.now.gPerL - b.now.gPerL)
}

/** What each of these means was before the day; none where it had no run. */
async function meansBefore(db: Connection, keys: string[], date: string): Promise<Map<string, number>> {
  const rows = await figuresBefore(db, keys, date)
  return new Map(
    rows.map(({ key, figures }) => [
      key,
      setupMean(figures.map((gPerL) => ({ gPerL, uRandom: 0, uReadingRandom: 0, shared: {} }))).meanGPerL,
    ]),
  )
}

interface Known {
  all: readonly MeanRow[]
  /** The set-ups of the means that have a run of the day. */
  names: ReadonlyMap<string, { id: string; name: string }>
  before: ReadonlyMap<string, number>
}
function movedMean(one: MeanRow, { all, names, before }: Known): Moved[] {
  const others = all.filter((other) => other.key !== one.key && mayCompare(one, other))
  const figureBefore = ({ key, meanGPerL }: MeanRow) => (names.has(key) ? before.get(key) : meanGPerL)
  const placed = (gPerL: number, figures: readonly number[]) => ({
    gPerL,
    rank: 1 + figures.filter((figure) => figure < gPerL).length,
  })
  const wasGPerL = before.get(one.key)
  const now = placed(
    one.meanGPerL,
    others.map((other) => other.meanGPerL),
  )
  const was =
    wasGPerL === undefined
      ? null
      : placed(
          wasGPerL,
          others.flatMap((other) => figureBefore(other) ?? []),
        )
  if (was !== null && was.rank === now.rank && Math.abs(now.gPerL / was.gPerL - 1) <= MOVED) return []
  const { id, name } = names.get(one.key)!
  return [{ setupId: id, setup: name, n: one.n, of: labelOf(one), among: others.length + 1, was, now }]
}

const mayCompare = (one: MeanRow, other: MeanRow): boolean =>
  one.conventions === other.conventions &&
  one.fuelKind === other.fuelKind &&
  one.kind === other.kind &&
  isAlikeVolume(one.volumeKg, other.volumeKg)

const labelOf = ({ kind, endC, setting, volumeKg }: MeanRow): MeanOf => ({
  kind,
  endC,
  setting,
  volumeG: volumeKg * 1000,
})
