/** Set-ups of every fuel, each by one mean. */
import type { ComparedMean } from '../../core/compare/facts'
import { isOfTest, type AskedTest } from './askedTest'

/** A flame that nobody turned down. */
const isFull = ({ test: { setting } }: ComparedMean): boolean => setting === null || setting === 'full'

const isBetter = (one: ComparedMean, before: ComparedMean): boolean =>
  isFull(one) === isFull(before) ? one.n > before.n : isFull(one)

/** Of each series the mean of the most runs of this kind, end and volume; turned down only where it never was full. */
export function meansAcross(all: readonly ComparedMean[], test: AskedTest): ComparedMean[] {
  const best = new Map<string, ComparedMean>()
  for (const one of all) {
    const isHere = isOfTest({ ...one, test: { ...one.test, setting: test.setting } }, test, one.fuelKind)
    const before = best.get(one.seriesKey)
    if (isHere && (before === undefined || isBetter(one, before))) best.set(one.seriesKey, one)
  }
  return [...best.values()]
}
