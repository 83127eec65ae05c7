import { describe, expect, it } from 'vitest'
import { timeLeftWords } from '../../app/utils/timeLeft'

describe('what is left of something that takes a while', () => {
  it('is said by what it took so far', () => {
    expect(timeLeftWords({ elapsedS: 5, before: 0, now: 0.25 })).toBe('about 15 s left')
    expect(timeLeftWords({ elapsedS: 60, before: 0.5, now: 0.6 })).toBe('about 4:00 left')
  })
  it('is not said of what has only begun, stands still or is done', () => {
    expect(timeLeftWords({ elapsedS: 0.3, before: 0, now: 0.25 })).toBe('')
    expect(timeLeftWords({ elapsedS: 30, before: 0.4, now: 0.4 })).toBe('')
    expect(timeLeftWords({ elapsedS: 30, before: 0, now: 1 })).toBe('')
  })
})
