/**
 * A device's place on the bench's clock. Marks are timed by the device's monotonic clock, which neither a changed date
 * nor a
 * daylight-saving night can move; the server says what that is on the bench's clock, which all devices share.
 */

/** Read in one moment: the monotonic clock and the wall clock [ms]. */
export interface ClockReading {
  monoMs: number
  wallMs: number
}
/** An answer of the server: when it was asked and came back (monotonic), and what its clock said between [ms]. */
export interface ClockExchange {
  sentMs: number
  serverMs: number
  receivedMs: number
}

export interface DeviceClock {
  /** A stretch over which the monotonic clock ran on: a new page, or a waking machine, begins another. */
  segment: number
  /** Bench time less monotonic time [ms]. */
  offsetMs: number
  /** Half the round trip it was told by [ms]; null: never told, the wall clock stands in. */
  uMs: number | null
  last: ClockReading
  /**
   * How far the wall clock ran ahead of the monotonic one at once [ms]: asleep, or set by hand; the server's next
   * answer tells which. 0: nothing is open.
   */
  jumpMs: number
}

/** Less is drift and rounding [ms]. */
const JUMP_MS = 750
/** An older answer is believed less: two clocks drift by so much [ms per ms]. */
const DRIFT = 5e-5

export const startClock = (reading: ClockReading, wallOffsetMs = 0): DeviceClock => ({
  segment: 0,
  offsetMs: reading.wallMs + wallOffsetMs - reading.monoMs,
  uMs: null,
  last: reading,
  jumpMs: 0,
})

/** Bench time of a moment of the monotonic clock [ms]. */
export const benchTime = ({ offsetMs }: DeviceClock, monoMs: number): number => Math.round(monoMs + offsetMs)

/**
 * Looks at both clocks: where they parted, a new segment begins, and the monotonic one is believed until the server is
 * asked.
 */
export function lookAtClocks(clock: DeviceClock, reading: ClockReading): DeviceClock {
  const partedMs = reading.wallMs - clock.last.wallMs - (reading.monoMs - clock.last.monoMs)
  const aged = clock.uMs === null ? null : clock.uMs + Math.max(0, reading.monoMs - clock.last.monoMs) * DRIFT
  if (Math.abs(partedMs) < JUMP_MS) return { ...clock, uMs: aged, last: reading }
  return { ...clock, uMs: aged, last: reading, segment: clock.segment + 1, jumpMs: clock.jumpMs + partedMs }
}

/**
 * Takes an answer of the server: the better of what is known and what is told; after a jump, what is told.
 * @returns `slept`: the machine had stopped, and marks since the jump move with the offset; `set`: only its date was
 * changed
 */
export function takeServerTime(
  clock: DeviceClock,
  { sentMs, serverMs, receivedMs }: ClockExchange,
): { clock: DeviceClock; found: 'slept' | 'set' | null } {
  const told = serverMs - (sentMs + receivedMs) / 2
  const uMs = Math.max(0.5, (receivedMs - sentMs) / 2)
  const moved = Math.abs(told - clock.offsetMs) > uMs + (clock.uMs ?? 0) + JUMP_MS / 2
  const found = clock.jumpMs === 0 ? null : moved && clock.uMs !== null ? 'slept' : 'set'
  const better = clock.uMs === null || moved || uMs <= clock.uMs
  return {
    clock: { ...clock, offsetMs: better ? told : clock.offsetMs, uMs: better ? uMs : clock.uMs, jumpMs: 0 },
    found,
  }
}
