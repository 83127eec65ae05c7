/** The simulator itself: its numerics, its physics' direction, and that it shares nothing with the normaliser. */
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { stationPressureFromAltitude } from '../../core/air/pressure'
import {
  CAMPAIGN_CONDITIONS,
  CAMPAIGN_SETUPS,
  CAMPAIGN_WATER_KG,
  type CampaignSetup,
} from '../../core/simulate/campaign'
import { probeReadings } from '../../core/simulate/probe'
import { seededRandom } from '../../core/simulate/random'
import { simulatedBoilingPoint } from '../../core/simulate/stove'
import { simulateCoolDown, simulateRun } from '../../core/simulate/simulateRun'
import table from '../reference/if97.json'

const conditions = (name: keyof typeof CAMPAIGN_CONDITIONS) => {
  const { altitudeM, airC, waterC, windMS } = CAMPAIGN_CONDITIONS[name]
  return {
    waterKg: CAMPAIGN_WATER_KG,
    startC: waterC,
    airC,
    pressurePa: stationPressureFromAltitude(altitudeM),
    windMS,
    setting: 1,
    lid: true,
  }
}
const SETUPS = Object.keys(CAMPAIGN_SETUPS) as CampaignSetup[]

describe('simulator', () => {
  it.each(SETUPS)('halving the step changes %s’s fuel to boil by under 0.1 %', (name) => {
    for (const at of ['store', 'saddle', 'porch18'] as const) {
      const whole = simulateRun(CAMPAIGN_SETUPS[name], conditions(at))
      const half = simulateRun(CAMPAIGN_SETUPS[name], conditions(at), { stepS: 0.125 })
      expect(Math.abs(half.fuelG / whole.fuelG - 1)).toBeLessThan(0.001)
    }
  })

  it('boils where IAPWS-IF97 says, within 0.05 K over 55–105 kPa', () => {
    for (const [pressurePa, boilingC] of table.boiling.rows)
      if (pressurePa! >= 55_000 && pressurePa! <= 105_000)
        expect(Math.abs(simulatedBoilingPoint(pressurePa!) - boilingC!)).toBeLessThan(0.05)
  })

  // Facts of the trade (common practice, no published source): fins save 25–40 %; wind of 3.6 m/s doubles fuel on the
  // best-sheltered open burner and stops a tablet.
  it('fins save, and wind costs, as the trade knows', () => {
    const fuel = (name: CampaignSetup, at: keyof typeof CAMPAIGN_CONDITIONS) =>
      simulateRun(CAMPAIGN_SETUPS[name], conditions(at)).fuelG
    expect(1 - fuel('finned', 'store') / fuel('wide-sheltered', 'store')).toBeGreaterThan(0.25)
    expect(1 - fuel('finned', 'store') / fuel('wide-sheltered', 'store')).toBeLessThan(0.4)
    expect(fuel('wide-sheltered', 'porch36') / fuel('wide-sheltered', 'store')).toBeGreaterThan(1.7)
    expect(simulateRun(CAMPAIGN_SETUPS.tablet, conditions('porch36')).boilS).toBeNull()
  })

  // Facts of the trade (common practice, no published source): a narrow pot at full flame takes up to 12 g, a third
  // less at low flame; a tablet boils 473 mL from 15 °C in 9 to 12 min.
  it('a low flame saves a third on a narrow pot and little on a finned one; a tablet takes its ten minutes', () => {
    const burn = (name: CampaignSetup, setting: number, startC = 15) =>
      simulateRun(CAMPAIGN_SETUPS[name], { ...conditions('store'), startC, setting })
    const saved = (name: CampaignSetup) => 1 - burn(name, 0.45).fuelG / burn(name, 1).fuelG
    expect(burn('narrow-open', 1).fuelG).toBeLessThan(12.5)
    expect(saved('narrow-open')).toBeGreaterThan(0.25)
    expect(saved('narrow-open')).toBeLessThan(0.38)
    expect(saved('finned')).toBeLessThan(0.12)
    expect(burn('tablet', 1).boilS! / 60).toBeGreaterThan(9)
    expect(burn('tablet', 1).boilS! / 60).toBeLessThan(12)
  })

  it('without a flame it does what Newton’s law says', () => {
    const cold = { ...CAMPAIGN_SETUPS.finned, h0WPerK: 0, evaporationW: 0 }
    const { endC, samples } = simulateRun(cold, { ...conditions('store'), startC: 80, airC: 20 }, { giveUpS: 600 })
    const capacity = 4190 * CAMPAIGN_WATER_KG + cold.potJPerK
    expect(endC).toBeCloseTo(20 + 60 * Math.exp((-9 * cold.areaM2 * 600) / capacity), 0)
    expect(samples.at(-1)!.waterC).toBeLessThan(samples[0]!.waterC)
  })

  it('the same seed gives the same probe, another another', () => {
    const { samples } = simulateRun(CAMPAIGN_SETUPS.finned, conditions('hut'))
    const probe = { lagS: 2, noiseK: 0.15, offsetK: 0, resolutionK: 0.1 }
    expect(probeReadings(samples, probe, seededRandom(1))).toEqual(probeReadings(samples, probe, seededRandom(1)))
    expect(probeReadings(samples, probe, seededRandom(1))).not.toEqual(probeReadings(samples, probe, seededRandom(2)))
  })

  it('imports nothing from heating or normalise', () => {
    const files = readdirSync('core/simulate', { recursive: true, encoding: 'utf8' }).filter((one) =>
      one.endsWith('.ts'),
    )
    expect(files.length).toBeGreaterThan(12)
    for (const file of files)
      expect(readFileSync(`core/simulate/${file}`, 'utf8')).not.toMatch(
        /from '(\.\.\/)+(heating|normalise|flame|reduce|run|water|air)/,
      )
  })

  it('a burner that warms up is not out at its lighting, and takes longer for it', () => {
    const warming = { ...CAMPAIGN_SETUPS['wide-sheltered'], warmUpS: 30 }
    const [slow, quick] = [
      simulateRun(warming, conditions('store')),
      simulateRun(CAMPAIGN_SETUPS['wide-sheltered'], conditions('store')),
    ]
    expect(slow.flameOutS).toBeNull()
    expect(slow.boilS! - quick.boilS!).toBeGreaterThan(15)
    expect(slow.boilS! - quick.boilS!).toBeLessThan(60)
  })

  it('left to cool, the water goes to the air as exp(−t·K/C) near it: 9·A + vapour over the heat capacity', () => {
    const setup = { ...CAMPAIGN_SETUPS['narrow-open'], evaporationW: 0 }
    const [first, , , , last] = simulateCoolDown(
      setup,
      { ...conditions('store'), airC: 20, startC: 60, windMS: 0 },
      { forS: 1200, sampleEveryS: 300 },
    )
    const capacity = 4190 * CAMPAIGN_WATER_KG + setup.potJPerK
    expect(last!.waterC).toBeCloseTo(20 + (first!.waterC - 20) * Math.exp((-9 * setup.areaM2 * 1200) / capacity), 2)
  })
})
