/**
 * A stove to rehearse on: what burns and where, what may go wrong, and what it has done by a moment. All of it follows
 * from the scene and the marks, so that instruments, lane and judgement see one stove.
 */
import { CAMPAIGN_KIT, CAMPAIGN_SETUPS, type CampaignSetup } from './campaign'
import { seededRandom } from './random'
import {
  restingStove,
  runStove,
  simulatedBoilingPoint,
  simulatedPressure,
  type LiveStove,
  type SimulatedConditions,
  type SimulatedSetup,
} from './stove'

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
const SETTING_SHARE: Record<string, number> = { low: 0.35, medium: 0.65, full: 1 }
/** Poured off the boil. Source: estimate. */
const JUST_BOILED_K = 2
const usualAirC = (altitudeM: number): number => 18 - 0.007 * altitudeM
const usualWaterC = (altitudeM: number): number => 15 - 0.004 * altitudeM

/**
 * @param lhvMJPerKg of the fuel that the run names: the stove burns as much of it as gives the heat of its own; null:
 * its own
 * `hot`: the water has just boiled, and is left to cool
 */
export function rehearsalScene(
  choice: RehearsalChoice,
  {
    waterKg,
    altitudeM,
    lid,
    lhvMJPerKg,
    setting,
    hot,
  }: {
    waterKg: number
    altitudeM: number
    lid: boolean
    lhvMJPerKg: number | null
    setting: string | null
    hot: boolean
  },
): RehearsalScene {
  const { normal, uniform } = seededRandom(choice.seed)
  const { warmUpS, loadG, bareG } = EXERCISE[choice.stove]
  const asMuch = CAMPAIGN_KIT[choice.stove].lhvMJPerKg / (lhvMJPerKg ?? CAMPAIGN_KIT[choice.stove].lhvMJPerKg)
  const own = CAMPAIGN_SETUPS[choice.stove]
  const load = loadG === null ? null : loadG * asMuch
  const usualPa = simulatedPressure(altitudeM)
  const coldC = Math.max(0.5, usualWaterC(altitudeM) + 2 * normal())
  return {
    choice,
    grossG: bareG + (load ?? 0),
    blownOutS: choice.trouble ? 40 + 80 * uniform() : null,
    // What burns faster by mass is the same flame.
    setup: { ...own, warmUpS, batchG: load, burn0GPerMin: own.burn0GPerMin * asMuch },
    conditions: {
      waterKg,
      startC: hot ? simulatedBoilingPoint(usualPa) - JUST_BOILED_K : coldC,
      airC: usualAirC(altitudeM) + normal(),
      pressurePa: usualPa * (1 + 0.004 * normal()),
      windMS: Math.max(0, 0.3 * normal()),
      setting: SETTING_SHARE[setting ?? 'full'] ?? 1,
      lid,
    },
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

/** A mark as the stove feels it, in its own seconds. */
export interface SceneMark {
  kind: string
  s: number
  massG?: number | null
  setting?: string | null
}

export interface Played {
  s: number
  stove: LiveStove
  /** What a probe in the pot shows, without noise [°C]. */
  probeC: number
  addedG: number
  lit: boolean
  litS: number | null
  potOn: boolean
  lid: boolean
  setting: number
  blownOut: boolean
  /** First moments [s]; null: not yet. */
  fullFlameS: number | null
  boilS: number | null
  fuelAtBoilG: number | null
  targetS: number | null
  /** When the flame last went by itself; null: it has not, or was lit again. */
  wentOutS: number | null
  /** Every time that it went by itself. */
  outagesS: readonly number[]
  /** Every time that to say it was out shut it. */
  shutByCallS: readonly number[]
}

const STEP_S = 0.25
const PROBE_LAG_S = 2
const FULL_FLAME = 0.95
const AT_THE_BOIL_K = 0.05

export function sceneAtRest({ conditions }: RehearsalScene, s = 0): Played {
  return {
    s,
    stove: restingStove(conditions),
    probeC: conditions.startC,
    addedG: 0,
    lit: false,
    litS: null,
    potOn: false,
    lid: conditions.lid,
    setting: conditions.setting,
    blownOut: false,
    fullFlameS: null,
    boilS: null,
    fuelAtBoilG: null,
    targetS: null,
    wentOutS: null,
    outagesS: [],
    shutByCallS: [],
  }
}

/**
 * Plays on to a moment.
 * @param marks in the order of time; those up to `from` are in it already
 * @param targetC where the method asks for a temperature short of the boil
 */
export function playScene(
  scene: RehearsalScene,
  marks: readonly SceneMark[],
  untilS: number,
  {
    from = sceneAtRest(scene, Math.min(untilS, marks[0]?.s ?? untilS)),
    targetC = null,
  }: { from?: Played; targetC?: number | null } = {},
): Played {
  let now =
    marks.length > 0 && marks[0]!.s === from.s
      ? felt(
          scene,
          from,
          marks.filter((mark) => mark.s === from.s),
        )
      : from
  for (const mark of marks) {
    if (mark.s <= now.s) continue
    if (mark.s > untilS) break
    now = felt(
      scene,
      playFor(scene, now, mark.s, targetC),
      marks.filter((one) => one.s === mark.s),
    )
  }
  return playFor(scene, now, untilS, targetC)
}

function felt({ setup }: RehearsalScene, now: Played, marks: readonly SceneMark[]): Played {
  return marks.reduce((was, { kind, s, massG, setting }): Played => {
    switch (kind) {
      case 'lit':
      case 'relit':
        return { ...was, lit: true, litS: was.litS ?? s, wentOutS: null }
      case 'shutOff':
      case 'snuffed':
      case 'gaveUp':
      case 'stopped':
        return { ...was, lit: false }
      // To say that a batch has burned down puts nothing out; a valve that is said to be out was shut.
      case 'flameOut':
        return setup.batchG === null && was.lit ? { ...was, lit: false, shutByCallS: [...was.shutByCallS, s] } : was
      case 'potOn':
        return { ...was, potOn: true }
      case 'potOff':
        return { ...was, potOn: false }
      case 'lidOn':
        return { ...was, lid: true }
      case 'lidOff':
        return { ...was, lid: false }
      case 'settingChanged':
        return { ...was, setting: SETTING_SHARE[setting ?? ''] ?? was.setting }
      case 'fuelAdded':
        return { ...was, addedG: was.addedG + (massG ?? 0) }
      default:
        return was
    }
  }, now)
}

function playFor(
  { setup: bare, conditions: around, blownOutS }: RehearsalScene,
  from: Played,
  untilS: number,
  targetC: number | null,
): Played {
  let now = from
  const boilingC = simulatedBoilingPoint(around.pressurePa)
  const setup = bare.batchG === null ? bare : { ...bare, batchG: bare.batchG + now.addedG }
  const conditions = { ...around, setting: now.setting, lid: now.lid }
  while (now.s < untilS - 1e-9) {
    const forS = Math.min(STEP_S, untilS - now.s)
    const s = now.s + forS
    const blown = now.lit && !now.blownOut && blownOutS !== null && now.litS !== null && s >= now.litS + blownOutS
    const lit = now.lit && !blown
    const stove = runStove(now.stove, { setup, conditions, lit, potOn: now.potOn, forS })
    const spent = lit && stove.burnGPerMin === 0
    const full = setup.burn0GPerMin * now.setting
    now = {
      ...now,
      s,
      stove,
      lit: lit && !spent,
      blownOut: now.blownOut || blown,
      wentOutS: blown || spent ? s : now.wentOutS,
      outagesS: blown || spent ? [...now.outagesS, s] : now.outagesS,
      probeC: now.probeC + (stove.waterC - now.probeC) * (1 - Math.exp(-forS / PROBE_LAG_S)),
      fullFlameS:
        now.fullFlameS ?? (lit && stove.burnGPerMin >= FULL_FLAME * full * fullShare(setup, around) ? s : null),
      boilS: now.boilS ?? (stove.waterC >= boilingC - AT_THE_BOIL_K ? s : null),
      fuelAtBoilG: now.fuelAtBoilG ?? (stove.waterC >= boilingC - AT_THE_BOIL_K ? stove.fuelG : null),
      targetS: now.targetS ?? (targetC !== null && stove.waterC >= targetC ? s : null),
    }
  }
  return now
}

/** Of the burn rate at sea level. */
const fullShare = ({ altitudeShare }: SimulatedSetup, { pressurePa }: SimulatedConditions): number =>
  1 - altitudeShare * (1 - pressurePa / 101_325)

/** As long as a batch may burn on after the last mark [s]. */
const BURNS_ON_S = 3600
/** Until nothing burns any more: a batch that was left burning burns down; a valve stays as it was left. */
export function playToTheEnd(scene: RehearsalScene, marks: readonly SceneMark[], targetC: number | null): Played {
  let now = playScene(scene, marks, marks.at(-1)?.s ?? 0, { targetC })
  for (const untilS = now.s + BURNS_ON_S; now.lit && scene.setup.batchG !== null && now.s < untilS;)
    now = playFor(scene, now, now.s + 10, targetC)
  return now
}

/** What stands on the scale [g]. */
export const scaleG = ({ grossG }: RehearsalScene, { stove, addedG }: Played): number => grossG + addedG - stove.fuelG

/** What somebody who looks would see: the flame and the water, in words. Source: commonPractice. */
export function sceneWords(
  { conditions }: RehearsalScene,
  { stove, lit, wentOutS, potOn }: Played,
): { flame: string; water: string } {
  const below = simulatedBoilingPoint(conditions.pressurePa) - stove.waterC
  const water =
    !potOn && stove.litForS === null && stove.fuelG === 0
      ? 'still'
      : below <= AT_THE_BOIL_K
        ? 'rolls all over'
        : below < 2
          ? 'bubbles break here and there'
          : below < 8
            ? 'bubbles rise and vanish; it sings'
            : below < 25
              ? 'small bubbles on the floor'
              : 'still'
  const flame = lit
    ? stove.litForS !== null && stove.litForS < 4
      ? 'catching'
      : 'burning'
    : wentOutS !== null
      ? 'gone'
      : stove.fuelG > 0
        ? 'out'
        : 'not lit'
  return { flame, water }
}
