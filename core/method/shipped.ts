/**
 * The methods that ship: one for every kind of test. Windows and counts: commonPractice, and the estimates of
 * docs/methods.md.
 */
import type { MethodBody, TestName } from './method'
import { BOIL, CONDITIONS, from, FUEL_BY_WEIGHT, LOAD } from './shippedBoil'
import { COOL_DOWN, FED, SNOW, WOOD } from './shippedFuels'
import { SHIPPED_SERIES } from './shippedSeries'

const BOIL_BURN_OUT = from('boilBurnOut', {
  why: 'For burners that cannot be shut off, and to know what a load gives: boil, and then how long the rest burns.',
  measures:
    'Time to the boil, total burn time of the load, how many boils are in it, and useful heat after the boil. Fuel to the boil by its share of burn time, or by weighing.',
  cannotSay:
    'That a load which burns longer is thriftier: burn time is not efficiency. A share of burn time assumes an even flame.',
  steps: [
    'Measure the load by weight; a measure by volume wants the fuel’s temperature.',
    ...BOIL.steps.slice(0, 2),
    'Light, time the bloom, put the pot on, lid on.',
    'Mark the boil and let it run on.',
    'Mark where the flame no longer reaches the pot, and where it is gone.',
    'An alcohol flame may be invisible: treat it as lit until it is cold.',
  ],
  fuel: 'burnShare',
  must: [...CONDITIONS, 'water', 'waterStart', ...LOAD],
  may: ['altitude', 'fuelUsed', 'fuelBefore', 'fuelAfter', 'fuelTemp', 'hardware'],
  mustMark: ['lit', 'potOn', 'rollingBoil', 'flameOut'],
  mayMark: ['bloomed', 'firstBubbles', 'flameLeftPot', 'snuffed', 'gaveUp', 'stopped'],
})

const BURN_OFF = from('burnOff', {
  why: 'To compare burners or fuels by themselves: the same load in each, lit together, no pot.',
  measures: 'Burn time and burn rate by mass and by volume; firepower.',
  cannotSay: 'Fuel per litre, or which boils faster: a pot changes the flame, and a long burn is not a thrifty one.',
  steps: [
    'Measure the same load into each burner.',
    'Nothing above the flame, nothing that burns near it.',
    'Light, mark full flame, and mark when the flame is gone.',
    'In daylight an alcohol flame cannot be seen: hold a hand well above, or darken the room.',
  ],
  waterKg: null,
  startC: { low: null, high: null },
  lid: 'any',
  boil: 'rollingBoil',
  fuel: 'burnShare',
  safeWater: 'notAsked',
  giveUpS: null,
  readEveryS: null,
  must: [...CONDITIONS, ...LOAD],
  may: ['altitude', 'fuelTemp', 'fuelUsed', 'hardware'],
  mustMark: ['lit', 'flameOut'],
  mayMark: ['bloomed', 'snuffed', 'shutOff', 'stopped'],
})

const SIMMER = from('simmer', {
  why: 'To know how low it goes: whether it can keep a pot just boiling, and for how long on a load.',
  measures:
    'Burn time and rate turned down, the turn-down ratio against the set-up’s own highest firepower, and the heat that holds the boil.',
  cannotSay: 'Fuel per litre: nothing rises, so it is never brought to a reference.',
  steps: [
    'Bring the water to the boil first, and only then set the reducer, the ring or the low valve.',
    'Weigh, light, pot on, lid on.',
    'Keep it just boiling; mark every change of the setting.',
    'Mark where it fell below the boil, and where the flame was gone.',
  ],
  startC: { low: null, high: null },
  setting: 'low',
  fuel: 'burnShare',
  hardwareAboveAirK: null,
  giveUpS: null,
  must: [...CONDITIONS, 'water', ...LOAD],
  may: ['altitude', 'waterStart', 'fuelUsed', 'fuelBefore', 'fuelAfter', 'fuelTemp'],
  mustMark: ['potOn', 'flameOut'],
  mayMark: ['lit', 'bloomed', 'settingChanged', 'flameLeftPot', 'shutOff', 'snuffed', 'stopped'],
})

const FIXED_TIME = from('fixedTime', {
  why: 'Quick, and free of any argument about boiling: heat for some minutes, and see how far the water rises.',
  measures: 'Temperature rise and the power that went into the water.',
  cannotSay: 'Fuel to the boil: the last kelvins cost most.',
  steps: [
    ...BOIL.steps.slice(0, 4),
    'Light, full flame, pot on, lid on.',
    'After the minutes are over, shut off, stir and read the highest temperature.',
    'Cool, wipe, weigh.',
  ],
  giveUpS: null,
  durationS: 240,
  must: [...CONDITIONS, 'water', 'waterStart', 'waterLast', ...FUEL_BY_WEIGHT],
  may: ['altitude', 'fuelUsed', 'hardware'],
  mustMark: ['potOn', 'shutOff'],
  mayMark: ['lit', 'bloomed', 'snuffed', 'flameOut', 'stopped'],
})

const WARM_UP = from('warmUp', {
  why: 'A burner that must warm up costs time and fuel before it heats anything: seconds on a good one, minutes on a slow one, longer in the cold.',
  measures: 'Lighting to full flame.',
  cannotSay: 'What a pot put on too early does to it, unless that is tried too.',
  steps: [
    'Hardware and fuel at the air’s temperature: soak them.',
    'Light and start the clock.',
    'Mark full flame: all jets lit, or the blue cone steady.',
    'Say whether a pot stood on it.',
  ],
  waterKg: null,
  startC: { low: null, high: null },
  lid: 'any',
  clock: 'lit',
  safeWater: 'notAsked',
  giveUpS: 300,
  readEveryS: null,
  must: CONDITIONS,
  may: ['altitude', 'hardware', 'fuelTemp', 'fuelLoad', 'scaleResolution'],
  mustMark: ['lit', 'bloomed'],
  mayMark: ['potOn', 'snuffed', 'shutOff', 'flameOut', 'stopped'],
})

const SERIES = (Object.keys(SHIPPED_SERIES) as (keyof typeof SHIPPED_SERIES)[]).map((test) => {
  const { name, changes } = SHIPPED_SERIES[test]
  return [test, { name, body: from(test, changes) }] as const
})

export const SHIPPED: Record<TestName, { name: string; body: MethodBody }> = {
  boil: { name: 'Boil', body: BOIL },
  boilBurnOut: { name: 'Boil, then burn out', body: BOIL_BURN_OUT },
  burnOff: { name: 'Burn-off, no pot', body: BURN_OFF },
  simmer: { name: 'Simmer', body: SIMMER },
  fixedTime: { name: 'Heating for a fixed time', body: FIXED_TIME },
  warmUp: { name: 'Warm-up', body: WARM_UP },
  ...(Object.fromEntries(SERIES) as Record<keyof typeof SHIPPED_SERIES, { name: string; body: MethodBody }>),
  fed: { name: 'Fed with tablets or sticks', body: FED },
  wood: { name: 'Batch of wood', body: WOOD },
  snow: { name: 'Snow melt', body: SNOW },
  coolDown: { name: 'Cool-down', body: COOL_DOWN },
}
