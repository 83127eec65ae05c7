/** The plain boil, which the other shipped methods vary. Windows and counts: commonPractice, and estimates of docs/methods.md. */
import type { EventKind } from '../run/events'
import type { MethodBody, TestName } from './method'

export const CONDITIONS = ['air', 'wind']
export const FUEL_BY_WEIGHT = ['fuelBefore', 'fuelAfter', 'scaleResolution']
export const ENDS: EventKind[] = ['gaveUp', 'stopped', 'flameOut']

/** A boil of two cups from about 20 °C, lid on, calm, weighed: what the others vary. */
export const BOIL: MethodBody = {
  test: 'boil',
  why: 'The plainest question: how much fuel, and how long, to boil a meal’s water with this set-up. Every other test is compared with it.',
  measures:
    'Time and fuel from pot-on to the boil, and fuel per litre, which is then brought to one start temperature, pressure, air and wind.',
  cannotSay:
    'How it does in wind, at another flame or with more water; whether a difference smaller than the scatter of repeats is real; whether the water is safe to drink.',
  steps: [
    'Let burner, pot and canister come to the air’s temperature: a warm burner lights faster.',
    'Weigh the water into the pot and read its temperature, stirred.',
    'Weigh burner with fuel, or the canister with the burner on.',
    'Read air and wind at the pot.',
    'Light, wait for the full flame, put the pot on, lid on, and start the clock by the school chosen.',
    'Do not lift the lid to look.',
    'At the boil, mark it and shut off in the same moment.',
    'Let everything cool, wipe it dry, and weigh again.',
  ],
  waterKg: 0.4732,
  startC: { low: 18, high: 22 },
  hardwareAboveAirK: 3,
  windMS: { low: 0, high: 0.5 },
  wind: 'calm',
  lid: 'on',
  setting: 'any',
  clock: 'potOn',
  boil: 'rollingBoil',
  burntOut: 'flameOut',
  fuel: 'weighed',
  litre: 'putIn',
  correction: 'loss',
  accessories: 'own',
  ranking: 'fuel',
  safeWater: 'rollingBoil',
  giveUpS: 900,
  durationS: null,
  replicates: 3,
  readEveryS: 60,
  must: [...CONDITIONS, 'water', 'waterStart', ...FUEL_BY_WEIGHT],
  may: ['altitude', 'fuelUsed', 'hardware', 'waterLast'],
  mustMark: ['potOn', 'rollingBoil'],
  mayMark: ['lit', 'bloomed', 'firstBubbles', 'shutOff', ...ENDS],
}

export const from = (test: TestName, changes: Partial<MethodBody>): MethodBody => ({ ...BOIL, test, ...changes })

export const LOAD = ['fuelLoad', 'scaleResolution']
