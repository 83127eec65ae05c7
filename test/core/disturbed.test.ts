/**
 * What is done to a pot while it heats, against the stove of the harder campaign, which shares no code with the core:
 * the corrected figure is that of the burn nobody disturbed, and nothing is done in silence.
 */
import { describe, expect, it } from 'vitest'
import type { RunAnswer } from '../../core/formats/answer'
import { reduce } from '../../core/reduce'
import { drawSetup, OUTDOOR_CLASSES } from '../../core/simulate/outdoor/drawSetup'
import type { Done, OutdoorConditions } from '../../core/simulate/outdoor/conditions'
import { burnOutdoors } from '../../core/simulate/outdoor/outdoorStove'
import { seededRandom } from '../../core/simulate/random'
import { readReduceRequest } from '../../shared/reduceRequest'
import { OUTDOOR_BENCH } from './outdoorDocuments'

const CALM: OutdoorConditions = { ...OUTDOOR_BENCH, startC: 15, airC: 12 }
const setups = OUTDOOR_CLASSES.map((of, i) => ({ of, ...drawSetup(of, seededRandom(i + 5), true) }))

function answerOf(
  { stove, kit }: (typeof setups)[number],
  change: Partial<OutdoorConditions>,
  events: object[],
): { answer: RunAnswer; fuelG: number } {
  const conditions = { ...CALM, ...change }
  const burn = burnOutdoors(stove, conditions, { giveUpS: 3600, random: null })
  const read = readReduceRequest({
    format: 'vulcanum-reduce',
    version: 1,
    runs: [
      {
        id: 'r',
        setup: 's',
        place: { altitudeM: 0, airC: conditions.airC, windMS: conditions.windMS, humidityPct: 50 },
        water: { massG: 500, startC: conditions.startC },
        pot: { massG: kit.potG, material: kit.material, diameterMm: kit.diameterMm, finned: kit.finned },
        lid: conditions.lid,
        screen: kit.screen,
        burner: { kind: kit.burner, head: kit.head },
        fuel: { kind: kit.fuel, lhvMJPerKg: kit.lhvMJPerKg, usedG: burn.fuelG, scaleResolutionG: 0.1 },
        setting: 'full',
        events: [{ kind: 'potOn', s: 0 }, ...events, { kind: 'rollingBoil', s: burn.boilS }],
      },
    ],
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return { answer: reduce(read.request).runs[0] as RunAnswer, fuelG: burn.fuelG }
}

/** How the corrected figure of a disturbed burn stands to that of the same burn left alone. */
function against(setup: (typeof setups)[number], base: Partial<OutdoorConditions>, done: Done[], events: object[]) {
  const alone = answerOf(setup, base, [])
  const disturbed = answerOf(setup, { ...base, done }, events)
  return {
    moved: disturbed.answer.normalisedGPerL! / alone.answer.normalisedGPerL! - 1,
    burned: disturbed.fuelG / alone.fuelG - 1,
    unread: answerOf(setup, { ...base, done }, []).answer.normalisedGPerL! / alone.answer.normalisedGPerL! - 1,
    u: disturbed.answer.normalisedUReading! / disturbed.answer.normalisedGPerL!,
    aloneU: alone.answer.normalisedUReading! / alone.answer.normalisedGPerL!,
    flags: disturbed.answer.flags.map((flag) => flag.code),
    asMeasured: disturbed.answer.gPerL! / alone.answer.gPerL! - 1,
  }
}

describe('what is done while it heats is read', () => {
  it.each(setups)('the pot taken off for a minute and put back ($of)', (setup) => {
    const { moved, burned, asMeasured, unread, flags, u, aloneU } = against(
      setup,
      {},
      [
        { fromS: 90, potOn: false },
        { fromS: 150, potOn: true },
      ],
      [
        { kind: 'potOff', s: 90 },
        { kind: 'potOn', s: 150 },
      ],
    )
    expect(burned).toBeGreaterThan(0.05)
    expect(asMeasured).toBeCloseTo(burned, 2)
    expect(unread).toBeGreaterThan(0.05)
    expect(Math.abs(moved)).toBeLessThan(0.02)
    expect(u).toBeGreaterThan(aloneU)
    expect(flags).toContain('pot-off')
  })

  it.each(setups)('the lid lifted for two minutes near the boil ($of)', (setup) => {
    const boilS = burnOutdoors(setup.stove, CALM, { giveUpS: 3600, random: null }).boilS!
    const [fromS, toS] = [Math.round(0.55 * boilS), Math.round(0.95 * boilS)]
    const { moved, unread, flags, u, aloneU } = against(
      setup,
      {},
      [
        { fromS, lid: false },
        { fromS: toS, lid: true },
      ],
      [
        { kind: 'lidOff', s: fromS },
        { kind: 'lidOn', s: toS },
      ],
    )
    expect(Math.abs(moved)).toBeLessThan(Math.max(0.015, 0.7 * Math.abs(unread)))
    expect(Math.abs(moved)).toBeLessThan(2 * u)
    expect(u).toBeGreaterThan(aloneU)
    expect(flags).toContain('lid-moved')
  })

  it.each(setups)('a wind that rises half-way, read both times ($of)', (setup) => {
    const { moved, flags, u } = against(
      setup,
      { windMS: 0 },
      [{ fromS: 100, windMS: 1 }],
      [{ kind: 'windChanged', s: 100, windMS: 1 }],
    )
    expect(flags).toContain('wind-changed')
    expect(Math.abs(moved)).toBeLessThan(2.5 * u)
  })

  it('a wind that changed and was not read is said, and less sure; a flame set anew is said, and leans on no bench rate', () => {
    const [setup] = setups
    const unread = answerOf(setup!, { windMS: 1 }, [{ kind: 'windChanged', s: 60 }]).answer
    const still = answerOf(setup!, { windMS: 1 }, []).answer
    expect(unread.flags.find((flag) => flag.code === 'wind-changed')).toMatchObject({ severity: 'warning' })
    expect(unread.normalisedUReading!).toBeGreaterThan(still.normalisedUReading!)
    const anew = against(setup!, {}, [{ fromS: 60, setting: 0.5 }], [{ kind: 'settingChanged', s: 60, setting: 'low' }])
    expect(anew.flags).toContain('setting-changed')
    expect(anew.u).toBeGreaterThan(anew.aloneU)
  })

  it('winds none of which was read again leave the wind as it was read, less sure', () => {
    const changes = [-10, 30, 90].map((s) => ({ kind: 'windChanged', s }))
    const { normalisedGPerL, normalisedUReading, flags } = answerOf(setups[0]!, { windMS: 1 }, changes).answer
    const still = answerOf(setups[0]!, { windMS: 1 }, []).answer
    expect(normalisedGPerL! / still.normalisedGPerL!).toBeCloseTo(1, 1)
    expect(normalisedUReading!).toBeGreaterThan(still.normalisedUReading!)
    expect(flags.map((flag) => flag.code)).toContain('wind-changed')
  })

  it('a shut-off marked seconds before its boil is no gap, with a lid that moved too', () => {
    const lid = [
      { kind: 'lidOff', s: 60 },
      { kind: 'lidOn', s: 80 },
    ]
    const boilS = burnOutdoors(setups[0]!.stove, CALM, { giveUpS: 3600, random: null }).boilS!
    const early = answerOf(setups[0]!, {}, [...lid, { kind: 'shutOff', s: boilS - 4 }]).answer
    expect(early.normalisedGPerL!).toBeCloseTo(answerOf(setups[0]!, {}, lid).answer.normalisedGPerL!, 9)
  })

  it('what comes after the boil, or before the pot, touches no figure', () => {
    const [setup] = setups
    const boilS = burnOutdoors(setup!.stove, CALM, { giveUpS: 3600, random: null }).boilS!
    const after = [
      { kind: 'potOff', s: boilS + 5 },
      { kind: 'lidOff', s: boilS + 9 },
      { kind: 'settingChanged', s: boilS + 12, setting: 'low' },
      { kind: 'windChanged', s: boilS + 20 },
    ]
    expect(answerOf(setup!, {}, after).answer).toEqual(answerOf(setup!, {}, []).answer)
  })
})
