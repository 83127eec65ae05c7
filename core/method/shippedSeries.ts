/** The shipped methods that vary one thing over several boils, or hold a boil to something else. */
import { USUAL_TARGET_C } from './target'
import type { MethodBody } from './method'

type Series = 'flameSetting' | 'wind' | 'cold' | 'paired' | 'claim' | 'rise'

/** What each changes of the plain boil. Source: commonPractice. */
export const SHIPPED_SERIES: Record<Series, { name: string; changes: Partial<MethodBody> }> = {
  flameSetting: {
    name: 'Flame-setting series',
    changes: {
      why: 'One figure does not describe a gas burner: a good finned pot gives a flat line over the flame, a narrow bare one a steep one.',
      measures: 'Fuel per litre against burn rate, at low, medium and full flame: a line.',
      cannotSay: 'Anything between or beyond the flames that were tried.',
      steps: [
        'Boil as usual, at low, medium and full flame in turn, three of each, in mixed order.',
        'Set the flame before the pot goes on, and do not touch it again.',
        'Say which it was; the burn rate tells the rest.',
      ],
      setting: 'any',
      replicates: 9,
      may: ['altitude', 'fuelUsed', 'hardware', 'waterLast', 'stationPressure'],
    },
  },
  wind: {
    name: 'Wind series',
    changes: {
      why: 'Wind is what most often decides in the field, and nothing else differs so much between set-ups.',
      measures:
        'Fuel and time in calm, in about 1.8 and about 3.6 m/s at the pot; the wind that doubles the fuel, and the wind at which it no longer boils.',
      cannotSay: 'What gusts do: a fan is steadier than weather. Nothing beyond the strongest wind that was tried.',
      steps: [
        'Survey first: m/s at the pot’s place and height for each step of the fan, without the stove.',
        'Boil as usual, calm, middle and strong, three of each, burners taking turns at the stations.',
        'Read the wind at the pot in each run; look how the flame lies.',
        'Weigh in the lee: a scale in the wind is wrong.',
        'Stop where the flame licks the canister or the valve.',
      ],
      windMS: { low: 0, high: 4 },
      wind: 'fan',
      replicates: 9,
      startC: { low: 10, high: 22 },
      may: ['altitude', 'fuelUsed', 'hardware', 'waterLast', 'windHeight'],
    },
  },
  cold: {
    name: 'Cold series',
    changes: {
      why: 'Cold acts twice: through air and water, which the arithmetic knows, and through the fuel, which it does not.',
      measures:
        'Whether it lights, its warm-up, time, fuel and power with fuel and hardware soaked at a temperature, and what stays stranded in the canister.',
      cannotSay: 'Anything colder than what was tried: that is a model.',
      steps: [
        'Soak fuel and hardware at the temperature for some hours, and say for how long.',
        'Lukewarm water at most to warm a canister; never a flame.',
        'Boil as usual; mark lighting and full flame.',
        'Weigh what is left in the canister when it no longer burns.',
        'No bare skin on cold metal.',
      ],
      startC: { low: -1, high: 10 },
      hardwareAboveAirK: 2,
      clock: 'lit',
      giveUpS: 1200,
      must: ['air', 'wind', 'water', 'waterStart', 'hardware', 'fuelBefore', 'fuelAfter', 'scaleResolution'],
      may: ['altitude', 'fuelUsed', 'fuelTemp', 'waterLast'],
      mustMark: ['lit', 'potOn', 'rollingBoil'],
      mayMark: ['bloomed', 'firstBubbles', 'shutOff', 'gaveUp', 'stopped', 'flameOut'],
    },
  },
  paired: {
    name: 'Paired comparison',
    changes: {
      why: 'Does this lid, felt, cone or finned pot help? Everything but one thing is held, and the two take turns.',
      measures: 'Percent change, with how sure.',
      cannotSay: 'Which of two things made the difference, where two were changed.',
      steps: [
        'Change one thing, and only that.',
        'Alternate: one, other, other, one, so that drift in wind, air and fill falls on both.',
        'Cool everything between runs; the stand warms too.',
        'Four pairs show about 9 % at the usual scatter; smaller differences want more.',
      ],
      replicates: 4,
      accessories: 'same',
      hardwareAboveAirK: 2,
    },
  },
  claim: {
    name: 'Claim check',
    changes: {
      why: 'A stated figure is worth what its conditions are worth: boil at them, or bring the boil to them.',
      measures: 'Claimed against measured, normalised to the stated conditions: met, missed or cannot say.',
      cannotSay: 'Anything where what is not stated decides it.',
      steps: [
        'Write down the claim: fuel or time, water, start temperature, whatever is stated.',
        'Boil as stated, three times; where something is not stated, as usual.',
        'A tie is a tie.',
      ],
      must: [
        'air',
        'wind',
        'water',
        'waterStart',
        'fuelBefore',
        'fuelAfter',
        'scaleResolution',
        'claimFuel',
        'claimWater',
      ],
      may: ['altitude', 'fuelUsed', 'claimStart', 'claimTime', 'hardware', 'waterLast'],
      startC: { low: null, high: null },
    },
  },
  rise: {
    name: '20 → 90 °C',
    changes: {
      why: 'No boil to call and no altitude in it: from 20 to 90 °C by the thermometer, the quickest way to an agreed figure.',
      measures: 'Time and fuel to a fixed temperature below the boil.',
      cannotSay: 'Fuel to the boil: the last kelvins are left out. Not compared with boils.',
      steps: [
        'Water at 20 °C, stirred; probe in the middle of the water, not on the wall.',
        'Light, full flame, pot on, lid on with the probe through it.',
        `At ${USUAL_TARGET_C} °C mark it and shut off in the same moment.`,
        'Cool, wipe, weigh.',
      ],
      boil: { targetC: USUAL_TARGET_C },
      safeWater: 'notAsked',
      startC: { low: 19, high: 21 },
      readEveryS: 30,
      mustMark: ['potOn', 'targetReached'],
      mayMark: ['lit', 'bloomed', 'shutOff', 'gaveUp', 'stopped', 'flameOut'],
    },
  },
}
