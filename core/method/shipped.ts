/**
 * The methods that ship: one for every kind of test. Windows and counts: commonPractice, and the estimates of
 * docs/methods.md.
 */
import type { EventKind } from '../run/events'
import type { MethodBody, TestName } from './method'
import { SHIPPED_SERIES } from './shippedSeries'

const CONDITIONS = ['air', 'wind']
const FUEL_BY_WEIGHT = ['fuelBefore', 'fuelAfter', 'scaleResolution']
const ENDS: EventKind[] = ['gaveUp', 'stopped', 'flameOut']

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

const from = (test: TestName, changes: Partial<MethodBody>): MethodBody => ({ ...BOIL, test, ...changes })

const LOAD = ['fuelLoad', 'scaleResolution']

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

const FED = from('fed', {
  why: 'Tablets and sticks are fed: the fuel is the pieces, by a rule, less what is left.',
  measures: 'Pieces and grams to the boil, time with its gaps, fuel per litre with what the gaps cost.',
  cannotSay: 'Fuel to better than the last piece unless its rest is weighed, dry.',
  steps: [
    'Weigh the pieces; foil under the first, so the residue can be thrown away.',
    ...BOIL.steps.slice(1, 4),
    'Light the first piece, pot on, clock running.',
    'When the flame no longer reaches the pot, add the next piece and mark it with its mass.',
    'At the boil snuff it; let the rest dry and cool, and weigh it.',
    'Do not breathe the fumes.',
  ],
  fuel: 'pieces',
  must: [...CONDITIONS, 'water', 'waterStart', 'fuelLoad', 'fuelLeftover', 'scaleResolution'],
  may: ['altitude', 'fuelUsed', 'waterLast', 'hardware'],
  mustMark: ['potOn', 'rollingBoil'],
  mayMark: ['lit', 'fuelAdded', 'flameLeftPot', 'flameOut', 'relit', 'firstBubbles', 'snuffed', 'gaveUp', 'stopped'],
})

const WOOD = from('wood', {
  why: 'A can of sticks burned as one load, air holes open or covered: how fast, and how much useful heat is left after the boil.',
  measures: 'Time to boil, boils per load, minutes of useful heat after it; fuel as dry wood of the same heat.',
  cannotSay: 'Much, without the moisture of the wood: it decides more than the burner does.',
  steps: [
    'Weigh the load; know its moisture (a meter, or dry a sample).',
    ...BOIL.steps.slice(1, 4),
    'Say whether the air holes are open or covered.',
    'Light, pot on when the flame is up.',
    'Mark the boil and let it burn; mark where it no longer heats.',
    'Weigh the char. Wood throws sparks: cleared ground, water at hand.',
  ],
  fuel: 'burnShare',
  wind: 'calm',
  must: [...CONDITIONS, 'water', 'waterStart', 'fuelLoad', 'scaleResolution', 'moisture'],
  may: ['altitude', 'char', 'fuelLeftover', 'fuelUsed', 'waterLast'],
  mustMark: ['potOn', 'rollingBoil', 'flameOut'],
  mayMark: ['lit', 'bloomed', 'firstBubbles', 'flameLeftPot', 'fuelAdded', 'gaveUp', 'stopped'],
})

const SNOW = from('snow', {
  why: 'In the cold, water is made of snow, and that takes more fuel than boiling it.',
  measures: 'Fuel and time to water and to the boil, heat spent on melting.',
  cannotSay: 'Anything for wet snow, whose water is melted already: weigh dry, cold snow.',
  steps: [
    'Put in starter water, weighed: dry snow scorches a pot.',
    'Weigh the snow and add it as it melts, without stopping.',
    ...BOIL.steps.slice(2, 4),
    'Light, pot on, lid on between additions.',
    'Mark when all is water, and the boil.',
    'Cool, wipe, weigh.',
  ],
  startC: { low: -1, high: 8 },
  giveUpS: 1800,
  must: [...CONDITIONS, 'water', 'snow', 'waterStart', ...FUEL_BY_WEIGHT],
  may: ['altitude', 'fuelUsed', 'waterEndMass', 'waterLast'],
  mustMark: ['potOn', 'rollingBoil'],
  mayMark: ['lit', 'bloomed', 'lidOff', 'lidOn', 'shutOff', ...ENDS],
})

const COOL_DOWN = from('coolDown', {
  why: 'What a pot loses to the air is in every figure: a quarter of an hour of cooling measures it, and the set-up’s other runs then rest on it.',
  measures: 'Heat loss in watts per kelvin, by Newton’s law.',
  cannotSay: 'What hot gas bathing the side does while it burns: that share stays estimated.',
  steps: [
    'Bring the water near the boil, shut off, lid on, screen as in use.',
    'Log the temperature for a quarter of an hour at least, still.',
    'Read the air at the beginning and at the end.',
  ],
  startC: { low: null, high: null },
  hardwareAboveAirK: null,
  giveUpS: null,
  readEveryS: 30,
  fuel: 'weighed',
  safeWater: 'notAsked',
  must: [...CONDITIONS, 'water'],
  may: ['altitude', 'waterStart', 'waterLast'],
  mustMark: ['shutOff'],
  mayMark: ['potOn', 'lit', 'flameOut', 'snuffed', 'stopped', 'reading'],
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
