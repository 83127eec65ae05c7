/** The pairing code: six digits that stand on this machine's own screen, good for one device, for ten minutes, for a few tries. */
import { randomInt, timingSafeEqual } from 'node:crypto'

const GOOD_FOR_MS = 10 * 60_000
const TRIES = 5

let code = ''
let madeAtMs = 0
let tries = 0

/** The code that is good now, and until when [ms]. */
export function pairingCode(nowMs: number): { code: string, untilMs: number } {
  if (code === '' || nowMs - madeAtMs > GOOD_FOR_MS) renew(nowMs)
  return { code, untilMs: madeAtMs + GOOD_FOR_MS }
}

/** Whether this is it. After five wrong ones, and after a right one, there is another. */
export function tryCode(said: string, nowMs: number): boolean {
  const { code: good } = pairingCode(nowMs)
  const given = said.replace(/\D/g, '').padEnd(6).slice(0, 6)
  const right = timingSafeEqual(Buffer.from(given), Buffer.from(good))
  tries++
  if (right || tries >= TRIES) renew(nowMs)
  return right
}

function renew(nowMs: number): void {
  code = String(randomInt(0, 1_000_000)).padStart(6, '0')
  madeAtMs = nowMs
  tries = 0
}
