/** The arms of a question that was asked of a document: which of their runs count, and what they bring. */
import { fuelOfKind } from '../constants/fuels'
import type { RunAnswer } from '../formats/answer'
import type { Question } from '../formats/comparison'
import type { ReduceRequest, RunDocument } from '../formats/document'
import { isAlikeVolume } from '../reduce/setupMeans'
import type { ArmRun } from '../statistics/arms'
import type { ComparedRun } from '../statistics/likeWithLike'
import { ALONG_KINDS } from './along'
import { BY_CLASS, groupedBy, ofOneTest, whyNotCompared, type OfOneTest } from './oneTest'

/** A run that counts. */
export interface CountedRun extends ArmRun {
  id: string
  answer: RunAnswer
  document: RunDocument
  values: ComparedRun['values']
}

export interface AskedArm {
  name: string
  runs: CountedRun[]
  /** Left out since nothing but its class says what wind does to it: drawn against wind all the same. */
  byClass: CountedRun[]
  /** All its runs that were reduced, for what a tester would quote. */
  reduced: { answer: RunAnswer; document: RunDocument }[]
}

export interface AskedArms {
  arms: AskedArm[]
  leftOut: { id: string; why: string }[]
}

interface Able {
  arm: number
  answer: RunAnswer
  document: RunDocument
}

/** Fully normalised figures of one kind of test and one volume; the others, and why they are left out. */
export function askedArms(
  { arms, blocks, volumeG, ...priced }: Question,
  request: ReduceRequest,
  answers: ReadonlyMap<string, RunAnswer>,
): AskedArms {
  const documents = new Map(request.runs.flatMap((run) => ('error' in run ? [] : [[run.id, run] as const])))
  const { able, byClass, leftOut } = ableOf({ arms, ...priced }, { answers, documents })
  const { taken, ofOtherTests, ofOtherVolumes } =
    priced.kind === 'volume' ? ofAllVolumes(able) : ofOneTest(able, testOf(priced.kind), volumeG)
  const out =
    (why: string) =>
    ({ answer }: Able) => ({ id: answer.id, why })
  const blockOf = new Map(blocks.flatMap((block, i) => block.map((id) => [id, `block ${i}`] as const)))
  return {
    arms: arms.map(({ name, runs }, arm) => ({
      name,
      reduced: runs.flatMap((id) => {
        const [answer, document] = [answers.get(id), documents.get(id)]
        return answer === undefined || document === undefined ? [] : [{ answer, document }]
      }),
      runs: taken.filter((one) => one.arm === arm).map((one) => countedRun(one, priced, blockOf)),
      byClass: byClass
        .filter((one) => one.arm === arm && isLike(one, taken[0]))
        .map((one) => countedRun(one, priced, blockOf)),
    })),
    leftOut: [
      ...leftOut,
      ...ofOtherTests.map(out('its kind of test or its setting is another than the others’')),
      ...ofOtherVolumes.map(out('it heated another volume')),
    ],
  }
}

/** Of the kind of test and volume that are compared; where none are, all are alike. */
const isLike = ({ answer }: Able, first: Able | undefined): boolean =>
  first === undefined ||
  (answer.kind === first.answer.kind && isAlikeVolume(answer.litres ?? NaN, first.answer.litres ?? NaN))

/** Against wind, air or height a low flame is no full one; two set-ups are compared as they were burned. */
const testOf =
  (kind: Question['kind']) =>
  ({ answer, document }: Able): string =>
    ALONG_KINDS.some((one) => one === kind) ? `${answer.kind} ${document.setting}` : answer.kind

/** What a question asks of fuel, heat, money, weight or time, and what it costs and is carried in. */
type Priced = Pick<Question, 'kind' | 'unit' | 'prices' | 'containers'>

/** All volumes of the commonest kind of test: how they differ is what is asked. */
function ofAllVolumes(able: readonly Able[]): OfOneTest<Able> {
  const kinds = groupedBy(able, ({ answer }) => answer.kind)
  const taken = kinds.reduce<Able[]>((a, b) => (b.length > a.length ? b : a), [])
  return { taken, ofOtherTests: able.filter((one) => !taken.includes(one)), ofOtherVolumes: [] }
}

function countedRun({ answer, document }: Able, asked: Priced, blockOf: ReadonlyMap<string, string>): CountedRun {
  return {
    id: answer.id,
    answer,
    document,
    ...(asked.unit === 's' ? timeOf(answer) : scaled(answer, perGram(document, asked))),
    block: blockOf.get(answer.id),
    values: valuesOf(document, answer),
  }
}

function scaled(answer: RunAnswer, scale: number): ArmRun {
  return {
    gPerL: answer.normalisedGPerL! * scale,
    uRandom: (answer.normalisedUReadingRandom ?? 0) * scale,
    stepGPerL: (answer.scaleStepGPerL ?? 0) * scale,
    shared: Object.fromEntries(
      Object.entries(answer.normalisedSharedBy).map(([cause, effect]) => [cause, effect * scale]),
    ),
  }
}

/** A clock's readings share nothing. */
const timeOf = ({ normalisedTimeS, timeToBoilU }: RunAnswer): ArmRun => ({
  gPerL: normalisedTimeS!,
  uRandom: timeToBoilU ?? 0,
})

/** The question's unit in a gram of the run's fuel; NaN: not known. */
function perGram({ fuel }: RunDocument, { unit, prices, containers }: Priced): number {
  if (unit === 'MJ') return heatOf(fuel)
  const kind = fuel.kind ?? ''
  if (unit === 'money') return prices[kind] === undefined ? NaN : prices[kind].amount / prices[kind].forG
  if (unit !== 'carriedG') return 1
  const full = containers[kind]
  return full === undefined ? NaN : (full.fuelG + full.shellG) / full.fuelG
}

interface Reduced {
  answers: ReadonlyMap<string, RunAnswer>
  documents: ReadonlyMap<string, RunDocument>
}
function ableOf(
  { arms, ...asked }: Pick<Question, 'arms'> & Priced,
  { answers, documents }: Reduced,
): { able: Able[]; byClass: Able[]; leftOut: AskedArms['leftOut'] } {
  const leftOut: AskedArms['leftOut'] = []
  const able: Able[] = []
  const byClass: Able[] = []
  arms.forEach(({ runs }, arm) => {
    for (const id of runs) {
      const [answer, document] = [answers.get(id), documents.get(id)]
      const isThere = answer !== undefined && document !== undefined
      const why = isThere ? whyNotAsked(answer, document, asked) : 'it is not among the runs, or could not be read'
      if (isThere && why === null) able.push({ arm, answer, document })
      else leftOut.push({ id, why: why! })
      if (isThere && why === BY_CLASS) byClass.push({ arm, answer, document })
    }
  })
  return { able, byClass, leftOut }
}

const NOT_KNOWN: Partial<Record<Question['unit'], string>> = {
  MJ: 'the heat in its fuel is not known',
  money: 'the price of its fuel is not known',
  carriedG: 'what its fuel is carried in is not known',
}
/** What has no measure in the question's unit is nothing in it. */
function whyNotAsked(answer: RunAnswer, document: RunDocument, asked: Priced): string | null {
  const why = whyNotCompared(answer)
  if (why !== null) return why
  if (asked.unit === 's') return answer.normalisedTimeS === null ? 'its time is not known' : null
  return Number.isNaN(perGram(document, asked)) ? NOT_KNOWN[asked.unit]! : null
}

/** Heat in a gram [MJ]; NaN: not known. */
function heatOf({ kind, lhvMJPerKg }: RunDocument['fuel']): number {
  const builtIn = kind === null ? undefined : fuelOfKind(kind)?.lowerHeatingValue.value
  return (lhvMJPerKg ?? builtIn ?? NaN) / 1000
}

const words = (...parts: (string | number | null)[]): string | null => {
  const said = parts.filter((part) => part !== null)
  return said.length === 0 ? null : said.join(' ')
}

function valuesOf({ burner, pot, place, water, fuel, ...run }: RunDocument, answer: RunAnswer): ComparedRun['values'] {
  return {
    origin: run.origin,
    burner: words(burner.kind, burner.head),
    pot: words(pot.massG, pot.material, pot.diameterMm, pot.finned === true ? 'finned' : null),
    lid: run.lid,
    screen: run.screen,
    fuelBatch: fuel.kind,
    waterG: answer.litres === null ? null : Math.round(answer.litres * 1000),
    startC: water.startC,
    boilingPointC: answer.boilingPointC === null ? null : Number(answer.boilingPointC.toFixed(1)),
    airC: place.airC,
    windMS: place.windMS,
    ...(run.setting === null ? {} : { setting: run.setting }),
  }
}
