/** Which runs may be held against each other at all, and why others may not. */
import type { RunAnswer } from '../formats/answer'
import { byVolume, isAlikeVolume } from '../reduce/setupMeans'
import { DENSITY_20C } from '../water/liquid'

/** Its wind is taken out by what is usual of such burners, and not by its own runs. */
export const isByClass = ({ ladder }: RunAnswer): boolean => ladder.some((rung) => rung.basis === 'classDefault')

export const BY_CLASS = 'its wind is taken out by what is usual of such burners, and not by its own runs'

/** Only a figure that is wholly normalised, by runs of its own, is compared; null: it is one. */
export function whyNotCompared(answer: RunAnswer): string | null {
  const { normalisedGPerL, flags, ended, status } = answer
  if (flags.some((flag) => flag.severity === 'error'))
    return 'its figure is impossible, or its readings contradict each other'
  if (normalisedGPerL === null) return ended === 'boiled' ? 'it has no normalised figure' : 'it never boiled'
  if (status !== 'normalised') return 'its figure is corrected only in part'
  if (isByClass(answer)) return BY_CLASS
  return null
}

export interface OfOneTest<T> {
  taken: T[]
  ofOtherTests: T[]
  ofOtherVolumes: T[]
}

/**
 * Those of the commonest kind of test and end, and of the commonest volume of these.
 * @param testOf what it is a test of @param volumeG the volume, where one is asked for [g]
 */
export function ofOneTest<T extends { answer: RunAnswer }>(
  able: readonly T[],
  testOf: (one: T) => string,
  volumeG: number | null = null,
): OfOneTest<T> {
  const [tests, ofOtherTests] = commonest(groupedBy(able, testOf))
  const filled = tests.map((one) => ({ one, waterKg: waterOf(one.answer) }))
  const [taken, ofOtherVolumes] =
    volumeG === null
      ? commonest(byVolume(filled))
      : parted(filled, ({ waterKg }) => isAlikeVolume(waterKg * 1000, volumeG))
  return { taken: taken.map(({ one }) => one), ofOtherTests, ofOtherVolumes: ofOtherVolumes.map(({ one }) => one) }
}

const waterOf = ({ litres }: RunAnswer): number => ((litres ?? 0) / 1000) * DENSITY_20C

const parted = <T>(all: readonly T[], isIn: (one: T) => boolean): [T[], T[]] => [
  all.filter(isIn),
  all.filter((one) => !isIn(one)),
]

/** The largest group, the first of as large ones; and all others. */
function commonest<T>(groups: readonly T[][]): [T[], T[]] {
  const most = groups.reduce<T[]>((a, b) => (b.length > a.length ? b : a), [])
  return [most, groups.filter((one) => one !== most).flat()]
}

/** In the order in which their keys first stand. */
export function groupedBy<T>(all: readonly T[], keyOf: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>()
  for (const one of all) {
    const group = groups.get(keyOf(one))
    if (group) group.push(one)
    else groups.set(keyOf(one), [one])
  }
  return [...groups.values()]
}
