/** A rehearsal as it is set up: which stove stands in, how fast, and whether something may go wrong. */
import { fuelOfKind, type FuelForm } from '../core/constants/fuels'
import type { TestName } from '../core/method/method'
import { unitOf } from '../core/quantity/units'
import { CAMPAIGN_SETUPS, CAMPAIGN_WATER_KG, type CampaignSetup } from '../core/simulate/campaign'
import type { CallBias, CalledKind, Judgement } from '../core/rehearse/judge'
import { rehearsalScene, type RehearsalChoice, type RehearsalScene } from '../core/simulate/rehearsal'

export const REHEARSAL_STOVES = Object.keys(CAMPAIGN_SETUPS) as CampaignSetup[]
export const STOVE_WORDS: Record<CampaignSetup, string> = {
  'narrow-open': 'gas, narrow pot in the open',
  'wide-sheltered': 'gas, wide pot, sheltered head',
  finned: 'gas, finned pot',
  'spirit-cone': 'spirit in a cone',
  tablet: 'a tablet in a wrap',
}
export const REHEARSAL_SPEEDS = [1, 4, 10, 60] as const

export interface RehearsalAsked {
  stove: CampaignSetup
  speed: number
  trouble: boolean
}

const USUAL: Partial<Record<FuelForm, CampaignSetup>> = {
  gas: 'narrow-open',
  liquid: 'wide-sheltered',
  alcohol: 'spirit-cone',
  gel: 'spirit-cone',
  solid: 'tablet',
  wood: 'tablet',
}
/** The stove that is most like what burns this fuel. */
export const usualStove = (fuelKind: string | null): CampaignSetup =>
  USUAL[fuelOfKind(fuelKind ?? '')?.form ?? 'gas'] ?? 'narrow-open'

/** What was put in [kg], weighed or by the litre; null: neither was typed. */
export function waterKgOf(readings: readonly { quantity: string; value: number; unit: string }[]): number | null {
  const water = readings.find((one) => one.quantity === 'water')
  return water === undefined ? null : unitOf(water.unit).dimension === 'mass' ? water.value : water.value * KG_PER_M3
}
const KG_PER_M3 = 998

/** A run has one seed, wherever it is worked out. */
const seedOf = (runId: string): number => Number.parseInt(runId.replaceAll('-', '').slice(-7), 16)

/** @param waterKg null: as much as the campaign's */
export const sceneOf = (
  asked: RehearsalAsked,
  runId: string,
  facts: {
    waterKg: number | null
    altitudeM: number | null
    lid: boolean
    lhvMJPerKg: number | null
    setting: string | null
    test: TestName
  },
): RehearsalScene =>
  rehearsalScene(
    { ...asked, seed: seedOf(runId) },
    {
      ...facts,
      hot: facts.test === 'coolDown',
      waterKg: facts.waterKg ?? CAMPAIGN_WATER_KG,
      altitudeM: facts.altitudeM ?? 0,
    },
  )

/** A rehearsal's end, as its page shows it; `biases`: of its tester over the newest rehearsals. */
export interface Rehearsed {
  choice: RehearsalChoice
  person: string
  judgement: Judgement
  biases: (CallBias & { kind: CalledKind })[]
}

/** Readings a second of the stand-in for all instruments: often enough in the stove's time. */
export const rehearsalHz = (speed: number): number => (speed <= 1 ? 1 : speed <= 4 ? 2 : speed <= 10 ? 4 : 10)
