/** A method as pages show it. */
import type { MethodBody, TestName } from '../core/method/method'
import type { SchoolKey } from '../core/method/schools'
import type { RunRef, TypedRecord } from './record'

export const TEST_WORDS: Record<TestName, string> = {
  boil: 'boil',
  boilBurnOut: 'boil then burn out',
  burnOff: 'burn off, no pot',
  simmer: 'simmer',
  fixedTime: 'fixed-time heating',
  warmUp: 'warm-up',
  flameSetting: 'flame-setting series',
  wind: 'wind series',
  cold: 'cold series',
  paired: 'paired comparison',
  fed: 'fed test',
  wood: 'batch wood burn',
  snow: 'snow melt',
  claim: 'claim check',
  coolDown: 'cool-down',
  rise: '20 → 90 °C',
}

export interface TypedMethod extends TypedRecord {
  copiedFromId: string | null
}
export interface MethodLine {
  id: string
  name: string
  test: TestName
  shipped: boolean
  n: number
  retired: boolean
  runs: number
  why: string
  body: MethodBody
  copiedFrom: string | null
}
/** What a run of this method says when another school reads it. */
export interface SchoolFigure {
  key: SchoolKey
  value: string
  timeToBoilS: number | null
  gPerL: number | null
  normalisedGPerL: number | null
}
export interface MethodPage {
  record: TypedMethod
  line: MethodLine
  copiedFrom: { id: string; name: string } | null
  versions: { n: number; reason: string; createdAt: string; runs: number; body: MethodBody }[]
  use: { count: number; runs: RunRef[] }
  figures: { run: RunRef; schools: SchoolFigure[] } | null
}
