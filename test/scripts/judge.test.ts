/** The soak's judge must be able to find fault: each fault by itself is named, and a bench in order passes. */
import { describe, expect, it } from 'vitest'
import { judge } from '../../scripts/soak/judge.mjs'

interface Press {
  lane: string
  kind: 'disturbance' | 'reading'
  at: number
  typed?: string
}
const PRESSED: Press[] = [
  { lane: 'A', kind: 'disturbance', at: 1000 },
  { lane: 'A', kind: 'reading', at: 2500, typed: '41.5' },
  { lane: 'B', kind: 'disturbance', at: 3000 },
]
const marksOf = (lane: string, presses: readonly Press[]) => ({
  lane,
  state: {
    marks: [
      { kind: 'lit', atMs: 0 },
      ...presses
        .filter((one) => one.lane === lane)
        .map(({ kind, at, typed }) => ({ kind, atMs: at + 20, payload: { typed } })),
    ],
  },
})
const lanesOf = (presses: readonly Press[]) => ['A', 'B'].map((lane) => marksOf(lane, presses))
/** One after the other, each over at its own second. */
const timed = (...times: number[]) => times.map((ms, i) => ({ ms, atMs: 10_000 + 1000 * i }))
const IN_ORDER = {
  lanes: lanesOf(PRESSED),
  pressed: PRESSED,
  paints: timed(20, 22, 25),
  faults: { serverKilled: 1 },
  minutes: 1,
  patience: 1,
  memory: [10, 12],
  tasks: timed(60),
  frames: timed(...Array.from({ length: 100 }, () => 17)),
  samples: { sent: 10, stored: 10, wrong: 0, stationAcknowledged: 3, stationWrong: 0 },
  machine: { lateMs: 0, diskMs: 0, taken: [] as [number, number][] },
}
const broken = (changes: object): string[] => judge({ ...IN_ORDER, ...changes }).broken

describe('the judge of a soak', () => {
  it('finds nothing wrong with a bench in order, with instruments or without', () => {
    expect(broken({})).toEqual([])
    expect(broken({ samples: null })).toEqual([])
    expect(judge(IN_ORDER)).toMatchObject({ pressed: 3, timed: 3, worstOffMs: 20, grownMB: 2, serverKilled: 1 })
  })

  it('names a press that was lost, one that is there twice, and two that changed places', () => {
    expect(broken({ lanes: lanesOf(PRESSED.slice(1)) })[0]).toMatch(/lane A: 2 pressed, 1 stored/)
    expect(broken({ lanes: lanesOf([...PRESSED, PRESSED[2]!]) })[0]).toMatch(/lane B: 1 pressed, 2 stored/)
    const [first, second, third] = PRESSED as [Press, Press, Press]
    expect(broken({ lanes: lanesOf([second, first, third]) })[0]).toMatch(/not in their order/)
  })

  it('names a reading of another value, and a mark far from its press', () => {
    const misread = PRESSED.map((one) => (one.typed ? { ...one, typed: '14.5' } : one))
    expect(broken({ lanes: lanesOf(misread) })).toHaveLength(1)
    const late = PRESSED.map((one) => (one.lane === 'B' ? { ...one, at: one.at + 900 } : one))
    expect(broken({ lanes: lanesOf(late) })).toEqual(['a mark is 920 ms from its press'])
    expect(broken({ lanes: lanesOf(late), patience: 3 })).toEqual([])
  })

  it.each([
    ['not all stored', { stored: 9 }],
    ['one not in its place', { wrong: 1 }],
    ['none sent', { sent: 0, stored: 0 }],
    ['nothing acknowledged to what was killed', { stationAcknowledged: 0 }],
    ['what was acknowledged to it is wrong', { stationWrong: 2 }],
  ])('names samples: %s', (_, changes) => {
    expect(broken({ samples: { ...IN_ORDER.samples, ...changes } })[0]).toMatch(/samples sent/)
  })

  it.each([
    ['paint', { paints: timed(20, 80, 90) }, /mark to paint 90 ms/],
    ['task', { tasks: timed(140) }, /a task of 140 ms/],
    ['memory', { memory: [10, 40] }, /memory grew by 30 MB/],
    [
      'frames',
      { frames: timed(...Array.from({ length: 90 }, () => 17), ...Array.from({ length: 10 }, () => 60)) },
      /90.0 %/,
    ],
  ])('names what was slow or grew: %s; in time it bears patience, in memory not', (what, changes, words) => {
    expect(broken(changes)[0]).toMatch(words)
    expect(broken({ ...changes, patience: 6 })).toHaveLength(what === 'memory' ? 1 : 0)
  })

  it('leaves out what fell into a stretch that the host gave to others, and nothing beside it', () => {
    const slow = { paints: timed(20, 900, 25), tasks: timed(60, 900), lanes: lanesOf(PRESSED) }
    const taken = (from: number, to: number) => ({ ...IN_ORDER.machine, taken: [[from, to]] })
    expect(broken({ ...slow, machine: taken(10_500, 10_900) })).toEqual([])
    expect(broken({ ...slow, machine: taken(11_001, 12_000) })).toEqual([
      'mark to paint 900 ms (p95)',
      'a task of 900 ms',
    ])
    const late = PRESSED.map((one) => (one.lane === 'B' ? { ...one, at: one.at + 900 } : one))
    expect(broken({ lanes: lanesOf(late), machine: taken(3500, 3600) })).toEqual([])
    // What was lost is lost, whatever the host did.
    expect(broken({ lanes: lanesOf(PRESSED.slice(1)), machine: taken(0, 99_000) })).toHaveLength(1)
    expect(judge({ ...IN_ORDER, ...slow, machine: taken(10_500, 12_500) }).machine).toMatchObject({
      takenS: 2,
      leftOut: 2,
    })
  })

  it('does not take a soak in which nothing was timed for one that held', () => {
    expect(broken({ paints: [] })).toContain('no press was timed')
  })
})
