import { expect, it } from 'vitest'
import { inCommon } from '../../server/http/inCommon'

it('fifty who ask for the same are answered by two readings, and each by one that began after it asked', async () => {
  let [begun, written] = [0, 0]
  const read = async () => {
    begun++
    const seen = written
    await new Promise((done) => setTimeout(done, 20))
    return seen
  }
  const first = inCommon('a', read)
  // Written while the first reads: who asks from now on must see it.
  written = 1
  const later = await Promise.all([first, ...Array.from({ length: 49 }, () => inCommon('a', read))])
  expect([begun, later[0], new Set(later.slice(1))]).toEqual([2, 0, new Set([1])])
  expect(await inCommon('b', async () => 'another')).toBe('another')
})

it('a reading that fails is the failure of those who waited for it, and of nobody after', async () => {
  const failing = () => Promise.reject(new Error('away'))
  const [one, two] = [inCommon('c', failing), inCommon('c', async () => 'back')]
  await expect(one).rejects.toThrow('away')
  expect(await two).toBe('back')
})
