/** What a page has of what instruments send, however it comes: thinned, again, overlapping, or whole after an outage. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { liveTrace, samplesHad, samplesHere, takeSamples } from '../../app/bench/samples'

const push = (runId: string, points: [number, number][], more: { seq?: number; whole?: boolean } = {}) => ({
  runId,
  channel: 'water' as const,
  points,
  last: points.at(-1) ?? ([0, 0] as [number, number]),
  seq: 1,
  whole: false,
  ...more,
})

it('law: pushes that overlap leave each moment once, in order, as it was last said', () => {
  const value = fc.double({ min: 0, max: 100, noNaN: true })
  const pushes = fc.array(fc.tuple(fc.nat(60), fc.array(value, { minLength: 1, maxLength: 8 })), { maxLength: 12 })
  let n = 0
  fc.assert(
    fc.property(pushes, (all) => {
      const runId = `law ${n++}`
      let model: [number, number][] = []
      for (const [fromMs, values] of all) {
        const points = values.map((one, i): [number, number] => [fromMs + i, one])
        takeSamples([push(runId, points)])
        model = [...model.filter(([atMs]) => atMs < fromMs), ...points]
      }
      expect(liveTrace(runId, 'water')?.points ?? []).toEqual(model)
    }),
  )
})

it('whole takes the place of what stood; how far it is known is what is asked from, and all of it what a new tab is told', () => {
  takeSamples([
    push(
      'a run',
      [
        [0, 20],
        [100, 21],
      ],
      { seq: 3 },
    ),
  ])
  expect(samplesHad(['a run', 'another'])).toEqual({ 'a run': { water: 3 } })
  takeSamples([push('a run', [[0, 30]], { seq: 9, whole: true })])
  expect(samplesHere(['a run', 'another'])).toEqual([push('a run', [[0, 30]], { seq: 9, whole: true })])
  expect(liveTrace('another', 'water')).toBeNull()
})

it('says by its count of cuts that points were taken back, so that a drawing begins anew', () => {
  takeSamples([
    push('cut', [
      [0, 20],
      [100, 21],
    ]),
  ])
  takeSamples([push('cut', [[200, 22]])])
  expect(liveTrace('cut', 'water')?.cuts).toBe(0)
  takeSamples([push('cut', [[100, 25]])])
  expect(liveTrace('cut', 'water')).toMatchObject({
    cuts: 1,
    points: [
      [0, 20],
      [100, 25],
    ],
  })
})
