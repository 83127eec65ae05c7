/**
 * Rehearsing against the simulator: one stove whoever looks and however often, the judgement of calls, what they did to
 * the figure, and the habit over rehearsals.
 */
import { describe, expect, it } from 'vitest'
import { callBias, judgeRehearsal } from '../../core/rehearse/judge'
import { CAMPAIGN_SETUPS } from '../../core/simulate/campaign'
import { rehearsalScene, type RehearsalScene } from '../../core/simulate/rehearsal'
import { playScene, scaleG, sceneAtRest, sceneWords, type SceneMark } from '../../core/simulate/playScene'
import { simulateRun } from '../../core/simulate/simulateRun'
import { burnedByScale } from '../../core/run/scaleFuel'
import { fillRun, defaultOptions } from '../../shared/reduceRequest'

const scene = rehearsalScene(
  { stove: 'narrow-open', speed: 1, trouble: false, seed: 7 },
  { waterKg: 0.473, altitudeM: 940, lid: true, lhvMJPerKg: 45.7, setting: 'full', hot: false },
)
const LIT: SceneMark[] = [
  { kind: 'lit', s: 0 },
  { kind: 'potOn', s: 8 },
]
/** As long as it takes, by the stove alone. */
const trueBoil = (of: RehearsalScene, marks: SceneMark[]) => playScene(of, marks, 1500).boilS!

describe('the stove of a rehearsal', () => {
  it('is one stove, looked at once or ten times a second', () => {
    const marks: SceneMark[] = [
      ...LIT,
      { kind: 'lidOff', s: 60 },
      { kind: 'settingChanged', s: 90, setting: 'low' },
      { kind: 'shutOff', s: 200 },
    ]
    const once = playScene(scene, marks, 260)
    let often = sceneAtRest(scene, 0)
    for (let s = 0.1; s <= 260.001; s += 0.1) often = playScene(scene, marks, s, { from: often })
    expect(often.stove.waterC).toBeCloseTo(once.stove.waterC, 1)
    expect(often.stove.fuelG).toBeCloseTo(once.stove.fuelG, 2)
    expect(once.lit).toBe(false)
  })

  it('boils when and with what the campaign’s own simulator says, the burner at full flame', () => {
    const still = { ...scene, setup: CAMPAIGN_SETUPS['narrow-open'] }
    const alone = simulateRun(still.setup, still.conditions)
    const played = playScene(
      still,
      [
        { kind: 'lit', s: 0 },
        { kind: 'potOn', s: 0 },
      ],
      1500,
    )
    expect(Math.abs(played.boilS! - alone.boilS!)).toBeLessThanOrEqual(0.5)
    expect(played.fuelAtBoilG!).toBeCloseTo(alone.fuelG, 1)
  })

  it('a batch burns down by itself whatever is called; a valve that is said to be out is shut; a flame that blew out is lit again', () => {
    const spirit = rehearsalScene(
      { stove: 'spirit-cone', speed: 1, trouble: false, seed: 1 },
      { waterKg: 0.3, altitudeM: 0, lid: true, lhvMJPerKg: null, setting: null, hot: false },
    )
    expect(playScene(spirit, [...LIT, { kind: 'flameOut', s: 60 }], 90).lit).toBe(true)
    expect(playScene(spirit, LIT, 3000).wentOutS).toBeGreaterThan(300)
    expect(playScene(scene, [...LIT, { kind: 'flameOut', s: 60 }], 90).lit).toBe(false)
    const gusty = rehearsalScene(
      { stove: 'narrow-open', speed: 1, trouble: true, seed: 3 },
      { waterKg: 0.473, altitudeM: 0, lid: true, lhvMJPerKg: null, setting: null, hot: false },
    )
    const outS = playScene(gusty, LIT, 300).wentOutS!
    expect(outS).toBeGreaterThanOrEqual(40)
    expect(sceneWords(gusty, playScene(gusty, LIT, outS + 5)).flame).toBe('gone')
    expect(playScene(gusty, [...LIT, { kind: 'relit', s: outS + 10 }], outS + 60)).toMatchObject({
      lit: true,
      wentOutS: null,
    })
  })
})

/** A run as its tester marked it: the call and the shutting off so late [s], the weighing so much off [g]. */
function told(lateS: number, offG: number) {
  const boilS = trueBoil(scene, LIT)
  const marks: SceneMark[] = [
    ...LIT,
    { kind: 'rollingBoil', s: boilS + lateS },
    { kind: 'shutOff', s: boilS + lateS + 1 },
  ]
  const end = playScene(scene, marks, boilS + lateS + 1)
  const { startC, airC, windMS, pressurePa } = scene.conditions
  const document = fillRun({
    id: 'r',
    origin: 'rehearsal',
    place: { altitudeM: 940, stationPressureHPa: pressurePa / 100, airC, windMS },
    water: { massG: 473, startC },
    pot: { massG: 98, material: 'titanium', diameterMm: 92 },
    lid: true,
    burner: { kind: 'canister-top', head: 'exposed' },
    fuel: {
      kind: 'isobutane-propane',
      beforeG: scene.grossG,
      afterG: scaleG(scene, end) + offG,
      scaleResolutionG: 0.1,
    },
    events: marks.map(({ kind, s }) => ({ kind, s })),
  })
  return { boilS, judged: judgeRehearsal(document, marks, scene, defaultOptions()) }
}

it('of a cool-down begins off the boil and cools towards the air', () => {
  const cooling = rehearsalScene(
    { stove: 'wide-sheltered', speed: 1, trouble: false, seed: 5 },
    { waterKg: 0.5, altitudeM: 0, lid: true, lhvMJPerKg: null, setting: null, hot: true },
  )
  const [after1, after20] = [60, 1200].map((s) => playScene(cooling, [{ kind: 'shutOff', s: 0 }], s).stove.waterC)
  expect(after1).toBeGreaterThan(93)
  // Half a litre in a lidded pot loses some 20 K in twenty minutes: common practice, no source.
  expect(after20).toBeGreaterThan(60)
  expect(after20).toBeLessThan(88)
})

describe('the judgement', () => {
  it('calls on time and a true weighing leave the figure as it is', () => {
    const { judged } = told(0, 0)
    expect(judged.calls).toEqual([
      expect.objectContaining({ kind: 'rollingBoil', lateS: expect.closeTo(0, 5) as number }),
    ])
    const figures = judged.steps.map((step) => step.gPerL!)
    for (const figure of figures) expect(Math.abs(figure / figures[0]! - 1)).toBeLessThan(0.006)
  })

  it('twelve seconds late burned 0.6 g more at 3 g/min: the calls’ step takes it off again', () => {
    const { judged, boilS } = told(12, 0)
    expect(judged.calls[0]).toMatchObject({ kind: 'rollingBoil', trueS: boilS, lateS: expect.closeTo(12, 5) as number })
    const [asMarked, weighings, calls] = judged.steps.map((step) => step.gPerL!)
    expect(weighings! / asMarked!).toBeCloseTo(1, 3)
    // Of about 13 g: arithmetic.
    expect(calls! / asMarked!).toBeGreaterThan(0.94)
    expect(calls! / asMarked!).toBeLessThan(0.965)
  })

  it('a gram too little weighed after is the weighings’ step alone', () => {
    const { judged } = told(0, 1)
    const [asMarked, weighings, calls] = judged.steps.map((step) => step.gPerL!)
    expect(weighings! / asMarked!).toBeGreaterThan(1.06)
    expect(calls! / weighings!).toBeCloseTo(1, 2)
    expect(judged.usedG! - judged.trueUsedG).toBeCloseTo(-1, 5)
  })

  it('a flame that blew out has its call, what was called besides did not happen, and a batch left burning is weighed burned down', () => {
    const gusty = rehearsalScene(
      { stove: 'spirit-cone', speed: 1, trouble: true, seed: 3 },
      { waterKg: 0.3, altitudeM: 0, lid: true, lhvMJPerKg: null, setting: null, hot: false },
    )
    const outS = playScene(gusty, LIT, 300).wentOutS!
    const marks: SceneMark[] = [
      ...LIT,
      { kind: 'flameOut', s: outS + 6 },
      { kind: 'relit', s: outS + 9 },
      { kind: 'flameOut', s: outS + 60 },
    ]
    const document = fillRun({
      id: 'r',
      water: { massG: 300 },
      fuel: { kind: 'methanol', loadG: 30 },
      events: marks.map(({ kind, s }) => ({ kind, s })),
    })
    const { calls, trueUsedG } = judgeRehearsal(document, marks, gusty, defaultOptions())
    expect(
      calls
        .filter((call) => call.kind === 'flameOut')
        .map((call) => [call.calledS !== null, call.trueS !== null, call.lateS]),
    ).toEqual([
      [true, true, expect.closeTo(6, 5)],
      [true, false, null],
      [false, true, null],
    ])
    expect(trueUsedG).toBeGreaterThan(29.5)
  })

  it('a habit has Student’s ± : 4, 6, 8 s late are 6 ± 4.97 s (t = 4.303 at two degrees of freedom, handbook tables)', () => {
    expect(callBias([])).toBeNull()
    expect(callBias([3])).toEqual({ n: 1, meanS: 3, sdS: null, uS: null })
    const bias = callBias([4, 6, 8])!
    expect(bias).toMatchObject({ n: 3, meanS: 6, sdS: 2 })
    expect(bias.uS).toBeCloseTo((4.303 * 2) / Math.sqrt(3), 2)
  })
})

describe('fuel by weight while it burns', () => {
  // 3 g/min for five minutes, a pot of 700 g put on after 30 s and a tablet of 4 g laid beside it at 200 s: arithmetic.
  const trace = Array.from({ length: 301 }, (_, s): [number, number] => [
    s,
    Number((500 - s / 20 + (s >= 30 ? 700 : 0) + (s >= 200 ? 4 : 0)).toFixed(1)) / 1000,
  ])

  it('steps of a hand are no fuel', () => {
    expect(burnedByScale(trace, 0, 240, 0.0001)!.massKg * 1000).toBeCloseTo(12, 0)
    expect(burnedByScale(trace, 60, 120, 0.0001)!.massKg * 1000).toBeCloseTo(3, 1)
    expect(burnedByScale(trace, 0, 2000, 0.0001)).toBeNull()
  })
})
