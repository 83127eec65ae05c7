/** The means of a set-up's runs: one for each kind of test, end temperature, setting and volume. */
import type { MeanOf, RunAnswer, SetupMean } from '../formats/answer'
import type { BoilConvention } from '../formats/document'
import type { Reference } from '../normalise/reference'
import { waterPutIn, type RunInput } from '../run/runInput'
import { inGrams } from '../quantity/shown'
import { isImpossible } from '../plausibility/physicalLimit'
import { setupMean, type NormalisedRun } from '../statistics/setupMean'

/** Runs whose water differs by more make another mean. Source: estimate. */
export const ALIKE_VOLUME = 1.15

/** What a run brings to the mean it enters. */
export interface MeanInput extends NormalisedRun {
  id: string
  kind: MeanOf['kind']
  setting: MeanOf['setting']
  waterKg: number
}

/** Null: it enters none. Only a fully normalised figure enters a mean, and none that is impossible. */
export function meanInput(
  { kind, setting, water }: RunInput,
  answer: RunAnswer,
  { waterG }: Reference,
): MeanInput | null {
  if (answer.status !== 'normalised' || isImpossible(answer.flags)) return null
  return {
    id: answer.id,
    kind,
    setting,
    waterKg: waterG === null ? (waterPutIn(water) ?? 0) : waterG / 1000,
    gPerL: answer.normalisedGPerL!,
    uRandom: answer.normalisedURandom ?? 0,
    uReadingRandom: answer.normalisedUReadingRandom ?? 0,
    shared: answer.normalisedSharedBy,
  }
}

export interface Mean {
  mean: SetupMean
  /** Its runs. */
  ids: string[]
}

/** @param boil where all of them end */
export function meansOf(inputs: readonly MeanInput[], boil: BoilConvention): Mean[] {
  const endC = typeof boil === 'object' ? boil.targetC : null
  return alike(inputs).map((runs) => ({
    ids: runs.map((run) => run.id),
    mean: {
      kind: runs[0]!.kind,
      endC,
      setting: runs[0]!.setting,
      volumeG: Math.round(inGrams(runs.reduce((sum, run) => sum + run.waterKg, 0) / runs.length)),
      ...setupMean(runs),
    },
  }))
}

/** In one order whatever order they came in: kinds and settings as they first stand, volumes from the smallest on. */
function alike(inputs: readonly MeanInput[]): MeanInput[][] {
  const byTest = new Map<string, MeanInput[]>()
  for (const one of inputs) {
    const key = JSON.stringify([one.kind, one.setting])
    const group = byTest.get(key)
    if (group) group.push(one)
    else byTest.set(key, [one])
  }
  return [...byTest.values()].flatMap(byVolume)
}

/** Groups of like volumes, from the smallest on. */
export function byVolume<T extends { waterKg: number }>(inputs: readonly T[]): T[][] {
  const groups: T[][] = []
  for (const one of [...inputs].sort((a, b) => a.waterKg - b.waterKg)) {
    const group = groups.at(-1)
    if (group && isAlikeVolume(group[0]!.waterKg, one.waterKg)) group.push(one)
    else groups.push([one])
  }
  return groups
}

export const isAlikeVolume = (one: number, other: number): boolean =>
  Math.max(one, other) <= ALIKE_VOLUME * Math.min(one, other)
