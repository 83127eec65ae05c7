/** Letting a device in: when pairing is open, for whom, and what guessing costs. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { OPEN_FOR_MS, Pairing } from '../../server/share/pairing'

const wrongFor = (code: string) => (code === '00000000' ? '00000001' : '00000000')

describe('pairing', () => {
  beforeEach(() => void vi.useFakeTimers({ now: Date.UTC(2026, 4, 1) }))
  afterEach(() => void vi.useRealTimers())
  const opened = () => {
    const pairing = new Pairing()
    pairing.open(Date.now())
    return { pairing, ...pairing.look(Date.now())! }
  }

  it('is closed until the screen asks, two minutes later, and ten seconds after nobody looks', () => {
    const closed = new Pairing()
    expect([closed.try({ said: '', name: 'x' }, Date.now()), closed.look(Date.now())]).toEqual([{ as: 'closed' }, null])
    const { pairing, code } = opened()
    expect(code).toMatch(/^\d{8}$/)
    expect(pairing.try({ said: code, name: 'x' }, Date.now() + 10_001)).toEqual({ as: 'closed' })
    const looked = opened()
    for (let ms = 0; ms < OPEN_FOR_MS; ms += 5000) expect(looked.pairing.look(Date.now() + ms)?.code).toBe(looked.code)
    expect(looked.pairing.look(Date.now() + OPEN_FOR_MS)).toBe(null)
  })

  it('lets in who said the code and was said yes to, once, by the claim that it alone has', () => {
    const { pairing, code } = opened()
    const asked = pairing.try({ said: `${code.slice(0, 4)} ${code.slice(4)}`, name: 'phone' }, Date.now()) as {
      id: string
      claim: string
    }
    const claimed = (claim = asked.claim) => pairing.claim(asked.id, claim, Date.now())
    expect([claimed(), pairing.look(Date.now())!.asking]).toEqual([
      { as: 'waiting' },
      [{ id: asked.id, name: 'phone' }],
    ])
    expect([
      claimed('guessed'),
      pairing.answer('nobody', true, Date.now()),
      pairing.answer(asked.id, true, Date.now()),
    ]).toEqual([{ as: 'refused' }, false, true])
    expect([claimed(), claimed(), pairing.look(Date.now())]).toEqual([
      { as: 'granted', name: 'phone' },
      { as: 'refused' },
      null,
    ])
  })

  it('whom the screen refused stays out', () => {
    const { pairing, code } = opened()
    const asked = pairing.try({ said: code, name: 'stranger' }, Date.now()) as { id: string; claim: string }
    pairing.answer(asked.id, false, Date.now())
    expect(pairing.claim(asked.id, asked.claim, Date.now())).toEqual({ as: 'refused' })
  })

  it('guessing is waited for, for all together, twice as long each time, also across openings; the picture’s secret is not', () => {
    const { pairing } = opened()
    const waits: number[] = []
    let tries = 0
    for (let s = 0; s < 600; s++) {
      if (pairing.look(Date.now()) === null) pairing.open(Date.now())
      const said = wrongFor(pairing.look(Date.now())!.code)
      for (const tried of [1, 2, 3].map(() => pairing.try({ said, name: 'x' }, Date.now()))) {
        if (tried.as === 'wrong') tries++
        if (tried.as === 'wait') waits.push(tried.waitMs)
      }
      vi.advanceTimersByTime(1000)
    }
    // 1, 2, 4, 8, 16, 32, 60, 60 … s: of a hundred million codes, some fifteen in ten minutes.
    expect(tries).toBeLessThan(25)
    expect(Math.max(...waits)).toBeGreaterThan(50_000)
    pairing.open(Date.now())
    const now = pairing.look(Date.now())!
    expect(pairing.try({ said: wrongFor(now.code), name: 'x' }, Date.now())).not.toEqual({ as: 'asked' })
    expect(pairing.try({ said: now.secret, name: 'by picture' }, Date.now())).toMatchObject({ as: 'asked' })
  })
})
