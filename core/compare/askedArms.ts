/** The arms of a question that was asked of a document: which of their runs count, and what they bring. */
import { fuelOfKind } from '../constants/fuels'
import type { RunAnswer } from '../formats/answer'
import type { AskedUnit, Question } from '../formats/comparison'
import type { ReduceRequest, RunDocument } from '../formats/document'
import type { ArmRun } from '../statistics/arms'
import type { ComparedRun } from '../statistics/likeWithLike'
import { ofOneTest, whyNotCompared } from './oneTest'

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
  { arms, blocks, unit, volumeG }: Question,
  request: ReduceRequest,
  answers: ReadonlyMap<string, RunAnswer>,
): AskedArms {
  const documents = new Map(request.runs.flatMap((run) => ('error' in run ? [] : [[run.id, run] as const])))
  const { able, leftOut } = ableOf({ arms, unit }, { answers, documents })
  const { taken, ofOtherTests, ofOtherVolumes } = ofOneTest(able, ({ answer }) => answer.kind, volumeG)
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
      runs: taken.filter((one) => one.arm === arm).map((one) => countedRun(one, unit, blockOf)),
    })),
    leftOut: [
      ...leftOut,
      ...ofOtherTests.map(out('its kind of test is another than the others’')),
      ...ofOtherVolumes.map(out('it heated another volume')),
    ],
  }
}

function countedRun({ answer, document }: Able, unit: AskedUnit, blockOf: ReadonlyMap<string, string>): CountedRun {
  const scale = unit === 'g' ? 1 : heatOf(document)
  return {
    id: answer.id,
    answer,
    document,
    gPerL: answer.normalisedGPerL! * scale,
    uRandom: (answer.normalisedUReadingRandom ?? 0) * scale,
    stepGPerL: (answer.scaleStepGPerL ?? 0) * scale,
    shared: Object.fromEntries(
      Object.entries(answer.normalisedSharedBy).map(([cause, effect]) => [cause, effect * scale]),
    ),
    block: blockOf.get(answer.id),
    values: valuesOf(document, answer),
  }
}

interface Reduced {
  answers: ReadonlyMap<string, RunAnswer>
  documents: ReadonlyMap<string, RunDocument>
}
function ableOf(
  { arms, unit }: Pick<Question, 'arms' | 'unit'>,
  { answers, documents }: Reduced,
): { able: Able[]; leftOut: AskedArms['leftOut'] } {
  const leftOut: AskedArms['leftOut'] = []
  const able: Able[] = []
  arms.forEach(({ runs }, arm) => {
    for (const id of runs) {
      const [answer, document] = [answers.get(id), documents.get(id)]
      const isThere = answer !== undefined && document !== undefined
      const why = isThere ? whyNotAsked(answer, document, unit) : 'it is not among the runs, or could not be read'
      if (isThere && why === null) able.push({ arm, answer, document })
      else leftOut.push({ id, why: why! })
    }
  })
  return { able, leftOut }
}

/** In megajoules a fuel without a heating value is nothing. */
const whyNotAsked = (answer: RunAnswer, document: RunDocument, unit: AskedUnit): string | null =>
  whyNotCompared(answer) ??
  (unit === 'MJ' && Number.isNaN(heatOf(document)) ? 'the heat in its fuel is not known' : null)

/** Heat in a gram [MJ]; NaN: not known. */
function heatOf({ fuel: { kind, lhvMJPerKg } }: RunDocument): number {
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
