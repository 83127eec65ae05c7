/** What the harder campaign burns: its groups, each with the runs of one series. Fixed here, never tuned. */
import type { OutdoorClass } from './drawSetup'

/** What a run of a series is done in. */
export interface Asked {
  altitudeM: number
  airC: number
  startC: number
  windMS: number
  waterG: number
  /** Valve, and what its tester said of it. */
  valve: number
  setting: 'full' | 'medium' | 'low' | null
  lid: boolean
  leadS: number
  giveUpS: number
  /** Share of the can's fuel that is left; null: no can. */
  canShare: number | null
  windRead: boolean
  by: 'weighed' | 'marks'
  scaleG: number
  /** Whether the group is judged by it. */
  judged: boolean
}

export interface Group {
  classes: readonly OutdoorClass[]
  runs: readonly Asked[]
  /** Its truth is at this valve; else at the run's own. */
  truthValve?: number
  blooms?: boolean
}

const BENCH: Asked = {
  altitudeM: 12,
  airC: 20,
  startC: 17,
  windMS: 0,
  waterG: 500,
  valve: 1,
  setting: null,
  lid: true,
  leadS: 0,
  giveUpS: 1200,
  canShare: null,
  windRead: true,
  by: 'weighed',
  scaleG: 0.1,
  judged: true,
}
const HUT = { altitudeM: 940, airC: 11, startC: 9 }
const RIM = { altitudeM: 2130, airC: 3, startC: 6 }
const PORCH = { airC: 15, startC: 14 }
const three = (change: Partial<Asked>): Asked[] => [0, 1, 2].map(() => ({ ...BENCH, ...change }))
const basis = (change: Partial<Asked> = {}): Asked[] => three({ ...change, judged: false })

const ALL = ['gasExposed', 'gasSheltered', 'finned', 'liquid', 'alcohol', 'tablet'] as const
const GAS = ['gasExposed', 'gasSheltered', 'finned'] as const
const OPEN_GAS = ['gasExposed', 'gasSheltered', 'liquid'] as const

const withLid = (lid: boolean): Asked[] => [
  ...basis({ lid, setting: 'full' }),
  ...three({ lid, setting: 'low', valve: 0.45, giveUpS: 1500 }),
  ...three({ ...HUT, lid, setting: 'low', valve: 0.45, giveUpS: 1500 }),
]

export const OUTDOOR_GROUPS = {
  calm: { classes: ALL, runs: [...three({}), ...three(HUT)] },
  starts: { classes: ALL, runs: [2, 8, 14, 20, 26, 30].map((startC) => ({ ...BENCH, startC, airC: 18 })) },
  coldHigh: {
    classes: ['finned', 'liquid', 'alcohol', 'tablet'],
    runs: [
      ...basis(),
      ...three({ airC: -20, startC: 2, giveUpS: 1500 }),
      ...three({ altitudeM: 4500, airC: -5, startC: 4 }),
    ],
  },
  windy: {
    classes: ALL,
    runs: [...basis(PORCH), ...three({ ...PORCH, windMS: 1.8 }), ...three({ ...PORCH, windMS: 3.6 })],
  },
  neverBoiled: {
    classes: ['gasExposed', 'gasSheltered', 'tablet'],
    runs: [
      ...basis(PORCH),
      ...three({ ...PORCH, windMS: 1.8, judged: false }),
      ...three({ ...PORCH, windMS: 5.5, giveUpS: 900 }),
    ],
  },
  turnedUp: {
    classes: [...OPEN_GAS, 'finned'],
    truthValve: 0.6,
    runs: [
      ...basis({ ...PORCH, valve: 0.6 }),
      ...three({ ...PORCH, windMS: 1.8, valve: 0.8 }),
      ...three({ ...PORCH, windMS: 3.6, valve: 1 }),
    ],
  },
  can: {
    classes: GAS,
    truthValve: 1,
    runs: [
      ...basis({ canShare: 1 }),
      ...three({ canShare: 0.5 }),
      ...three({ canShare: 0.5, airC: 10, startC: 9, giveUpS: 1500 }),
      ...three({ canShare: 0.5, airC: 0, startC: 4, giveUpS: 1500 }),
      ...three({ canShare: 0.5, airC: -5, startC: 3, giveUpS: 1500 }),
    ],
  },
  open: {
    classes: [...OPEN_GAS, 'alcohol'],
    runs: [
      ...three({ lid: false }),
      ...three({ ...HUT, lid: false }),
      ...three({ ...RIM, lid: false }),
      ...three({ ...PORCH, lid: false, windMS: 1.8 }),
    ],
  },
  lowLid: { classes: [...OPEN_GAS, 'finned'], runs: withLid(true) },
  lowOpen: { classes: OPEN_GAS, runs: withLid(false) },
  volumes: {
    classes: [...GAS, 'liquid'],
    runs: [250, 500, 1000, 2000].flatMap((waterG) => [
      ...three({ waterG, giveUpS: 2400 }),
      { ...BENCH, ...HUT, waterG, giveUpS: 2400 },
    ]),
  },
  warmUp: {
    classes: ['alcohol', 'tablet', 'liquid'],
    blooms: true,
    runs: [...three({ leadS: 45 }), ...three({ ...HUT, leadS: 60 }), ...three({ airC: 0, startC: 5, leadS: 75 })],
  },
  bloom: { classes: ['alcohol', 'tablet', 'liquid'], blooms: true, runs: [...three({}), ...three(HUT)] },
  scaleOfOneGram: { classes: ALL, runs: [...three({ scaleG: 1 }), ...three({ ...HUT, scaleG: 1 })] },
  windUnread: {
    classes: ALL,
    runs: [
      ...basis(PORCH),
      ...three({ ...PORCH, windMS: 1.8 }),
      ...three({ ...PORCH, windMS: 1.8, windRead: false, judged: false }),
    ],
  },
  marks: { classes: ALL, runs: [...three({ by: 'marks' }), ...three({ ...HUT, by: 'marks' })] },
} as const satisfies Record<string, Group>

/** One run in wind, of a set-up that was never burned before: the class alone stands in. */
export const ALONE_IN_WIND: readonly Asked[] = [0.8, 1.2, 1.8, 2.5].map((windMS) => ({ ...BENCH, ...PORCH, windMS }))
export type OutdoorGroup = keyof typeof OUTDOOR_GROUPS
