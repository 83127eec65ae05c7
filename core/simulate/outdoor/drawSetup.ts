/** Set-ups of a harder campaign, drawn from the populations that testers' kit comes from. Fixed here, never tuned. */
import type { CanSetup } from './gasCan'
import type { OutdoorSetup } from './conditions'
import type { Random } from '../random'

export const OUTDOOR_CLASSES = ['gasExposed', 'gasSheltered', 'finned', 'liquid', 'alcohol', 'tablet'] as const
export type OutdoorClass = (typeof OUTDOOR_CLASSES)[number]

/** How its tester describes it: in the contract's words. */
interface DescribedKit {
  fuel: string
  lhvMJPerKg: number
  burner: string
  head: 'exposed' | 'sheltered'
  screen: 'none' | 'wrap' | 'cone'
  material: 'titanium' | 'aluminium'
  finned: boolean
}
interface ClassOf extends DescribedKit {
  potG: number
  diameterM: number
  thetaK: number
  h0WPerK: number
  burn0GPerMin: number
  altitudeShare: number
  /** Middles and spreads of the population. */
  v0MS: number
  burnPower: [middle: number, sd: number]
}

const GAS = {
  fuel: 'isobutane-propane',
  lhvMJPerKg: 45.7,
  material: 'titanium',
  screen: 'none',
  finned: false,
} as const
const CLASSES: Record<OutdoorClass, ClassOf> = {
  gasExposed: {
    ...GAS,
    burner: 'canister-top',
    head: 'exposed',
    potG: 105,
    diameterM: 0.097,
    thetaK: 1300,
    h0WPerK: 0.58,
    burn0GPerMin: 3,
    altitudeShare: 0.08,
    v0MS: 2.5,
    burnPower: [0.6, 0.15],
  },
  gasSheltered: {
    ...GAS,
    burner: 'canister-top',
    head: 'sheltered',
    material: 'aluminium',
    potG: 145,
    diameterM: 0.13,
    thetaK: 1320,
    h0WPerK: 0.66,
    burn0GPerMin: 2.8,
    altitudeShare: 0.05,
    v0MS: 4.2,
    burnPower: [0.6, 0.15],
  },
  finned: {
    ...GAS,
    burner: 'integrated',
    head: 'sheltered',
    material: 'aluminium',
    finned: true,
    potG: 235,
    diameterM: 0.12,
    thetaK: 1180,
    h0WPerK: 0.86,
    burn0GPerMin: 2.3,
    altitudeShare: 0.03,
    v0MS: 4.2,
    burnPower: [0.9, 0.08],
  },
  liquid: {
    ...GAS,
    fuel: 'white-gas',
    lhvMJPerKg: 44,
    burner: 'liquid-pressure',
    head: 'sheltered',
    screen: 'wrap',
    material: 'aluminium',
    potG: 160,
    diameterM: 0.14,
    thetaK: 1250,
    h0WPerK: 0.7,
    burn0GPerMin: 2.7,
    altitudeShare: 0.06,
    v0MS: 4,
    burnPower: [0.65, 0.15],
  },
  alcohol: {
    ...GAS,
    fuel: 'methanol',
    lhvMJPerKg: 19.93,
    burner: 'alcohol',
    head: 'sheltered',
    screen: 'cone',
    potG: 110,
    diameterM: 0.108,
    thetaK: 990,
    h0WPerK: 0.5,
    burn0GPerMin: 2.4,
    altitudeShare: 0.1,
    v0MS: 12,
    burnPower: [0.7, 0.15],
  },
  tablet: {
    ...GAS,
    fuel: 'hexamine',
    lhvMJPerKg: 28.08,
    burner: 'solid',
    head: 'exposed',
    screen: 'wrap',
    potG: 92,
    diameterM: 0.1,
    thetaK: 960,
    h0WPerK: 0.36,
    burn0GPerMin: 1.2,
    altitudeShare: 0.09,
    v0MS: 4,
    burnPower: [0.7, 0.15],
  },
}

export interface DrawnSetup {
  kit: DescribedKit & { potG: number; diameterMm: number }
  stove: OutdoorSetup
  /** What is this bench's own: its wind meter, the marks of its pot, its gusts. */
  meterFactor: number
  marksFactor: number
  gusts: { intensity: number; overS: number }
}

const SPECIFIC_HEAT = { titanium: 523, aluminium: 897 }
const V0_FACTOR = 1.4
/** Less would give low flames more useful heat than there is in their fuel. */
const BURN_POWER = { least: 0.4, most: 1.1 }
const WIND_POWER = { middle: 1.4, sd: 0.25, least: 1, most: 2 }
/** One in three lies outside the middle two thirds of its population. */
const OUTSIDE_SHARE = 1 / 3
const METER_SD = 0.05
const MARKS_SD = 0.03

/**
 * @param asPopulation drawn from the population itself; else a third of the set-ups lie 1.5 to 2.5 standard deviations
 * off its middle
 */
export function drawSetup(of: OutdoorClass, random: Random, asPopulation = false): DrawnSetup {
  const { potG, diameterM, thetaK, h0WPerK, burn0GPerMin, altitudeShare, v0MS, burnPower, ...kit } = CLASSES[of]
  const { normal, uniform } = random
  const within = (low: number, high: number) => low + (high - low) * uniform()
  const off = () => {
    if (asPopulation || uniform() > OUTSIDE_SHARE) return normal()
    return (uniform() < 0.5 ? -1 : 1) * within(1.5, 2.5)
  }
  const mass = Math.round(potG * within(0.85, 1.15))
  const wide = Math.round(diameterM * within(0.92, 1.08) * 1000)
  const stove: OutdoorSetup = {
    potJPerK: (mass / 1000) * SPECIFIC_HEAT[kit.material],
    diameterM: wide / 1000,
    emissivity: within(0.2, 0.8),
    coldWallShare: within(0.1, 0.6),
    lossShare: kit.screen === 'cone' ? within(0.4, 0.7) : 1,
    thetaK: thetaK * within(0.9, 1.1),
    h0WPerK: h0WPerK * within(0.88, 1.12),
    wallPower: within(0.07, 0.22),
    pressurePower: within(0.02, 0.1),
    burn0GPerMin: burn0GPerMin * within(0.85, 1.15),
    altitudeShare: altitudeShare * within(0.7, 1.3),
    burnPower: Math.min(BURN_POWER.most, Math.max(BURN_POWER.least, burnPower[0] + burnPower[1] * off())),
    v0MS: v0MS * V0_FACTOR ** off(),
    windPower: Math.min(WIND_POWER.most, Math.max(WIND_POWER.least, WIND_POWER.middle + WIND_POWER.sd * normal())),
    filmM: 0.0055 * within(0.7, 1.3),
    plumePerMS: within(0.25, 0.75),
    lidLeak: within(0.01, 0.09),
    bloom: null,
    can: null,
  }
  return {
    kit: { ...kit, potG: mass, diameterMm: wide },
    stove,
    meterFactor: 1 + METER_SD * normal(),
    marksFactor: 1 + MARKS_SD * normal(),
    gusts: { intensity: within(0.25, 0.5), overS: within(3, 10) },
  }
}

/** Cans of 110, 230 and 450 g: heat from the air, full [W/K]. */
const CANS = [
  { fullKg: 0.11, shellKg: 0.1, uaWPerK: 0.3 },
  { fullKg: 0.23, shellKg: 0.15, uaWPerK: 0.41 },
  { fullKg: 0.45, shellKg: 0.21, uaWPerK: 0.6 },
]
const UA_SPREAD = 0.4

export function drawCan({ uniform, normal }: Random): CanSetup {
  const can = CANS[Math.floor(uniform() * CANS.length)]!
  return {
    ...can,
    uaWPerK: can.uaWPerK * Math.exp(UA_SPREAD * 0.5 * normal()),
    feedbackShare: 0.001 + 0.004 * uniform(),
    propane: 0.15 + 0.15 * uniform(),
  }
}

export const drawBloom = ({ uniform }: Random, loadG: number) => ({
  tauS: 15 + 25 * uniform(),
  lostG: loadG * (0.01 + 0.04 * uniform()),
})
