/**
 * The fixed set-ups and conditions of the simulated campaign. Invented; the parameters are fixed here and never tuned
 * to a result.
 */
import type { SimulatedSetup } from './stove'

const setup = (parameters: Omit<SimulatedSetup, 'warmUpS' | 'batchG'> & Partial<SimulatedSetup>): SimulatedSetup => ({
  warmUpS: 0,
  batchG: null,
  ...parameters,
})

const TITANIUM = 523
const ALUMINIUM = 897

/** Θ [K], H₀ [W/K], A [m²], ṁ₀ [g/min], v₀ [m/s], E [W]. */
export const CAMPAIGN_SETUPS = {
  'narrow-open': setup({
    potJPerK: 0.098 * TITANIUM,
    thetaK: 1300,
    h0WPerK: 0.58,
    areaM2: 0.023,
    burn0GPerMin: 3.0,
    v0MS: 2.8,
    windPower: 1.4,
    altitudeShare: 0.09,
    burnPower: 0.55,
    evaporationW: 13,
  }),
  'wide-sheltered': setup({
    potJPerK: 0.14 * ALUMINIUM,
    thetaK: 1320,
    h0WPerK: 0.66,
    areaM2: 0.029,
    burn0GPerMin: 2.8,
    v0MS: 4.3,
    windPower: 1.3,
    altitudeShare: 0.05,
    burnPower: 0.6,
    evaporationW: 17,
  }),
  finned: setup({
    potJPerK: 0.23 * ALUMINIUM,
    thetaK: 1180,
    h0WPerK: 0.86,
    areaM2: 0.023,
    burn0GPerMin: 2.3,
    v0MS: 5.0,
    windPower: 1.5,
    altitudeShare: 0.03,
    burnPower: 0.9,
    evaporationW: 12,
  }),
  'spirit-cone': setup({
    potJPerK: 0.11 * TITANIUM,
    thetaK: 980,
    h0WPerK: 0.5,
    areaM2: 0.016,
    burn0GPerMin: 2.35,
    v0MS: 12,
    windPower: 1.3,
    altitudeShare: 0.12,
    burnPower: 0.7,
    evaporationW: 13,
  }),
  tablet: setup({
    potJPerK: 0.092 * TITANIUM,
    thetaK: 960,
    h0WPerK: 0.36,
    areaM2: 0.023,
    burn0GPerMin: 1.18,
    v0MS: 3.6,
    windPower: 1.3,
    altitudeShare: 0.1,
    burnPower: 0.7,
    evaporationW: 13,
  }),
} as const satisfies Record<string, SimulatedSetup>

export type CampaignSetup = keyof typeof CAMPAIGN_SETUPS

/** Air [°C], water [°C], altitude [m], wind [m/s]. */
export const CAMPAIGN_CONDITIONS = {
  store: { altitudeM: 12, airC: 19, waterC: 17, windMS: 0 },
  hut: { altitudeM: 940, airC: 11, waterC: 9, windMS: 0 },
  rim: { altitudeM: 2130, airC: 3, waterC: 6, windMS: 0 },
  saddle: { altitudeM: 2870, airC: -14, waterC: 3, windMS: 0 },
  porch18: { altitudeM: 12, airC: 15, waterC: 14, windMS: 1.8 },
  porch36: { altitudeM: 12, airC: 15, waterC: 14, windMS: 3.6 },
} as const

export type CampaignCondition = keyof typeof CAMPAIGN_CONDITIONS

/** How each simulated set-up is described: fuel by its kind, pot, burner's head and screen. */
export const CAMPAIGN_KIT = {
  'narrow-open': {
    fuel: 'isobutane-propane',
    lhvMJPerKg: 45.7,
    pot: { massG: 98, material: 'titanium', diameterMm: 92, finned: false },
    head: 'exposed',
    screen: 'none',
  },
  'wide-sheltered': {
    fuel: 'isobutane-propane',
    lhvMJPerKg: 45.7,
    pot: { massG: 140, material: 'aluminium', diameterMm: 128, finned: false },
    head: 'sheltered',
    screen: 'none',
  },
  finned: {
    fuel: 'isobutane-propane',
    lhvMJPerKg: 45.7,
    pot: { massG: 230, material: 'aluminium', diameterMm: 118, finned: true },
    head: 'sheltered',
    screen: 'none',
  },
  'spirit-cone': {
    fuel: 'methanol',
    lhvMJPerKg: 19.93,
    pot: { massG: 110, material: 'titanium', diameterMm: 108, finned: false },
    head: 'sheltered',
    screen: 'cone',
  },
  tablet: {
    fuel: 'hexamine',
    lhvMJPerKg: 28.08,
    pot: { massG: 92, material: 'titanium', diameterMm: 100, finned: false },
    head: 'exposed',
    screen: 'wrap',
  },
} as const satisfies Record<CampaignSetup, unknown>

/** Standard deviations of the campaign's scatter. */
export const CAMPAIGN_SCATTER = {
  startK: 2,
  leastStartC: 0.5,
  airK: 1,
  windMS: 0.15,
  pressure: 0.004,
  valve: 0.03,
  fuel: 0.012,
  callS: 2.5,
  water: 0.004,
  probeK: 0.15,
} as const
export const CAMPAIGN_WATER_KG = 0.4732
export const GIVE_UP_S = 20 * 60
