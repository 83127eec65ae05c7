/** Words of questions: names of arms, lists, volumes. */
import { formatNumber } from '../quantity/format'
import type { MeanOf } from '../formats/answer'
import { partOf } from './candidates'
import type { ComparedMean } from './facts'

/** "the lid", "the lid and the stand". */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

export const burnerName = (mean: ComparedMean): string => partOf(mean, 'burner')?.name ?? mean.setup

export const volumeWords = (volumeG: number): string => `${formatNumber(volumeG, 0)}\u202fg`

/** A plain boil needs no word. */
const KIND_WORDS: Record<MeanOf['kind'], string | null> = {
  boil: null,
  boilBurnOut: 'boiled and burned out',
  burnOff: 'burned off',
  simmer: 'simmered',
  fixedTime: 'for a fixed time',
  warmUp: 'warmed up',
  fed: 'fed',
  wood: 'on wood',
  snow: 'of snow',
  coolDown: 'cooling down',
}

/** What the runs of a mean are alike in. */
export const testWords = ({ kind, volumeG, setting, endC }: MeanOf): string =>
  [
    volumeWords(volumeG),
    ...(KIND_WORDS[kind] === null ? [] : [KIND_WORDS[kind]]),
    ...(endC === null ? [] : [`to ${formatNumber(endC, 0)}\u202f°C`]),
    ...(setting === null ? [] : [`at ${setting}`]),
  ].join(', ')

/** How an address names a test. */
export const testAsked = ({
  test: { kind, endC, setting, volumeG },
  fuelKind,
}: ComparedMean): Record<string, string> => ({
  fuel: fuelKind,
  test: kind,
  water: String(volumeG),
  ...(endC === null ? {} : { end: String(endC) }),
  ...(setting === null ? {} : { setting }),
})

/** What tells means of one name apart, the plainest first. */
const TELLING: ((mean: ComparedMean) => string)[] = [
  ({ setup }) => setup,
  ({ setup, fuel }) => `${setup}, ${fuel}`,
  ({ setup, test }) => `${setup}, ${volumeWords(test.volumeG)}${test.setting === null ? '' : `, at ${test.setting}`}`,
  ({ setup, parts }) => `${setup}: ${parts.map(({ name }) => name).join(', ')}`,
]

/** A name for each: no two alike. */
export function armNamesOf(means: readonly ComparedMean[]): string[] {
  const tell = TELLING.find((one) => new Set(means.map(one)).size === means.length)
  return means.map((mean, i) => tell?.(mean) ?? `${mean.setup}, ${i + 1}`)
}
