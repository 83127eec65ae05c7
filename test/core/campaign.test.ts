/** The normaliser tried on simulated stoves, which know more physics than it does and share no code with it. */
import { describe, expect, it } from 'vitest'
import { stationPressureFromAltitude } from '../../core/air/pressure'
import type { RunAnswer } from '../../core/formats/answer'
import { reduce } from '../../core/reduce'
import { CAMPAIGN_CONDITIONS, CAMPAIGN_SETUPS, CAMPAIGN_WATER_KG, type CampaignSetup } from '../../core/simulate/campaign'
import { simulateRun } from '../../core/simulate/stove'
import { readReduceRequest } from '../../shared/reduceRequest'

const POTS: Record<CampaignSetup, { massG: number, material: string, diameterMm: number, finned: boolean, fuel: string, screen: string }> = {
  'narrow-open': { massG: 98, material: 'titanium', diameterMm: 92, finned: false, fuel: 'isobutane-propane', screen: 'none' },
  'wide-sheltered': { massG: 140, material: 'aluminium', diameterMm: 128, finned: false, fuel: 'isobutane-propane', screen: 'none' },
  'finned': { massG: 230, material: 'aluminium', diameterMm: 118, finned: true, fuel: 'isobutane-propane', screen: 'none' },
  'spirit-cone': { massG: 110, material: 'titanium', diameterMm: 108, finned: false, fuel: 'methanol', screen: 'cone' },
  'tablet': { massG: 92, material: 'titanium', diameterMm: 100, finned: false, fuel: 'hexamine', screen: 'wrap' },
}
const CALM = ['store', 'hut', 'rim', 'saddle'] as const

function burned(name: CampaignSetup, { altitudeM, airC, waterC }: { altitudeM: number, airC: number, waterC: number }) {
  return simulateRun(CAMPAIGN_SETUPS[name], { waterKg: CAMPAIGN_WATER_KG, startC: waterC, airC, pressurePa: stationPressureFromAltitude(altitudeM), windMS: 0, setting: 1, lid: true })
}

function normalised(name: CampaignSetup, at: (typeof CALM)[number]): RunAnswer {
  const conditions = CAMPAIGN_CONDITIONS[at]
  const { boilS, fuelG } = burned(name, conditions)
  const { fuel, screen, ...pot } = POTS[name]
  const read = readReduceRequest({ format: 'vulcanum-reduce', version: 1, runs: [{
    id: at, setup: name, place: { stationPressureHPa: stationPressureFromAltitude(conditions.altitudeM) / 100, airC: conditions.airC, windMS: 0 }, water: { massG: CAMPAIGN_WATER_KG * 1000, startC: conditions.waterC },
    pot, lid: true, screen, burner: { head: 'exposed' }, fuel: { kind: fuel, usedG: fuelG, scaleResolutionG: 0.1 }, events: [{ kind: 'potOn', s: 0 }, { kind: 'rollingBoil', s: boilS }],
  }] })
  if (!read.ok) throw new Error('not read')
  return reduce(read.request).runs[0] as RunAnswer
}

describe('simulated stoves in calm, without scatter, from 12 to 2 870 m and 19 to −14 °C', () => {
  it.each(Object.keys(POTS) as CampaignSetup[])('%s comes within 3 % of its truth at the Standard bench, and k = 2 holds it', (name) => {
    const truth = burned(name, { altitudeM: 0, airC: 20, waterC: 20 }).fuelG / 0.47405
    for (const at of CALM) {
      const { normalisedGPerL, normalisedU } = normalised(name, at)
      expect(Math.abs(normalisedGPerL! / truth - 1), at).toBeLessThan(0.03)
      expect(Math.abs(normalisedGPerL! - truth), at).toBeLessThan(2 * normalisedU! + 0.005 * truth)
    }
  })

  it('raw figures lie much further apart than normalised ones', () => {
    const spread = (values: number[]) => Math.max(...values) / Math.min(...values) - 1
    for (const name of Object.keys(POTS) as CampaignSetup[]) {
      const answers = CALM.map(at => normalised(name, at))
      expect(spread(answers.map(answer => answer.normalisedGPerL!)), name).toBeLessThan(0.75 * spread(answers.map(answer => answer.gPerL!)))
    }
  })
})
