/**
 * What burns on a lane, as a simulated instrument beside it would feel it: the marks come from the Bench, the physics
 * from the simulator.
 */
import { CAMPAIGN_SETUPS, type CampaignSetup } from '../core/simulate/campaign'
import { plainScene, type RehearsalScene } from '../core/simulate/rehearsal'
import { playScene, sceneAtRest, type Played, type SceneMark } from '../core/simulate/playScene'
import { simulatedPressureAtBoiling, type SimulatedConditions } from '../core/simulate/stove'
import type { Lane } from '../shared/bench'
import { followBench } from './benchStream'

export interface SimulatedLane {
  /** The stove at this moment, and where it burns. */ now: () => { played: Played; scene: RehearsalScene }
  close: () => void
}

/** What the lane says of its own place and water beats what the program was told. */
function conditionsOf(lane: Lane, told: SimulatedConditions): SimulatedConditions {
  const read = (quantity: string) => lane.readings.find((one) => one.quantity === quantity)?.value
  return {
    ...told,
    pressurePa: lane.boilingC === null ? told.pressurePa : simulatedPressureAtBoiling(lane.boilingC),
    startC: read('waterStart') ?? told.startC,
    airC: read('air') ?? told.airC,
    windMS: read('wind') ?? told.windMS,
    waterKg: read('water') === undefined ? told.waterKg : waterKgOf(read('water')!),
    lid: lane.hasLid,
  }
}
/** By mass as it is, by volume [m³] as a litre a kilogram. */
const waterKgOf = (value: number) => (value < 0.02 ? value * 1000 : value)

/**
 * @param told where it burns, unless the lane is a rehearsal's and has its own scene; `speed`: seconds of the stove in
 * one of ours
 * @param nowMs by the bench's clock, as the marks are
 */
export function followLane({
  bench,
  lane,
  setup,
  conditions: told,
  speed,
  nowMs,
}: {
  bench: string
  lane: string
  setup: CampaignSetup
  conditions: SimulatedConditions
  speed: number
  nowMs: () => number
}): SimulatedLane {
  let scene = plainScene(CAMPAIGN_SETUPS[setup], told, speed)
  let runId: string | null = null
  let marks: SceneMark[] = []
  let zeroMs = nowMs()
  let played = sceneAtRest(scene)
  const close = followBench(bench, (lanes) => {
    const found = lanes.find((one) => one.lane === lane)
    const another = found !== undefined && found.runId !== runId
    // Another run: cold hardware and fresh water.
    if (another) {
      runId = found.runId
      zeroMs = found.armedAtMs
      scene = found.rehearsal ?? plainScene(CAMPAIGN_SETUPS[setup], conditionsOf(found, told), speed)
    }
    const fresh = (found?.state.marks ?? []).map((mark): SceneMark => ({
      kind: mark.kind,
      s: ((mark.atMs - zeroMs) / 1000) * scene.choice.speed,
      massG: mark.payload.massG,
      setting: mark.payload.setting,
    }))
    if (!another && JSON.stringify(fresh) === JSON.stringify(marks)) return
    // A mark comes after its moment: what was played without it is played anew.
    marks = fresh
    played = sceneAtRest(scene, marks[0]?.s ?? stoveNow())
  })
  const stoveNow = () => ((nowMs() - zeroMs) / 1000) * scene.choice.speed
  return {
    close,
    now: () => {
      played = marks.length === 0 ? { ...played, s: stoveNow() } : playScene(scene, marks, stoveNow(), { from: played })
      return { played, scene }
    },
  }
}
