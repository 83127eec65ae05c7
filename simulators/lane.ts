/** What burns on a lane, as a simulated instrument beside it would feel it: the marks come from the Bench, the physics from the simulator. */
import { CAMPAIGN_SETUPS, type CampaignSetup } from '../core/simulate/campaign'
import { restingStove, runStove, simulatedPressureAtBoiling, type LiveStove, type SimulatedConditions } from '../core/simulate/stove'
import type { Lane } from '../shared/bench'

const POLL_MS = 200

export interface SimulatedLane { /** The stove at this moment, and where it burns. */ now: () => { stove: LiveStove, conditions: SimulatedConditions }, close: () => void }

/** What the lane says of its own place and water beats what the program was told. */
function conditionsOf(lane: Lane, told: SimulatedConditions): SimulatedConditions {
  const read = (quantity: string) => lane.readings.find(one => one.quantity === quantity)?.value
  return {
    ...told, pressurePa: lane.boilingC === null ? told.pressurePa : simulatedPressureAtBoiling(lane.boilingC), startC: read('waterStart') ?? told.startC, airC: read('air') ?? told.airC, windMS: read('wind') ?? told.windMS,
    waterKg: read('water') === undefined ? told.waterKg : waterKgOf(read('water')!), lid: lane.hasLid,
  }
}
/** By mass as it is, by volume [m³] as a litre a kilogram. */
const waterKgOf = (value: number) => (value < 0.02 ? value * 1000 : value)

/** @param speed seconds of the stove in one of ours */
export function followLane({ bench, lane, setup, conditions: told, speed }: { bench: string, lane: string, setup: CampaignSetup, conditions: SimulatedConditions, speed: number }): SimulatedLane {
  let conditions = told
  let stove = restingStove(conditions)
  let runId: string | null = null
  let marks: Lane['state']['marks'] = []
  let at = performance.now()
  const has = (kind: string) => marks.findLast(mark => mark.kind === kind)?.atMs ?? -Infinity
  const advance = () => {
    const now = performance.now()
    const lit = Math.max(has('lit'), has('relit')) > Math.max(has('shutOff'), has('snuffed'), has('flameOut'))
    stove = runStove(stove, { setup: CAMPAIGN_SETUPS[setup], conditions, lit, potOn: has('potOn') > has('potOff'), forS: ((now - at) / 1000) * speed })
    at = now
  }
  const timer = setInterval(() => void poll().catch(() => undefined), POLL_MS)
  async function poll() {
    const answer = await fetch(`${bench}/api/bench`, { signal: AbortSignal.timeout(2000) })
    const found = ((await answer.json()) as { lanes: Lane[] }).lanes.find(one => one.lane === lane)
    advance()
    // Another run: cold hardware and fresh water.
    if (found && found.runId !== runId) {
      runId = found.runId
      conditions = conditionsOf(found, told)
      stove = restingStove(conditions)
    }
    if (found) marks = found.state.marks
    else marks = []
  }
  return { close: () => clearInterval(timer), now: () => {
    advance()
    return { stove, conditions }
  } }
}
