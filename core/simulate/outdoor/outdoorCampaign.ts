/** The harder campaign, run by run: what was burned, what its tester read of it, and what was true. */
import type { OutdoorConditions } from './conditions'
import { burnOutdoors } from './outdoorStove'
import { drawBloom, drawCan, drawSetup, OUTDOOR_CLASSES, type DrawnSetup, type OutdoorClass } from './drawSetup'
import { ALONE_IN_WIND, OUTDOOR_GROUPS, type Asked, type Group, type OutdoorGroup } from './outdoorGroups'
import { seededRandom, type Random } from '../random'
import { simulatedPressure } from '../stove'

/** Standard deviations from run to run. */
const SCATTER = {
  startK: 0.6,
  airK: 1,
  windMS: 0.15,
  pressure: 0.004,
  valve: 0.03,
  fuel: 0.004,
  callS: 2.5,
  water: 0.001,
}
const MARKS_REPEAT = 0.02
const LOAD_G = 24
const SETUPS_A_GROUP = 4

/** A run as its tester wrote it down: the contract's fields, as read. */
export interface OutdoorRun {
  setup: string
  group: OutdoorGroup | 'alone'
  asked: Asked
  kit: DrawnSetup['kit']
  /** What burned: for what else is true of it. */
  stove: DrawnSetup['stove']
  airC: number
  startC: number
  /** null: nobody read it. */
  windMS: number | null
  waterG: number
  usedG: number
  /** Lighting, counted from pot-on. */
  litS: number
  callS: number | null
  endS: number
  endC: number
  endWaterG: number
  canStartC: number | null
  /** Fuel per litre of the same set-up, volume, setting and procedure at the Standard bench, without scatter [g/L]. */
  trueGPerL: number
  /** How long that takes [s]: near its stall nobody tests. */
  trueBoilS: number
}

const rounded = (value: number, to: number): number => Number((Math.round(value / to) * to).toFixed(6))
const usual = (value: number): number => rounded(value, 0.1)
const LITRE_G = 998.207

/** Runs of one series: a set-up drawn anew, burned as its group asks. */
function series(
  name: string,
  of: { group: OutdoorRun['group']; drawn: DrawnSetup; asked: readonly Asked[]; truthValve: number | null },
  random: Random,
): OutdoorRun[] {
  const truths = new Map<string, Truth>()
  return of.asked.map((asked) => {
    const key = JSON.stringify([asked.waterG, asked.valve, asked.lid, asked.leadS])
    if (!truths.has(key)) truths.set(key, trueFigure(of.drawn, asked, of.truthValve))
    return burnedOnce(name, { group: of.group, drawn: of.drawn, asked, ...truths.get(key)! }, random)
  })
}

function trueFigure({ stove }: DrawnSetup, { waterG, valve, lid, leadS }: Asked, truthValve: number | null): Truth {
  const { fuelG, boilS } = burnOutdoors(
    stove,
    {
      waterKg: waterG / 1000,
      startC: 20,
      airC: 20,
      pressurePa: 101_325,
      humidity: 0.5,
      windMS: 0,
      gusts: null,
      setting: truthValve ?? valve,
      lid,
      leadS,
      // Warm and full: what a weak can is held against.
      can: stove.can === null ? null : { fuelKg: stove.can.fullKg, startC: 20 },
    },
    { giveUpS: 7200, random: null },
  )
  return { trueGPerL: fuelG / (waterG / LITRE_G), trueBoilS: boilS ?? Infinity }
}

/** The conditions of one burn as they really were. */
function conditionsOf(
  { stove, marksFactor, gusts }: DrawnSetup,
  asked: Asked,
  { normal, uniform }: Random,
): OutdoorConditions {
  const airC = asked.airC + SCATTER.airK * normal()
  const filled = asked.by === 'marks' ? marksFactor + MARKS_REPEAT * normal() : 1 + SCATTER.water * normal()
  return {
    waterKg: (asked.waterG / 1000) * filled,
    startC: Math.max(0.5, asked.startC + SCATTER.startK * normal()),
    airC,
    pressurePa: simulatedPressure(asked.altitudeM) * (1 + SCATTER.pressure * normal()),
    humidity: 0.3 + 0.5 * uniform(),
    windMS: asked.windMS === 0 ? 0 : Math.max(0.2, asked.windMS + SCATTER.windMS * normal()),
    gusts,
    setting: asked.valve * (1 + SCATTER.valve * normal()),
    lid: asked.lid,
    leadS: asked.leadS,
    can: asked.canShare === null ? null : { fuelKg: stove.can!.fullKg * asked.canShare, startC: airC },
  }
}

type Truth = Pick<OutdoorRun, 'trueGPerL' | 'trueBoilS'>
interface Burned extends Truth {
  group: OutdoorRun['group']
  drawn: DrawnSetup
  asked: Asked
}

/** One burn as its tester read it. */
function burnedOnce(setup: string, { group, drawn, asked, trueGPerL, trueBoilS }: Burned, random: Random): OutdoorRun {
  const { normal, uniform } = random
  const at = conditionsOf(drawn, asked, random)
  const burned = burnOutdoors(drawn.stove, at, { giveUpS: asked.giveUpS, random })
  const waterG = at.waterKg * 1000
  const callS = burned.boilS === null ? null : Math.round(burned.boilS + SCATTER.callS * normal())
  // Shut off at the call, not at the boil.
  const burnedG = burned.fuelG + (callS === null ? 0 : ((callS - burned.boilS!) * burned.burnGPerMin) / 60)
  return {
    setup,
    group,
    asked,
    kit: drawn.kit,
    stove: drawn.stove,
    airC: usual(at.airC),
    startC: usual(at.startC),
    windMS: asked.windRead ? usual(at.windMS * drawn.meterFactor) : null,
    waterG: asked.by === 'marks' ? asked.waterG : Math.round(waterG),
    usedG: byTwoReadings(burnedG * (1 + SCATTER.fuel * normal()), asked.scaleG, uniform()),
    litS: -asked.leadS,
    callS,
    endS: burned.endS,
    endC: usual(burned.endC),
    endWaterG: Math.round(waterG - burned.evaporatedG),
    canStartC: at.can === null ? null : usual(at.can.startC),
    trueGPerL,
    trueBoilS,
  }
}

/** Before and after, each rounded to the scale's steps. */
function byTwoReadings(massG: number, stepG: number, share: number): number {
  const before = stepG * share
  return rounded(rounded(before + massG, stepG) - rounded(before, stepG), stepG)
}

/** One seed's campaign: four set-ups of each group. */
export function outdoorCampaign(seed: number, groups = Object.keys(OUTDOOR_GROUPS) as OutdoorGroup[]): OutdoorRun[] {
  return groups.flatMap((name) => {
    const group: Group = OUTDOOR_GROUPS[name]
    const random = seededRandom(seed * 1000 + (Object.keys(OUTDOOR_GROUPS) as OutdoorGroup[]).indexOf(name))
    return Array.from({ length: SETUPS_A_GROUP }, (_, i) => {
      const of = group.classes[(seed + i) % group.classes.length]!
      const drawn = drawSetup(of, random)
      if (name === 'can') drawn.stove.can = drawCan(random)
      if (group.blooms) drawn.stove.bloom = drawBloom(random, LOAD_G)
      const asked = { group: name, drawn, asked: group.runs, truthValve: group.truthValve ?? null }
      return series(`${name} ${of} ${i + 1}`, asked, random)
    }).flat()
  })
}

/** Set-ups drawn from the classes' own populations, each burned once in wind. */
export function aloneInWind(seed: number, setups = 100): OutdoorRun[] {
  const random = seededRandom(seed * 1000 + 999)
  return Array.from({ length: setups }, (_, i) => {
    const of: OutdoorClass = OUTDOOR_CLASSES[i % OUTDOOR_CLASSES.length]!
    const drawn = drawSetup(of, random, true)
    const asked = [ALONE_IN_WIND[Math.floor(i / OUTDOOR_CLASSES.length) % ALONE_IN_WIND.length]!]
    return series(`alone ${of} ${i + 1}`, { group: 'alone', drawn, asked, truthValve: null }, random)
  }).flat()
}
