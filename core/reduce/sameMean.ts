/** Whether two means are one: of one kind of test, end, setting and volume. */
import type { MeanOf } from '../formats/answer'

/** The label of a mean, without its figures. */
export const meanOf = ({ kind, endC, setting, volumeG }: MeanOf): MeanOf => ({ kind, endC, setting, volumeG })

export const isSameMean = (one: MeanOf, other: MeanOf | null): boolean =>
  other !== null &&
  one.kind === other.kind &&
  one.endC === other.endC &&
  one.setting === other.setting &&
  one.volumeG === other.volumeG
