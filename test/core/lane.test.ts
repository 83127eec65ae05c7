/**
 * What a lane of the bench shows and asks for, by its facts alone. Cautions, warm-up and cooling: common practice, no
 * source; the rest is arithmetic on the clock.
 */
import { describe, expect, it } from 'vitest'
import { coolWords, dueWords, feedingCaution } from '../../core/bench/cooling'
import type { LaneFacts } from '../../core/bench/lane'
import { laneClocks } from '../../core/bench/laneClocks'
import { laneNext, laneState, readingFor, skippable } from '../../core/bench/laneNext'
import { laneSays } from '../../core/bench/laneSays'
import { predictLane, forecastWords } from '../../core/bench/predictLane'
import { benchOrder } from '../../core/method/benchOrder'
import { SHIPPED } from '../../core/method/shipped'
import { benchStep, emptyBench, type BenchState } from '../../core/run/benchStep'
import type { EventKind } from '../../core/run/events'

const T0 = Date.parse('2026-05-01T10:00:00Z')
type Mark = [kind: EventKind, s: number]

function marked(order: readonly EventKind[], marks: readonly Mark[], device = 'phone'): BenchState {
  return marks.reduce<BenchState>((state, [kind, s], i) => {
    const next = benchStep(state, { type: 'mark', id: `${i}`, kind, nowMs: T0 + s * 1000, device })
    return next.ok ? next.value : state
  }, emptyBench(order))
}

function lane(test: keyof typeof SHIPPED, marks: readonly Mark[], change: Partial<LaneFacts> = {}): LaneFacts {
  const { body } = SHIPPED[test]
  const order = benchOrder(body, 'canister-top')
  return {
    kind: 'boil',
    zone: 'Europe/Lisbon',
    fuelKind: 'isobutane-propane',
    boilingC: 97,
    method: { body },
    order,
    state: marked(order.marks, marks),
    readings: [],
    rehearsal: null,
    ...change,
  }
}
const reading = (quantity: string, value: number) => ({ id: quantity, quantity, value })
const seen = { nowMs: T0 + 400_000, prediction: null, lastC: null, windMS: null }
const BOILED: Mark[] = [
  ['lit', 0],
  ['potOn', 5],
  ['rollingBoil', 245],
  ['shutOff', 250],
]

describe('a lane', () => {
  it('asks for the weighing, each mark, the weighing and the end, in the order of its method', () => {
    const steps = [0, 1, 2, 3, 4].map((n) => laneNext(lane('boil', BOILED.slice(0, n)), ['weighIn'], false))
    expect(laneNext(lane('boil', []), [], false)).toMatchObject({ type: 'read', quantity: 'fuelBefore' })
    expect(steps.map((step) => step.words)).toEqual(['Light', 'Pot on', 'Boil', 'Out', 'Weigh out'])
    const weighed = lane('boil', BOILED, { readings: [reading('fuelAfter', 0.2)] })
    expect(laneNext(weighed, [], false)).toEqual({ type: 'finish', words: 'Finish' })
    expect(laneNext(lane('boil', BOILED.slice(0, 2)), [], true)).toMatchObject({ kind: 'flameOut' })
    expect(skippable(lane('boil', []), laneNext(lane('boil', []), [], false))).toBe('weighIn')
  })

  it('is armed, burning, cooling and done; a bare reading is of what it waits for', () => {
    const states = [0, 2, 4].map((n) => laneState(lane('boil', BOILED.slice(0, n))))
    expect(states).toEqual(['armed', 'burning', 'cooling'])
    expect(laneState(lane('boil', BOILED, { readings: [reading('fuelAfter', 0.2)] }))).toBe('done')
    const next = { type: 'mark', kind: 'lit', words: 'Light' } as const
    expect(readingFor(lane('boil', []), next)).toBe('waterStart')
    expect(readingFor(lane('boil', BOILED.slice(0, 2)), next)).toBe('waterNow')
    expect(readingFor(lane('boil', []), { type: 'read', quantity: 'fuelBefore', words: '' })).toBe('fuelBefore')
  })

  it('its clock runs from pot-on until the flame ends, with the boil and the lighting beside it', () => {
    expect(laneClocks(lane('boil', BOILED.slice(0, 2)), T0 + 65_900)).toMatchObject({
      main: '1:00',
      name: 'from pot-on',
    })
    const over = laneClocks(lane('boil', BOILED), T0 + 900_000)
    expect([over.main, over.others]).toEqual(['4:05', 'boil 4:00 · lit 4:10'])
    const fast = lane('boil', BOILED.slice(0, 2), { rehearsal: { choice: { speed: 10 } } })
    expect(laneClocks(fast, T0 + 11_000).main).toBe('1:00')
  })

  it('what was hot cools a quarter of an hour; then it asks to be weighed; and is never fed while it is hot', () => {
    expect(coolWords(lane('boil', BOILED))).toBe('cool about 11:20')
    expect(coolWords(lane('boil', BOILED.slice(0, 3)))).toBe('')
    expect([10, 21].map((min) => dueWords(lane('boil', BOILED), T0 + min * 60_000))).toEqual([
      '',
      'cool by now: weigh out',
    ])
    expect(feedingCaution(lane('boil', [], { fuelKind: 'methanol' }))).toMatch(/Never refuel/)
    expect(feedingCaution(lane('boil', []))).toBeNull()
  })

  it('says what contradicts itself or leaves the method, and asks what was seen and not pressed', () => {
    const swapped = lane('boil', BOILED, { readings: [reading('fuelBefore', 0.2), reading('fuelAfter', 0.21)] })
    expect(laneSays(swapped, seen, []).map((one) => one.key)).toEqual(['swapped'])
    const burning = lane('boil', BOILED.slice(0, 2))
    const windy = laneSays(burning, { ...seen, windMS: 9 }, []).map((one) => one.key)
    expect(windy).toEqual(SHIPPED.boil.body.windMS.high === null ? [] : ['window.Wind at the pot'])
    const prediction = { boil: null, stallsAtC: null, fallingSinceS: null, boiledAtS: 240 }
    const offers = laneSays(burning, { ...seen, prediction }, [])
    expect(offers).toMatchObject([{ key: 'unseen', kind: 'offer', answers: [{ act: { atMs: T0 + 245_000 } }, {}] }])
    expect(laneSays(burning, { ...seen, prediction }, ['unseen'])).toEqual([])
    const out = lane('boil', [...BOILED.slice(0, 2), ['flameOut', 200]])
    expect(laneSays(out, { ...seen, lastC: 71.4 }, [])[0]!.words).toBe('Flame out 3:15, water 71 °C. Feeding another?')
  })

  it('a boil called twice is asked about', () => {
    const first = lane('boil', BOILED.slice(0, 3))
    const again = benchStep(first.state, {
      type: 'mark',
      id: 'late',
      kind: 'rollingBoil',
      nowMs: T0 + 275_000,
      device: 'laptop',
    })
    const twice = { ...first, state: again.ok ? again.value : first.state }
    expect(laneSays(twice, seen, [])[0]).toMatchObject({ words: 'Boil called at 4:00 and at 4:30. Which?' })
  })

  it('predicts from what was read since the last feeding, and nothing once it boiled or was put out', () => {
    const read = Array.from({ length: 10 }, (_, i) => [i * 20, 15 + i * 6] as const)
    const water = { read, sent: [] }
    const burning = lane('boil', BOILED.slice(0, 2))
    const at = T0 + 190_000
    expect(predictLane(burning, water, at)!.boil!.fromS).toBeGreaterThan(200)
    expect(predictLane(lane('boil', BOILED), water, at)).toBeNull()
    const fed = lane('boil', [...BOILED.slice(0, 2), ['flameOut', 150], ['relit', 165]])
    expect(predictLane(fed, water, at)).toEqual(predictLane(fed, { ...water, read: read.slice(8) }, at))
    const prediction = {
      boil: { fromS: 500, toS: 545, atS: 520 },
      stallsAtC: null,
      fallingSinceS: null,
      boiledAtS: null,
    }
    expect(forecastWords(prediction, null)).toBe('boil about 8:20 to 9:05')
    expect(forecastWords(prediction, 480)).toBe('not before 8:20; give-up is 8:00')
    expect(forecastWords({ ...prediction, boil: null, stallsAtC: 91.6 }, null)).toBe(
      'tops out near 92 °C: will not boil',
    )
  })

  it('takes water for falling only while its pot is on the flame, and never by one low sample of a thermometer', () => {
    const falls = Array.from({ length: 6 }, (_, i) => [i * 20, 15 - i * 0.3] as const)
    const at = T0 + 120_000
    const before = predictLane(lane('boil', [['lit', 0]]), { read: falls, sent: [] }, at)
    expect(before?.fallingSinceS ?? null).toBeNull()
    const aside = lane('boil', [...BOILED.slice(0, 2), ['potOff', 30]])
    expect(predictLane(aside, { read: falls, sent: [] }, at)?.fallingSinceS ?? null).toBeNull()
    const back = lane('boil', [...BOILED.slice(0, 2), ['potOff', 30], ['potOn', 90]])
    const warmer = [...falls, [105, 14.2], [115, 14.9]] as const
    expect(predictLane(back, { read: warmer, sent: [] }, at)?.fallingSinceS ?? null).toBeNull()
    const burning = lane('boil', BOILED.slice(0, 2))
    const low = [
      [0, 15.2],
      [60, 15.4],
      [120, 14.9],
    ] as const
    expect(predictLane(burning, { read: low, sent: low }, at)!.fallingSinceS).toBeNull()
    // Of a reading by eye, one is enough.
    expect(predictLane(burning, { read: low, sent: [] }, at)!.fallingSinceS).toBe(60)
  })
})
