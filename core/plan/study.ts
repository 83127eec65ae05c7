/** What a study asks and of what it is made, before anything burns. */
import type { Setting } from '../formats/document'

export const STUDY_KINDS = ['paired', 'setting', 'wind', 'cold', 'volume', 'claim', 'ring', 'ranking'] as const
export type StudyKind = (typeof STUDY_KINDS)[number]

/** What is varied besides the arms: wind at the pot [m/s], a valve's setting, air [°C], water [kg]. */
export type Level =
  | { id: string; of: 'wind'; windMS: number }
  | { id: string; of: 'setting'; setting: Setting }
  | { id: string; of: 'air'; airC: number }
  | { id: string; of: 'volume'; waterKg: number }

/** Arms, levels, and how often each meets each. A block is one run of each arm: at one level, or at every one. */
export interface Design {
  armIds: readonly string[]
  levels: readonly Level[]
  /** Runs of each arm at each level. */
  replicates: number
}

/** A run that is to be burned, in its place in the order. */
export interface DrawnRun {
  armId: string
  levelId: string | null
  /** Counted from 0. */
  block: number
}
