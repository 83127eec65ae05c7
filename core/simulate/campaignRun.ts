/** One run of the campaign, with the scatter of a real day, as its tester would have read it. */
import {
  CAMPAIGN_CONDITIONS,
  CAMPAIGN_SCATTER as S,
  CAMPAIGN_SETUPS,
  CAMPAIGN_WATER_KG,
  GIVE_UP_S,
  type CampaignCondition,
  type CampaignSetup,
} from './campaign'
import { probeReadings } from './probe'
import type { Random } from './random'
import { simulatedPressure } from './stove'
import { simulateRun } from './simulateRun'

export interface CampaignRun {
  setup: CampaignSetup
  condition: CampaignCondition
  altitudeM: number
  /** As read: air and start to 0.1 °C, wind to 0.1 m/s, water to 1 g, fuel to 0.1 g. */
  airC: number
  windMS: number
  startC: number
  waterG: number
  usedG: number
  /** The tester's call; null: given up. */
  callS: number | null
  endC: number
  endS: number
  /** What the probe showed, on the first repeat only. */
  trace: [number, number][] | null
}

const PROBE = { lagS: 2, noiseK: S.probeK, offsetK: 0, resolutionK: 0.1 }
const tenth = (value: number): number => Math.round(value * 10) / 10

/**
 * Burns once. Conditions scatter from run to run and are read as they were; fuel and call carry errors of measurement.
 * @param traced the first repeat: a probe is in the pot
 */
export function campaignRun(
  setup: CampaignSetup,
  condition: CampaignCondition,
  random: Random,
  traced: boolean,
): CampaignRun {
  const { altitudeM, airC, waterC, windMS } = CAMPAIGN_CONDITIONS[condition]
  const { normal } = random
  const startC = Math.max(S.leastStartC, waterC + S.startK * normal())
  const air = airC + S.airK * normal()
  const wind = windMS === 0 ? 0 : Math.max(0.1, windMS + S.windMS * normal())
  const waterKg = CAMPAIGN_WATER_KG * (1 + S.water * normal())
  const pressurePa = simulatedPressure(altitudeM) * (1 + S.pressure * normal())
  const burned = simulateRun(
    CAMPAIGN_SETUPS[setup],
    { waterKg, startC, airC: air, pressurePa, windMS: wind, setting: 1 + S.valve * normal(), lid: true },
    { giveUpS: GIVE_UP_S },
  )
  return {
    setup,
    condition,
    altitudeM,
    airC: tenth(air),
    windMS: tenth(wind),
    startC: tenth(startC),
    waterG: Math.round(waterKg * 1000),
    usedG: tenth(burned.fuelG * (1 + S.fuel * normal())),
    callS: burned.boilS === null ? null : Math.round(burned.boilS + S.callS * normal()),
    endC: tenth(burned.endC),
    endS: burned.endS,
    trace: traced ? probeReadings(burned.samples, PROBE, random) : null,
  }
}

/** Fuel per litre at the Standard bench, without scatter: what the normalised figures are held against [g/L]. */
export function campaignTruth(setup: CampaignSetup): number {
  const { fuelG } = simulateRun(CAMPAIGN_SETUPS[setup], {
    waterKg: CAMPAIGN_WATER_KG,
    startC: 20,
    airC: 20,
    pressurePa: 101_325,
    windMS: 0,
    setting: 1,
    lid: true,
  })
  // A litre is a mass of water at 20 °C (998.2 g).
  return fuelG / ((CAMPAIGN_WATER_KG * 1000) / 998.207)
}
