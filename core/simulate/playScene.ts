/**
 * What a rehearsed stove has done by a moment. All of it follows from the scene and the marks, so that instruments, lane
 * and judgement see one stove.
 */
import { SETTING_SHARE, type RehearsalScene } from './rehearsal'
import {
  restingStove,
  runStove,
  simulatedBoilingPoint,
  type LiveStove,
  type SimulatedConditions,
  type SimulatedSetup,
} from './stove'

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
  return marks.reduce((was, mark) => ({ ...was, ...changeBy(mark, was, setup.batchG !== null) }), now)
}

/** What a mark does to the stove. */
function changeBy({ kind, s, massG, setting }: SceneMark, was: Played, isBatch: boolean): Partial<Played> {
  if (kind === 'settingChanged') return { setting: SETTING_SHARE[setting ?? ''] ?? was.setting }
  if (kind === 'fuelAdded') return { addedG: was.addedG + (massG ?? 0) }
  if (LIGHTS.has(kind)) return { lit: true, litS: was.litS ?? s, wentOutS: null }
  // To say that a batch has burned down puts nothing out; a valve that is said to be out was shut.
  if (kind === 'flameOut') return isBatch || !was.lit ? {} : { lit: false, shutByCallS: [...was.shutByCallS, s] }
  return PUT[kind] ?? {}
}
const LIGHTS: ReadonlySet<string> = new Set(['lit', 'relit'])
const PUT: Record<string, Partial<Played>> = {
  shutOff: { lit: false },
  snuffed: { lit: false },
  gaveUp: { lit: false },
  stopped: { lit: false },
  potOn: { potOn: true },
  potOff: { potOn: false },
  lidOn: { lid: true },
  lidOff: { lid: false },
}

function playFor(scene: RehearsalScene, from: Played, untilS: number, targetC: number | null): Played {
  const { setup: bare, conditions: around } = scene
  const setup = bare.batchG === null ? bare : { ...bare, batchG: bare.batchG + from.addedG }
  const conditions = { ...around, setting: from.setting, lid: from.lid }
  let now = from
  while (now.s < untilS - 1e-9) {
    const forS = Math.min(STEP_S, untilS - now.s)
    now = reached(burned(scene, now, { setup, conditions, forS }), { setup, conditions, targetC })
  }
  return now
}

/** One step of the stove: what burns, what is blown out or spent, and what the probe shows. */
function burned(
  { blownOutS }: RehearsalScene,
  now: Played,
  { setup, conditions, forS }: { setup: SimulatedSetup; conditions: SimulatedConditions; forS: number },
): Played {
  const s = now.s + forS
  const blown = now.lit && !now.blownOut && blownOutS !== null && now.litS !== null && s >= now.litS + blownOutS
  const burns = now.lit && !blown
  const stove = runStove(now.stove, { setup, conditions, lit: burns, potOn: now.potOn, forS })
  const spent = burns && stove.burnGPerMin === 0
  const wentOut = blown || spent
  return {
    ...now,
    s,
    stove,
    lit: burns && !spent,
    blownOut: now.blownOut || blown,
    wentOutS: wentOut ? s : now.wentOutS,
    outagesS: wentOut ? [...now.outagesS, s] : now.outagesS,
    probeC: now.probeC + (stove.waterC - now.probeC) * (1 - Math.exp(-forS / PROBE_LAG_S)),
  }
}

/** First moments, once each. */
function reached(
  now: Played,
  { setup, conditions, targetC }: { setup: SimulatedSetup; conditions: SimulatedConditions; targetC: number | null },
): Played {
  const { s, stove } = now
  const full = setup.burn0GPerMin * now.setting * fullShare(setup, conditions)
  const boils = stove.waterC >= simulatedBoilingPoint(conditions.pressurePa) - AT_THE_BOIL_K
  return {
    ...now,
    fullFlameS: now.fullFlameS ?? (stove.burnGPerMin > 0 && stove.burnGPerMin >= FULL_FLAME * full ? s : null),
    boilS: now.boilS ?? (boils ? s : null),
    fuelAtBoilG: now.fuelAtBoilG ?? (boils ? stove.fuelG : null),
    targetS: now.targetS ?? (targetC !== null && stove.waterC >= targetC ? s : null),
  }
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
  const isCold = !potOn && stove.litForS === null && stove.fuelG === 0
  return {
    flame: flameWords(stove, lit, wentOutS),
    water: isCold ? STILL : waterWords(simulatedBoilingPoint(conditions.pressurePa) - stove.waterC),
  }
}

const STILL = 'still'
/** By how far the water is below its boiling point [K]. */
function waterWords(belowK: number): string {
  if (belowK <= AT_THE_BOIL_K) return 'rolls all over'
  if (belowK < 2) return 'bubbles break here and there'
  if (belowK < 8) return 'bubbles rise and vanish; it sings'
  return belowK < 25 ? 'small bubbles on the floor' : STILL
}

function flameWords({ litForS, fuelG }: LiveStove, lit: boolean, wentOutS: number | null): string {
  if (lit) return litForS !== null && litForS < 4 ? 'catching' : 'burning'
  if (wentOutS !== null) return 'gone'
  return fuelG > 0 ? 'out' : 'not lit'
}
