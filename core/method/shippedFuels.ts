/** The shipped methods of fuel that is fed or burnt as a batch, of snow, and of cooling. Source: commonPractice. */
import { BOIL, CONDITIONS, ENDS, from, FUEL_BY_WEIGHT } from './shippedBoil'

export const FED = from('fed', {
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

export const WOOD = from('wood', {
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

export const SNOW = from('snow', {
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

export const COOL_DOWN = from('coolDown', {
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
