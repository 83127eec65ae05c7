/** A stove to rehearse on: what burns and where, and what may go wrong. */
import { CAMPAIGN_KIT, CAMPAIGN_SETUPS, type CampaignSetup } from './campaign'
import { seededRandom } from './random'
import { simulatedBoilingPoint, simulatedPressure, type SimulatedConditions, type SimulatedSetup } from './stove'

export interface RehearsalChoice {
  stove: CampaignSetup
  /** Seconds of the stove in one of the bench's. */
  speed: number
  /** The flame may be blown out once. */
  trouble: boolean
  seed: number
}

export interface RehearsalScene {
  choice: RehearsalChoice
  setup: SimulatedSetup
  conditions: SimulatedConditions
  /** Burner, pot and fuel on the scale before anything burns [g]. */
  grossG: number
  /** Since it was lit [s]; null: never. */
  blownOutS: number | null
}

/**
 * Time constant of the warm-up [s], and the load where it is no valve's [g]: part of the exercise, not of the campaign.
 * Source: estimate.
 */
const EXERCISE: Record<CampaignSetup, { warmUpS: number; loadG: number | null; bareG: number }> = {
  'narrow-open': { warmUpS: 3, loadG: null, bareG: 420 },
  'wide-sheltered': { warmUpS: 4, loadG: null, bareG: 462 },
  finned: { warmUpS: 3, loadG: null, bareG: 552 },
  'spirit-cone': { warmUpS: 15, loadG: 30, bareG: 148 },
  tablet: { warmUpS: 10, loadG: 14, bareG: 106 },
}
export const SETTING_SHARE: Record<string, number> = { low: 0.35, medium: 0.65, full: 1 }
/** Poured off the boil. Source: estimate. */
const JUST_BOILED_K = 2
const usualAirC = (altitudeM: number): number => 18 - 0.007 * altitudeM
const usualWaterC = (altitudeM: number): number => 15 - 0.004 * altitudeM

export interface SceneFacts {
  waterKg: number
  altitudeM: number
  lid: boolean
  /** Of the fuel that the run names: the stove burns as much of it as gives the heat of its own; null: its own. */
  lhvMJPerKg: number | null
  setting: string | null
  /** The water has just boiled, and is left to cool. */
  hot: boolean
}

export function rehearsalScene(choice: RehearsalChoice, facts: SceneFacts): RehearsalScene {
  const { normal, uniform } = seededRandom(choice.seed)
  const { warmUpS, loadG, bareG } = EXERCISE[choice.stove]
  const ownLhv = CAMPAIGN_KIT[choice.stove].lhvMJPerKg
  const asMuch = ownLhv / (facts.lhvMJPerKg ?? ownLhv)
  const own = CAMPAIGN_SETUPS[choice.stove]
  const load = loadG === null ? null : loadG * asMuch
  const coldC = Math.max(0.5, usualWaterC(facts.altitudeM) + 2 * normal())
  return {
    choice,
    grossG: bareG + (load ?? 0),
    blownOutS: choice.trouble ? 40 + 80 * uniform() : null,
    // What burns faster by mass is the same flame.
    setup: { ...own, warmUpS, batchG: load, burn0GPerMin: own.burn0GPerMin * asMuch },
    conditions: conditionsOf(facts, coldC, normal),
  }
}

function conditionsOf(
  { waterKg, altitudeM, lid, setting, hot }: SceneFacts,
  coldC: number,
  normal: () => number,
): SimulatedConditions {
  const usualPa = simulatedPressure(altitudeM)
  return {
    waterKg,
    startC: hot ? simulatedBoilingPoint(usualPa) - JUST_BOILED_K : coldC,
    airC: usualAirC(altitudeM) + normal(),
    pressurePa: usualPa * (1 + 0.004 * normal()),
    windMS: Math.max(0, 0.3 * normal()),
    setting: SETTING_SHARE[setting ?? 'full'] ?? 1,
    lid,
  }
}

/** A scene without chance or trouble, for an instrument that was told where it stands. */
export const plainScene = (setup: SimulatedSetup, conditions: SimulatedConditions, speed: number): RehearsalScene => ({
  choice: { stove: 'narrow-open', speed, trouble: false, seed: 0 },
  setup,
  conditions,
  grossG: 420,
  blownOutS: null,
})
