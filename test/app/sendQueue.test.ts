/** What a page does while the server cannot be reached. Common practice, no source. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { PAUSES_MS, SendQueue } from '../../app/bench/sendQueue'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

/** A queue whose every sending ends as told, with what it did. */
function queueOf(endings: (Error | undefined)[]) {
  const at: number[] = []
  const ended: (string | undefined)[] = []
  let running = 0
  let mostAtOnce = 0
  const begun = Date.now()
  const queue = new SendQueue({
    alone: (work) => work(),
    work: async () => {
      at.push(Date.now() - begun)
      mostAtOnce = Math.max(mostAtOnce, ++running)
      await new Promise((done) => setTimeout(done, 10))
      running--
      const error = endings.shift()
      if (error) throw error
    },
    ended: (error) => ended.push((error as Error | undefined)?.message),
  })
  return { queue, at, ended, most: () => mostAtOnce }
}

it('sends at once, once more for what came meanwhile, and one at a time', async () => {
  const { queue, at, ended, most } = queueOf([])
  queue.send()
  queue.send()
  await vi.advanceTimersByTimeAsync(5)
  queue.send()
  await vi.advanceTimersByTimeAsync(1000)
  expect(at).toEqual([0, 10])
  expect(ended).toEqual([undefined, undefined])
  expect(most()).toBe(1)
})

it('tries again by itself at growing pauses until the server answers, then is quick again', async () => {
  const gone = (n: number) => Array.from({ length: n }, () => new Error('gone'))
  const { queue, at, ended } = queueOf([...gone(6), undefined, ...gone(1)])
  queue.send()
  await vi.advanceTimersByTimeAsync(60_000)
  const pauses = at.slice(1).map((ms, i) => ms - at[i]! - 10)
  expect(pauses).toEqual([...PAUSES_MS, PAUSES_MS.at(-1)])
  expect(ended).toEqual([...gone(6).map((error) => error.message), undefined])
  queue.send()
  await vi.advanceTimersByTimeAsync(10 + PAUSES_MS[0] + 10)
  expect(ended.slice(-2)).toEqual(['gone', undefined])
})

it('a press does not wait for the pause to be over', async () => {
  const { queue, at } = queueOf([new Error('gone')])
  queue.send()
  await vi.advanceTimersByTimeAsync(50)
  queue.send()
  await vi.advanceTimersByTimeAsync(0)
  expect(at).toEqual([0, 50])
})
