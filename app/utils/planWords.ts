import { formatNumber } from '#core/quantity/format'
import type { Level } from '#core/plan/study'
import type { LeftWhy } from '#core/plan/burningTimes'
import type { PlannedLine, StudyPage, TypedStudy } from '#shared/plan'

/** "B2": the arm, and which of its runs. */
export function labelOfRun(study: StudyPage, run: PlannedLine): string {
  const { letter } = study.arms.find(({ id }) => id === run.armId)!
  const own = study.runs.filter(({ armId }) => armId === run.armId)
  return `${letter}${own.findIndex(({ id }) => id === run.id) + 1}`
}

export function levelWords(level: Level | undefined): string {
  if (level === undefined) return ''
  if (level.of === 'setting') return `at ${level.setting}`
  if (level.of === 'volume') return `${formatNumber(level.waterKg * 1000, 0)}\u202fg`
  if (level.of === 'air') return `air ${formatNumber(level.airC, 0)}\u202f°C`
  return level.windMS === 0 ? 'calm' : `wind ${formatNumber(level.windMS, 1)}\u202fm/s`
}

export const LEFT_WORDS: Record<LeftWhy, string> = {
  pastEnd: 'does not fit before you are back',
  noPerson: 'who was to burn it is not there',
  noStation: 'its station is gone',
  noWindow: 'the weather leaves no time for it',
}

/** A study as it is sent when a part of it is to be another. */
export const studyToSend = (
  { id, revision, arms, held, levels, difference, replicates, days }: StudyPage,
  personId: string | null,
): TypedStudy => {
  const { methodId, fuelBatchId, placeId, waterKg, startC, setting } = held
  return {
    id,
    revision,
    personId,
    setupIds: arms.map(({ setupId }) => setupId),
    held: { methodId, fuelBatchId, placeId, waterKg, startC, setting },
    levels,
    difference,
    replicates,
    days,
  }
}
