/** The one list of event kinds, for the contract, the database, the bench and the log. */

import type { Setting } from '../formats/document'

export const EVENT_KINDS = [
  'armed',
  'lit',
  'bloomed',
  'potOn',
  'potOff',
  'lidOn',
  'lidOff',
  'reading',
  'firstBubbles',
  'rollingBoil',
  'targetReached',
  'fuelAdded',
  'relit',
  'settingChanged',
  'windChanged',
  'disturbance',
  'flameLeftPot',
  'flameOut',
  'snuffed',
  'shutOff',
  'gaveUp',
  'stopped',
  'weighed',
] as const
export type EventKind = (typeof EVENT_KINDS)[number]

export interface RunEvent {
  kind: EventKind
  /** Seconds on the run's clock. */
  s: number
  /** `fuelAdded`: what was added. */
  massKg?: number | null
  /** `reading`: the water's temperature. `targetReached`: the target it stands for, where that is known. */
  waterC?: number | null
  /** `settingChanged`: to what. */
  setting?: Setting | null
  /** `windChanged`: to what, where it was read [m/s]. */
  windMS?: number | null
  /** `stopped`: rain, knocked over. */
  reason?: string | null
}

/** In the order in which a run has them; a typed run in another order is probably swapped. */
export const EVENT_NAMES: Record<EventKind, string> = {
  armed: 'Armed',
  lit: 'Lit',
  bloomed: 'Full flame',
  potOn: 'Pot on',
  potOff: 'Pot off',
  lidOn: 'Lid on',
  lidOff: 'Lid off',
  reading: 'Reading',
  firstBubbles: 'First bubbles',
  rollingBoil: 'Rolling boil',
  targetReached: 'Target reached',
  fuelAdded: 'Fuel added',
  relit: 'Lit again',
  settingChanged: 'Setting changed',
  windChanged: 'Wind changed',
  disturbance: 'Knock',
  flameLeftPot: 'Flame left the pot',
  flameOut: 'Flame out',
  snuffed: 'Snuffed',
  shutOff: 'Shut off',
  gaveUp: 'Given up',
  stopped: 'Stopped from outside',
  weighed: 'Weighed',
}
