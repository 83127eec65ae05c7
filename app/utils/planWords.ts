import type { UnitSystem } from '#core/quantity/kinds'
import type { Level } from '#core/plan/study'
import type { LeftWhy } from '#core/plan/burningTimes'
import type { PlannedLine, StudyPage, TypedStudy } from '#shared/plan'
import { shown } from './shownQuantity'

/** "B2": the arm, and which of its runs. */
export function labelOfRun(study: StudyPage, run: PlannedLine): string {
  const { letter } = study.arms.find(({ id }) => id === run.armId)!
  const own = study.runs.filter(({ armId }) => armId === run.armId)
  return `${letter}${own.findIndex(({ id }) => id === run.id) + 1}`
}

export function levelWords(level: Level | undefined, units: UnitSystem): string {
  if (level === undefined) return ''
  if (level.of === 'setting') return `at ${level.setting}`
  if (level.of === 'volume') return shown(level.waterKg, 'mass', units)
  if (level.of === 'air') return `air ${shown(level.airC, 'temperature', units)}`
  return level.windMS === 0 ? 'calm' : `wind ${shown(level.windMS, 'wind', units)}`
}

/** What is kept the same, in a line. */
export function heldWords({ held }: StudyPage, units: UnitSystem): string {
  const water = `${shown(held.waterKg, 'mass', units)} from ${shown(held.startC, 'temperature', units)}`
  const setting = held.setting === null ? '' : `at ${held.setting}`
  return [held.method, water, setting, held.fuel, held.place].filter((words) => words !== '').join(' · ')
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
