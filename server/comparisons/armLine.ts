/** An arm as it is shown: its mean, by the boil. */
import type { ComparedMean } from '../../core/compare/facts'
import { litresOfBoil } from '../../core/compare/measured'
import type { NamedLot } from '../../core/compare/lotSums'
import type { AskedUnit } from '../../core/formats/comparison'
import type { ComparedArm } from '../../shared/comparison'

/** @param lot in the unit */
export function armLine(
  { setupId, test }: ComparedMean,
  { name, sums: { n, middle } }: NamedLot,
  unit: AskedUnit = 'g',
): ComparedArm {
  const litres = litresOfBoil(unit, test.volumeG)
  return { name, setupId, n, boilG: middle.mean * litres, low: middle.low * litres, high: middle.high * litres }
}
