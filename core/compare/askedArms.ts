/** The arms of a question that was asked of a document: which of their runs count, and what they bring. */
import { fuelOfKind } from '../constants/fuels'
import type { RunAnswer } from '../formats/answer'
import type { AskedUnit, Question } from '../formats/comparison'
import type { ReduceRequest, RunDocument } from '../formats/document'
import { isImpossible } from '../plausibility/physicalLimit'
import { byVolume, isAlikeVolume } from '../reduce/setupMeans'
import type { ArmRun } from '../statistics/arms'
import type { ComparedRun } from '../statistics/likeWithLike'
import { DENSITY_20C } from '../water/liquid'

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
  const leftOut: AskedArms['leftOut'] = []
  const able: Able[] = []
  arms.forEach(({ runs }, arm) => {
    for (const id of runs) {
      const answer = answers.get(id)
      const document = documents.get(id)
      const why =
        answer === undefined || document === undefined
          ? 'it is not among the runs, or could not be read'
          : whyNot(answer)
      if (why === null) able.push({ arm, answer: answer!, document: document! })
      else leftOut.push({ id, why })
    }
  })
  const { counted, others } = ofOneTest(able, volumeG)
  const blockOf = new Map(blocks.flatMap((block, i) => block.map((id) => [id, `block ${i}`] as const)))
  return {
    arms: arms.map(({ name, runs }, arm) => ({
      name,
      reduced: runs.flatMap((id) => {
        const [answer, document] = [answers.get(id), documents.get(id)]
        return answer === undefined || document === undefined ? [] : [{ answer, document }]
      }),
      runs: counted.filter((one) => one.arm === arm).map((one) => countedRun(one, unit, blockOf)),
    })),
    leftOut: [...leftOut, ...others],
  }
}

function whyNot({ status, normalisedGPerL, flags, ended, ladder }: RunAnswer): string | null {
  if (isImpossible(flags)) return 'its figure is impossible'
  if (normalisedGPerL === null) return ended === 'boiled' ? 'it has no normalised figure' : 'it never boiled'
  if (status !== 'normalised') return 'its figure is corrected only in part'
  if (ladder.some(({ basis }) => basis === 'classDefault'))
    return 'its wind is taken out by what is usual of such burners, and not by its own runs'
  return null
}

function ofOneTest(able: readonly Able[], volumeG: number | null): { counted: Able[]; others: AskedArms['leftOut'] } {
  const kinds = grouped(able, ({ answer }) => answer.kind)
  const alike = largest(kinds)
  const volumes = byVolume(alike.map((one) => ({ ...one, waterKg: waterKg(one) })))
  const counted =
    volumeG === null ? largest(volumes) : alike.filter((one) => isAlikeVolume(waterKg(one) * 1000, volumeG))
  const ids = new Set(counted.map(({ answer }) => answer.id))
  const ofKind = new Set(alike.map(({ answer }) => answer.id))
  return {
    counted,
    others: able
      .filter(({ answer }) => !ids.has(answer.id))
      .map(({ answer: { id } }) => ({
        id,
        why: ofKind.has(id) ? 'it heated another volume' : 'its kind of test is another than the others’',
      })),
  }
}

const waterKg = ({ answer }: Able): number => ((answer.litres ?? 0) / 1000) * DENSITY_20C
const largest = <T>(groups: readonly T[][]): T[] => groups.reduce<T[]>((a, b) => (b.length > a.length ? b : a), [])

function grouped(able: readonly Able[], keyOf: (one: Able) => string): Able[][] {
  const groups = new Map<string, Able[]>()
  for (const one of able) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one])
  return [...groups.values()]
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
