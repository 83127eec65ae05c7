/** Where testers disagree: each question with its schools, and what each does to a figure. Source: commonPractice. */
import {
  ACCESSORIES,
  BURNT_OUTS,
  CORRECTIONS,
  FUEL_SCHOOLS,
  LIDS,
  METHOD_SETTINGS,
  RANKINGS,
  SAFE_WATER,
  WIND_SCHOOLS,
  type MethodBody,
} from './method'
import { BOILS, CLOCKS, LITRES } from '../formats/document'
import { TARGET, USUAL_TARGET_C } from './target'

export interface School {
  value: string
  label: string
  /** What a tester of this school does, and what it makes of the figure. */
  does: string
}

export type SchoolKey =
  | 'clock'
  | 'boil'
  | 'burntOut'
  | 'fuel'
  | 'litre'
  | 'water'
  | 'start'
  | 'setting'
  | 'lid'
  | 'accessories'
  | 'wind'
  | 'correction'
  | 'ranking'
  | 'safeWater'

const school = <T extends string>(values: readonly T[], words: Record<T, [label: string, does: string]>): School[] =>
  values.map((value) => ({ value, label: words[value][0], does: words[value][1] }))
export const SCHOOLS: Record<SchoolKey, { question: string; schools: School[] }> = {
  clock: {
    question: 'When does the clock start?',
    schools: school(CLOCKS, {
      lit: ['at lighting', 'Counts the warm-up: the time until a tester with a cold burner has hot water.'],
      bloomed: [
        'at full flame',
        'Leaves the warm-up out: the burner at its best, and a slow one looks better than it is.',
      ],
      potOn: ['at pot-on', 'Counts the heating alone; equal to full flame where the pot goes on then.'],
    }),
  },
  boil: {
    question: 'What counts as boiling?',
    schools: school([...BOILS, TARGET], {
      rollingBoil: [
        'a full rolling boil, by eye',
        'Plain to see, some seconds uncertain, a little later than the probe.',
      ],
      firstBubbles: [
        'first steady bubbles',
        'Earlier, at about 6 K below the boil: less time and fuel, and harder to agree on.',
      ],
      probeAtBoil: [
        'the probe at the boiling point here',
        'Needs the pressure and a probe without offset; a probe that reads low never gets there.',
      ],
      plateau: [
        'the plateau in the trace',
        'No call, no probe offset: the trace says when it stopped rising. Needs a logged trace.',
      ],
      target: [
        `a fixed lower target, usually ${USUAL_TARGET_C} °C`,
        'No argument about boiling, no altitude in it; less fuel than a boil, and not comparable with one.',
      ],
    }),
  },
  burntOut: {
    question: 'What counts as burnt out?',
    schools: school(BURNT_OUTS, {
      flameOut: ['the flame is gone', 'Longest burn time; its last part may heat nothing.'],
      waterFalls: [
        'the water falls 0.5 °C (1 °F) below its boil',
        'What the pot feels: needs a trace or close reading, and depends on the pot.',
      ],
      flameLeftPot: ['the flame no longer reaches the pot', 'By eye, a minute or two shorter than the flame.'],
      noUsefulHeat: ['no useful heat at the pot', 'A judgement: the shortest, and the most the tester’s own.'],
    }),
  },
  fuel: {
    question: 'How is fuel counted?',
    schools: school(FUEL_SCHOOLS, {
      weighed: [
        'weighed before and after',
        'The best there is: shut off at the boil, and the difference is what it took.',
      ],
      burnShare: [
        'a measured load, by its share of burn time',
        'No second weighing, but assumes an even flame: ± 10 % at least.',
      ],
      pieces: [
        'pieces counted, leftovers weighed',
        'For tablets and sticks; a leftover that is not weighed makes fuel a range.',
      ],
    }),
  },
  litre: {
    question: 'Per which litre?',
    schools: school(LITRES, {
      putIn: ['per litre put in', 'What was asked of the stove.'],
      remaining: ['per litre of hot water left', 'What one drinks: an open pot that steams long looks worse.'],
    }),
  },
  water: {
    question: 'How much water?',
    schools: [
      { value: '0.2366', label: 'one cup (237 mL)', does: 'Pot and losses weigh more: more fuel per litre.' },
      { value: '0.3549', label: '12 fl oz (355 mL)', does: 'A large mug.' },
      { value: '0.4', label: '400 mL', does: 'One freeze-dried meal.' },
      { value: '0.4732', label: 'two cups (473 mL)', does: 'Commonest: one meal or one bottle.' },
      { value: '0.5', label: '500 mL', does: 'Metric, near two cups.' },
      { value: '0.7098', label: '24 fl oz (710 mL)', does: 'Two people’s drinks.' },
      { value: '1', label: 'one litre', does: 'Pot and warm-up weigh less: less fuel per litre.' },
    ],
  },
  start: {
    question: 'From what start temperature?',
    schools: [
      { value: '15.56', label: '15.6 °C (60 °F)', does: 'Cool tap water; about 5 % more fuel than from 20 °C.' },
      { value: '20', label: '20 °C', does: 'Room temperature: the least to argue about.' },
      { value: 'tap', label: 'as it comes, measured', does: 'Real, and different each day: normalised afterwards.' },
    ],
  },
  setting: {
    question: 'At which flame?',
    schools: school(METHOD_SETTINGS, {
      full: ['full', 'Fastest; on a narrow bare pot a third more fuel than low.'],
      medium: ['medium', 'What most people cook on.'],
      low: ['low', 'Thriftiest on a narrow pot; slow, and the first to fail in wind.'],
      any: ['not held', 'Say which it was; only a flame-setting line can compare them.'],
    }),
  },
  lid: {
    question: 'Lid on or off?',
    schools: school(LIDS, {
      on: ['on', 'Saves 5 to 7 %.'],
      off: ['off', 'The boil is seen without lifting anything.'],
      any: ['as the set-up has it', 'Compare only like with like.'],
    }),
  },
  accessories: {
    question: 'The same pot and stand for all?',
    schools: school(ACCESSORIES, {
      same: ['every burner on the same stand and pot', 'Says which burner is better.'],
      own: ['each with its own best', 'Says which set-up is better.'],
    }),
  },
  wind: {
    question: 'In which wind?',
    schools: school(WIND_SCHOOLS, {
      calm: ['calm', 'Repeatable anywhere; says nothing of wind.'],
      fan: ['a fan on a bench', 'Steady and repeatable; smoother than real wind.'],
      real: ['real wind', 'Gusty and real: needs many runs.'],
    }),
  },
  correction: {
    question: 'Corrected how?',
    schools: school(CORRECTIONS, {
      ratio: [
        'in proportion to the temperature rise',
        'The published protocols’ way; in calm nearly as good as the others.',
      ],
      energy: ['by the heat needed', 'Counts pot and evaporation, not the losses to cold air.'],
      loss: ['by a heat balance with losses', 'Also knows cold air and wind; rests on more assumptions.'],
    }),
  },
  ranking: {
    question: 'Ranked by what?',
    schools: school(RANKINGS, {
      fuel: ['fuel per litre', 'Thrift.'],
      time: ['time to boil', 'Speed; usually against thrift.'],
      carriedMass: ['mass carried for a trip', 'A heavier, thriftier pot wins from some number of boils on.'],
      cost: ['cost per litre', 'Needs prices.'],
      cleanliness: ['cleanliness', 'By the observations.'],
    }),
  },
  safeWater: {
    question: 'Was it safe to drink?',
    schools: school(SAFE_WATER, {
      rollingBoil: [
        'a rolling boil is the visible sign',
        'Health authorities’ usual advice: a rolling boil for a minute, three above about 2 000 m. Follow your own authority’s.',
      ],
      hotLongEnough: [
        'hot for long enough',
        'Heat kills below the boil too, given time: needs a thermometer and your authority’s table.',
      ],
      notAsked: ['not asked here', 'The test is of a stove, not of water.'],
    }),
  },
}

/** Which school a method follows on a question, as its value in the list; null where none of the list's. */
export function schoolOf(method: MethodBody, key: SchoolKey): string | null {
  switch (key) {
    case 'boil':
      return typeof method.boil === 'object' ? TARGET : method.boil
    case 'water':
      return method.waterKg === null
        ? null
        : (SCHOOLS.water.schools.find((one) => Math.abs(Number(one.value) / method.waterKg! - 1) < 0.003)?.value ??
            null)
    case 'start':
      return startSchool(method)
    default:
      return method[key]
  }
}

function startSchool({ startC: { low, high } }: MethodBody): string {
  if (low === null || high === null) return 'tap'
  const middle = (low + high) / 2
  return ['15.56', '20'].find((value) => Math.abs(Number(value) - middle) < 1) ?? 'tap'
}

/** The window of a start temperature that a school stands for: ± 2 K about it. */
export const START_HALF_WIDTH_K = 2

/** The method with another school on one question. */
export function withSchool(method: MethodBody, key: SchoolKey, value: string): MethodBody {
  if (key === 'boil')
    return {
      ...method,
      boil: value === TARGET ? { targetC: USUAL_TARGET_C } : (value as Exclude<MethodBody['boil'], object>),
    }
  if (key === 'water') return { ...method, waterKg: Number(value) }
  if (key === 'start')
    return {
      ...method,
      startC:
        value === 'tap'
          ? { low: null, high: null }
          : { low: Number(value) - START_HALF_WIDTH_K, high: Number(value) + START_HALF_WIDTH_K },
    }
  return { ...method, [key]: value }
}
