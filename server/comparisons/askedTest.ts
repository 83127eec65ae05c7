/** The test that an address names, and the means of it. */
import type { ComparedMean } from '../../core/compare/facts'
import { TEST_KINDS, SETTINGS } from '../../core/formats/document'
import { isAlikeVolume } from '../../core/reduce/setupMeans'

export interface AskedTest {
  fuel: string
  kind: ComparedMean['test']['kind']
  endC: number | null
  setting: ComparedMean['test']['setting']
  waterG: number
}

/** Null: it does not name one. */
export function askedTest(query: Record<string, unknown>): AskedTest | null {
  const kind = TEST_KINDS.find((one) => one === query.test)
  const waterG = Number(query.water)
  if (kind === undefined || typeof query.fuel !== 'string' || !(waterG > 0)) return null
  const endC = query.end === undefined ? null : Number(query.end)
  const setting = SETTINGS.find((one) => one === query.setting) ?? null
  return { fuel: query.fuel, kind, endC: Number.isFinite(endC) ? endC : null, setting, waterG }
}

/** @param fuel another one than the test's, where two are held against each other */
export const isOfTest = ({ test, fuelKind }: ComparedMean, asked: AskedTest, fuel: string = asked.fuel): boolean =>
  fuelKind === fuel &&
  test.kind === asked.kind &&
  test.endC === asked.endC &&
  test.setting === asked.setting &&
  isAlikeVolume(test.volumeG, asked.waterG)
