/**
 * The bench's clock: the date when this machine booted, plus how long it has been up, sleep included. A date changed by
 * hand moves
 * it not at all, and every server process on this machine reads the same.
 */
import { readFileSync } from 'node:fs'
import { uptime } from 'node:os'
import { count, inArray } from 'drizzle-orm'
import type { Database } from '../database/connection'
import { benchClock, run } from '../database/schema'

/** How far the two may part before the date is believed again, where no lane would feel it [ms]. */
const REANCHOR_MS = 1000
/** The fine clock stands still while the machine sleeps; the coarse one tells that it did [ms]. */
const SLEPT_MS = 500

let epochMs: number | null = null
let fine = { upMs: 0, monoMs: 0 }

const bootId = (): string => {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
  } catch {
    return 'unknown'
  }
}

/** Milliseconds since boot, sleep included, without the coarse clock's steps. */
function upMs(): number {
  const coarse = uptime() * 1000
  const smooth = fine.upMs + (performance.now() - fine.monoMs)
  if (Math.abs(coarse - smooth) < SLEPT_MS) return smooth
  fine = { upMs: coarse, monoMs: performance.now() }
  return coarse
}

/** Reads the anchor, or sets it: anew too where nothing stands on the bench and the date has parted from it. */
export async function startBenchClock(db: Database): Promise<void> {
  const now = Date.now() - upMs()
  const [live] = await db
    .select({ n: count() })
    .from(run)
    .where(inArray(run.state, ['draft', 'live']))
  await db.insert(benchClock).values({ bootId: bootId(), epochMs: now }).onConflictDoNothing()
  const known = (await db.select().from(benchClock)).find((one) => one.bootId === bootId())!.epochMs
  epochMs = live!.n === 0 && Math.abs(known - now) > REANCHOR_MS ? now : known
  if (epochMs !== known)
    await db
      .insert(benchClock)
      .values({ bootId: bootId(), epochMs })
      .onConflictDoUpdate({ target: benchClock.bootId, set: { epochMs } })
}

let starting: Promise<void> | null = null
/** Bench time [ms]. */
export async function benchNow(db: Database): Promise<number> {
  if (epochMs === null)
    await (starting ??= startBenchClock(db).finally(() => {
      starting = null
    }))
  return Math.round(epochMs! + upMs())
}
