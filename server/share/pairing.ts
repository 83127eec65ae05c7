/**
 * Letting a device in: open only while this machine's own screen asks for it, two minutes at most; few tries for all
 * together, each waited for longer; and the screen says yes to the device by its name.
 */
import { randomBytes, randomInt, timingSafeEqual } from 'node:crypto'
import { v7 as uuidv7 } from 'uuid'
import { sha256 } from '../database/hash'

export const OPEN_FOR_MS = 120_000
/** A page that no longer asks is no longer looked at. */
const LOOKED_AT_MS = 10_000
const DIGITS = 8
/** Wrong ones of all devices together, in one opening. */
const MOST_TRIES = 8
/** After a wrong one the next is taken no sooner, for all together, doubling. */
const FIRST_WAIT_MS = 1000
const LONGEST_WAIT_MS = 60_000
const MOST_WAITING = 5

export interface Asking {
  id: string
  name: string
}
interface Waiting extends Asking {
  claimHash: string
  answer: 'waiting' | 'granted' | 'refused'
}
interface Opening {
  code: string
  /** Carried by the picture alone. */ secret: string
  untilMs: number
  lookedAtMs: number
  waiting: Waiting[]
}

export type Tried =
  { as: 'closed' } | { as: 'wait'; waitMs: number } | { as: 'wrong' } | { as: 'asked'; id: string; claim: string }

export class Pairing {
  #opening: Opening | null = null
  /** For all devices together, whichever opening: to close and open it again gains nothing. */
  #wrong = 0
  #notBeforeMs = 0

  /** Another code, another secret; who waited before waits no more. */
  open(nowMs: number): void {
    const code = String(randomInt(0, 10 ** DIGITS)).padStart(DIGITS, '0')
    this.#opening = {
      code,
      secret: randomBytes(16).toString('base64url'),
      untilMs: nowMs + OPEN_FOR_MS,
      lookedAtMs: nowMs,
      waiting: [],
    }
  }

  close(): void {
    this.#opening = null
  }

  /** What this machine's own screen shows; asked for again and again while somebody looks. Null: it is not open. */
  look(nowMs: number): { code: string; secret: string; untilMs: number; asking: Asking[] } | null {
    const opening = this.#standing(nowMs)
    if (opening === null) return null
    opening.lookedAtMs = nowMs
    const { code, secret, untilMs, waiting } = opening
    return {
      code,
      secret,
      untilMs,
      asking: waiting.filter((one) => one.answer === 'waiting').map(({ id, name }) => ({ id, name })),
    }
  }

  /** A device says the code, or the picture's secret. Right: it waits for the screen's yes. */
  try({ said, name }: { said: string; name: string }, nowMs: number): Tried {
    const opening = this.#standing(nowMs)
    if (opening === null) return { as: 'closed' }
    if (opening.waiting.length >= MOST_WAITING) return { as: 'wait', waitMs: opening.untilMs - nowMs }
    // Nobody guesses what the picture carries: who photographed it need not wait behind who guesses the code.
    if (!isSame(said, opening.secret)) {
      if (nowMs < this.#notBeforeMs) return { as: 'wait', waitMs: this.#notBeforeMs - nowMs }
      if (!isSame(said.replace(/\s/g, ''), opening.code)) return this.#wrongOne(nowMs)
    }
    const claim = randomBytes(32).toString('base64url')
    const id = uuidv7()
    opening.waiting.push({ id, name, claimHash: sha256(claim), answer: 'waiting' })
    return { as: 'asked', id, claim }
  }

  /** In one step: of guesses that come together only one is taken. */
  #wrongOne(nowMs: number): Tried {
    this.#notBeforeMs = nowMs + Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** this.#wrong)
    this.#wrong++
    // Another code stands on the screen when somebody there asks for one.
    if (this.#wrong % MOST_TRIES === 0) this.close()
    return { as: 'wrong' }
  }

  /** The screen's answer. False: nobody waits by this id. */
  answer(id: string, yes: boolean, nowMs: number): boolean {
    const one = this.#standing(nowMs)?.waiting.find((each) => each.id === id && each.answer === 'waiting')
    if (!one) return false
    one.answer = yes ? 'granted' : 'refused'
    return true
  }

  /** What became of the device that waits; granted: once, to whoever holds the claim. */
  claim(id: string, claim: string, nowMs: number): { as: 'waiting' | 'refused' } | { as: 'granted'; name: string } {
    const opening = this.#standing(nowMs)
    const one = opening?.waiting.find((each) => each.id === id && isSame(sha256(claim), each.claimHash))
    if (!opening || !one) return { as: 'refused' }
    if (one.answer !== 'granted') return { as: one.answer }
    // Good for one device.
    this.close()
    this.#wrong = 0
    return { as: 'granted', name: one.name }
  }

  #standing(nowMs: number): Opening | null {
    const one = this.#opening
    if (one !== null && (nowMs >= one.untilMs || nowMs - one.lookedAtMs > LOOKED_AT_MS)) this.close()
    return this.#opening
  }
}

function isSame(given: string, good: string): boolean {
  return timingSafeEqual(Buffer.from(sha256(given)), Buffer.from(sha256(good)))
}
