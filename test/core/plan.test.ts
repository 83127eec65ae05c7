/** A question becomes a test day: its order, who burns what where, how long it takes, and what so many runs can show. */
import { describe, expect, it } from 'vitest'
import { coolDownWait, learntWait } from '../../core/plan/coolDown'
import { drawOrder } from '../../core/plan/drawOrder'
import { finishOf } from '../../core/plan/finish'
import { placeRuns, type Shared } from '../../core/plan/placeRuns'
import { runLength } from '../../core/plan/runLength'
import { scheduleDay } from '../../core/plan/scheduleDay'
import type { Level } from '../../core/plan/study'
import { brokenIn, dayByLot, DAWN_MS, lowerBoundMs, MINUTE_MS, studyByLot } from './planDays'
import { proofs } from '../proofs'

describe('the order', () => {
  const letters = (seed: number, replicates: number) =>
    drawOrder({ armIds: ['A', 'B'], levels: [], replicates }, seed)
      .map(({ armId }) => armId)
      .join('')

  it('two arms take turns: what drifts evenly leans to neither', () => {
    expect(new Set(Array.from({ length: 20 }, (_, seed) => letters(seed, 3)))).toEqual(new Set(['ABBAAB', 'BAABBA']))
    expect(letters(7, 6)).toBe(letters(7, 6))
  })

  const winds: Level[] = [1.8, 0, 3.6].map((windMS) => ({ id: `${windMS}`, of: 'wind', windMS }))

  it('fan steps are grouped and shuffled, the calm runs first and last', () => {
    const orders = Array.from({ length: 20 }, (_, seed) =>
      drawOrder({ armIds: ['A', 'B'], levels: winds, replicates: 4 }, seed),
    )
    for (const order of orders) {
      const groups = order.map(({ levelId }) => levelId).filter((id, i, all) => id !== all[i - 1])
      expect([groups[0], groups.at(-1), groups.length]).toEqual(['0', '0', 4])
      expect(order).toHaveLength(24)
    }
    expect(new Set(orders.map((order) => order.find(({ levelId }) => levelId !== '0')!.levelId)).size).toBe(2)
  })

  it('settings are shuffled within blocks, each arm at each of them once in every block', () => {
    const levels: Level[] = (['low', 'medium', 'full'] as const).map((setting) => ({
      id: setting,
      of: 'setting',
      setting,
    }))
    const order = drawOrder({ armIds: ['A', 'B'], levels, replicates: 3 }, 5)
    for (const block of [0, 1, 2]) {
      const own = order.filter((run) => run.block === block).map(({ armId, levelId }) => `${armId} ${levelId}`)
      expect(new Set(own).size).toBe(6)
    }
  })

  const by = (way: Shared['by'], ids: string[]): Shared => ({ ids, by: way })
  it('stations rotate under the arms, and each person comes to each station', () => {
    const armIds = ['A', 'B']
    const runs = drawOrder({ armIds, levels: winds, replicates: 4 }, 3)
    const stations = by('turn', ['lee', 'door'])
    const placed = placeRuns(runs, armIds, {
      stations,
      people: by('block', ['Odra', 'Ilha']),
      containers: by('block', []),
    })
    for (const arm of armIds) {
      const own = placed.filter(({ armId }) => armId === arm)
      expect(own.filter(({ stationId }) => stationId === 'lee')).toHaveLength(own.length / 2)
    }
    expect(new Set(placed.map(({ stationId, personId, armId }) => `${armId} ${stationId} ${personId}`)).size).toBe(8)
    expect(placed.every(({ containerId }) => containerId === null)).toBe(true)
    const fixed = placeRuns(runs, armIds, {
      stations: by('arm', ['lee', 'door']),
      people: by('block', ['Odra']),
      containers: by('block', []),
    })
    expect(new Set(fixed.map(({ armId, stationId }) => `${armId} ${stationId}`)).size).toBe(2)
  })
})

describe('how long it takes', () => {
  it('hardware cools by Newton’s law, with its uncertainty; waits that were enough before say it better', () => {
    const body = { capacityJPerK: 140, capacityU: 14, lossWPerK: 0.2, lossU: 0.04 }
    // By hand: 700 s · ln(80/3).
    const wait = coolDownWait(body, { hotC: 90, airC: 10, withinK: 3 })
    expect(wait.s).toBeCloseTo(2298.4, 1)
    expect(wait.u / wait.s).toBeCloseTo(Math.hypot(0.1, 0.2), 12)
    expect(coolDownWait(body, { hotC: 12, airC: 10, withinK: 3 }).s).toBe(0)
    expect(learntWait([600, 660])).toBeNull()
    expect(learntWait([600, 660, 630])).toMatchObject({ s: 630, from: 'waits' })
  })

  const asked = { ownS: [], burner: 'alcohol' as const, waterKg: 0.473, riseK: 85, factor: 1, giveUpS: 900 }
  it('a run is as long as its set-up’s were, else as its class’s; never longer than the give-up time', () => {
    // Common practice: 473 mL over an alcohol burner takes about ten minutes.
    expect(runLength(asked).burnS / 60).toBeGreaterThan(8)
    expect(runLength(asked).burnS / 60).toBeLessThan(12)
    const own = runLength({ ...asked, ownS: [400, 420, 410] })
    expect(own).toMatchObject({ from: 'own', runs: 3 })
    expect(own.burnS).toBeCloseTo(Math.cbrt(400 * 420 * 410), 9)
    expect(own.spread).toBeLessThan(0.08)
    expect(runLength({ ...asked, ownS: [400, 420, 410], factor: 3 })).toMatchObject({ burnS: 900, spread: 0 })
  })
})

describe('the day', () => {
  it('one person, one burner, one pot: every run waits for the hardware of the one before', () => {
    const { runs, day } = dayByLot(1)
    const one = {
      ...runs[0]!,
      prepareS: 180,
      burnS: 300,
      weighAfterS: 0,
      weighS: 60,
      containerId: null,
      thermometerId: null,
    }
    const hardware = [{ id: 'burner', coolS: 600 }]
    const two = ['a', 'b'].map((id) => ({ ...one, id, hardware }))
    const people = [{ ...day.people[0]!, flames: 1 }]
    const { runs: done } = scheduleDay(two, { ...day, people })
    expect(done[1]!.prepareMs - done[0]!.outMs).toBe(10 * MINUTE_MS)
    expect(scheduleDay(two, { ...day, people, toMs: DAWN_MS + 20 * MINUTE_MS }).left).toEqual([
      { id: 'b', why: 'pastEnd' },
    ])
    expect(scheduleDay(two, { ...day, people: [] }).left[0]!.why).toBe('noPerson')
    expect(scheduleDay(two, { ...day, people, stationIds: [] }).left[0]!.why).toBe('noStation')
    const shower = [{ fromMs: DAWN_MS, toMs: DAWN_MS + 2 * MINUTE_MS }]
    expect(scheduleDay(two, { ...day, people, windows: shower }).left[0]!.why).toBe('noWindow')
  })

  const DAYS = proofs(2000)
  it(`in ${DAYS} days by lot nothing is used twice, nothing is weighed hot, nothing burns in the rain, no run is lost`, () => {
    for (let seed = 1; seed <= DAYS; seed++) {
      const made = dayByLot(seed, { hours: 4 + (seed % 10), rain: seed % 2 === 0 })
      expect(brokenIn(made, scheduleDay(made.runs, made.day)), `day ${seed}`).toEqual([])
      // The day goes on: what has begun stands, and the rest is scheduled about it.
      const first = scheduleDay(made.runs, made.day)
      const begun = new Map(first.runs.slice(0, 4).map((times) => [times.id, times]))
      const later = made.runs.map((run) => ({ ...run, stands: begun.get(run.id) ?? null }))
      expect(brokenIn({ ...made, runs: later }, scheduleDay(later, made.day)), `day ${seed}, begun`).toEqual([])
    }
  })

  it('is over within 10 % of what no schedule of its order could beat, of 10 to 60 runs', () => {
    for (let seed = 1; seed <= proofs(200); seed++) {
      const made = studyByLot(seed)
      const over = (scheduleDay(made.runs, made.day).endMs! - DAWN_MS) / (lowerBoundMs(made) - DAWN_MS)
      expect(over, `study ${seed}`).toBeGreaterThanOrEqual(1 - 1e-9)
      expect(over, `study ${seed}`).toBeLessThanOrEqual(1.1)
    }
  })

  it('its end, nine in ten, is found by burning it many times over', () => {
    const { runs, day } = dayByLot(4)
    const uncertain = runs.map((run) => ({ ...run, spread: 0.2, coolSpread: 0.2 }))
    const plain = scheduleDay(runs, day).endMs!
    const { medianMs, nineInTenMs } = finishOf(uncertain, day, 1)!
    expect(nineInTenMs).toBeGreaterThan(medianMs)
    expect(Math.abs(medianMs - plain) / (plain - DAWN_MS)).toBeLessThan(0.1)
    expect(
      finishOf(
        runs.map((run) => ({ ...run, spread: 0, coolSpread: 0 })),
        day,
        1,
      ),
    ).toEqual({ medianMs: plain, nineInTenMs: plain })
    expect(finishOf([], day, 1)).toBeNull()
  })
})
