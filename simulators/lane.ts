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
  /** The stove at this moment, and where it burns. */
  now: () => { played: Played; scene: RehearsalScene }
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

interface Followed {
  bench: string
  lane: string
  setup: CampaignSetup
  /** Where it burns, unless the lane is a rehearsal's and has its own scene. */
  conditions: SimulatedConditions
  /** Seconds of the stove in one of ours. */
  speed: number
  /** By the bench's clock, as the marks are. */
  nowMs: () => number
}

export function followLane(followed: Followed): SimulatedLane {
  const stove = new LaneStove(followed)
  const close = followBench(followed.bench, (lanes) =>
    stove.hear(lanes.find((one) => one.lane === followed.lane) ?? null),
  )
  return { close, now: () => stove.now() }
}

/** The stove that stands in for a lane's. */
class LaneStove {
  readonly #followed: Followed
  #scene: RehearsalScene
  #runId: string | null = null
  #marks: SceneMark[] = []
  #zeroMs: number
  #played: Played

  constructor(followed: Followed) {
    this.#followed = followed
    this.#scene = this.#plain(followed.conditions)
    this.#zeroMs = followed.nowMs()
    this.#played = sceneAtRest(this.#scene)
  }

  /** @param lane as the bench has it now; null: nothing stands there */
  hear(lane: Lane | null): void {
    const another = lane !== null && lane.runId !== this.#runId
    // Another run: cold hardware and fresh water.
    if (another) {
      this.#runId = lane.runId
      this.#zeroMs = lane.armedAtMs
      this.#scene = lane.rehearsal ?? this.#plain(conditionsOf(lane, this.#followed.conditions))
    }
    const fresh = (lane?.state.marks ?? []).map((mark): SceneMark => ({
      kind: mark.kind,
      s: this.#stoveS(mark.atMs),
      massG: mark.payload.massG,
      setting: mark.payload.setting,
    }))
    if (!another && JSON.stringify(fresh) === JSON.stringify(this.#marks)) return
    // A mark comes after its moment: what was played without it is played anew.
    this.#marks = fresh
    this.#played = sceneAtRest(this.#scene, fresh[0]?.s ?? this.#nowS())
  }

  now(): { played: Played; scene: RehearsalScene } {
    this.#played =
      this.#marks.length === 0
        ? { ...this.#played, s: this.#nowS() }
        : playScene(this.#scene, this.#marks, this.#nowS(), { from: this.#played })
    return { played: this.#played, scene: this.#scene }
  }

  #plain(conditions: SimulatedConditions): RehearsalScene {
    return plainScene(CAMPAIGN_SETUPS[this.#followed.setup], conditions, this.#followed.speed)
  }

  #stoveS(atMs: number): number {
    return ((atMs - this.#zeroMs) / 1000) * this.#scene.choice.speed
  }

  #nowS(): number {
    return this.#stoveS(this.#followed.nowMs())
  }
}
