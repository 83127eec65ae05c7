/** This page's place on the bench's clock; see core/run/deviceClock. */
import { benchTime, takeServerTime, lookAtClocks, startClock, type DeviceClock } from '#core/run/deviceClock'
import { keep, kept } from './disk'

const read = () => ({ monoMs: performance.now(), wallMs: Date.now() })
const pageId = crypto.randomUUID()
let clock: DeviceClock | null = null

/** Begins with what the last page knew of the bench's clock. */
export async function beginClock(): Promise<void> {
  clock ??= startClock(read(), (await kept<number>('wallOffset')) ?? 0)
}

/** Looks, and says the bench's time. */
export function benchNowMs(): number {
  const now = read()
  clock = lookAtClocks(clock ?? startClock(now), now)
  return benchTime(clock, now.monoMs)
}

/** The moment of a press, by three clocks. */
export function momentOfPress() {
  const atMs = benchNowMs()
  const { monoMs, wallMs } = clock!.last
  return { atMs, monoMs, wallMs, clockSession: `${pageId}:${clock!.segment}` }
}

/** Whether the server must be asked before marks are sent. */
export const clockUnsure = (): boolean => clock === null || clock.uMs === null || clock.jumpMs !== 0

/** Asks the server what its clock says: three times, the nearest answer counts. */
export async function askServer(): Promise<void> {
  for (let i = 0; i < 3; i++) {
    benchNowMs()
    const sentMs = performance.now()
    const { serverMs } = await $fetch<{ serverMs: number }>('/api/bench/time', { retry: 0, timeout: 4000 })
    const heard = takeServerTime(clock!, { sentMs, serverMs, receivedMs: performance.now() })
    clock = heard.clock
  }
  await keep('wallOffset', clock!.offsetMs + clock!.last.monoMs - clock!.last.wallMs)
}

/** A mark of this page's present stretch of clock, at the time it has by what is known now. */
export function retimed<T extends { atMs: number; monoMs: number; clockSession: string }>(act: T): T {
  return clock !== null && act.clockSession === `${pageId}:${clock.segment}`
    ? { ...act, atMs: benchTime(clock, act.monoMs) }
    : act
}
