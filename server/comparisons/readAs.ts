/** By which conventions a mean was read. */
import type { ComparedMean } from '../../core/compare/facts'
import { listedOptions } from '../../shared/reduceOptions'
import { conventionsOf, type Conventions } from '../../shared/runOptions'
import type { Connection } from '../database/connection'
import { hashOf } from '../database/hash'
import { methodsOfSeries } from './repository/besides'

/** A mean is kept by the hash of them: they are those of one of its series' methods. */
export async function conventionsOfMean(
  db: Connection,
  { seriesKey, conventions }: Pick<ComparedMean, 'seriesKey' | 'conventions'>,
): Promise<Conventions> {
  const methods = await methodsOfSeries(db, seriesKey)
  const read = methods.find((method) => hashOf(listedOptions(method)) === conventions)
  return conventionsOf(read ?? methods[0] ?? null)
}
