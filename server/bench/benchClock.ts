/**
 * The bench's clock: the date when this machine booted, plus how long it has been up, sleep included. A date changed by
 * hand moves
 * it not at all, and every server process on this machine reads the same.
 */
import { readFileSync } from 'node:fs'
import { uptime } from 'node:os'
import type { Database } from '../database/connection'
import { keepAnchor, keptAnchor } from './repository/clock'
import { runsOnBench } from './repository/lanes'

/** How far the two may part before the date is believed again, where no lane would feel it [ms]. */
const REANCHOR_MS = 1000
/** The fine clock stands still while the machine sleeps; the coarse one tells that it did [ms]. */
const SLEPT_MS = 500

const bootId = (): string => {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
  } catch {
    return 'unknown'
  }
}

export class BenchClock {
  readonly #db: Database
  #epochMs: number | null = null
  #fine = { upMs: 0, monoMs: 0 }
  #starting: Promise<void> | null = null

  constructor(db: Database) {
    this.#db = db
  }

  /** Bench time [ms]. */
  async now(): Promise<number> {
    if (this.#epochMs === null)
      await (this.#starting ??= this.start().finally(() => {
        this.#starting = null
      }))
    return Math.round(this.#epochMs! + this.#upMs())
  }

  /** Reads the anchor, or sets it: anew too where nothing stands on the bench and the date has parted from it. */
  async start(): Promise<void> {
    const anchorMs = Date.now() - this.#upMs()
    const knownMs = await keptAnchor(this.#db, bootId(), anchorMs)
    const parted = Math.abs(knownMs - anchorMs) > REANCHOR_MS && (await runsOnBench(this.#db)).length === 0
    if (parted) await keepAnchor(this.#db, bootId(), anchorMs)
    this.#epochMs = parted ? anchorMs : knownMs
  }

  /** Milliseconds since boot, sleep included, without the coarse clock's steps. */
  #upMs(): number {
    const coarse = uptime() * 1000
    const smooth = this.#fine.upMs + (performance.now() - this.#fine.monoMs)
    if (Math.abs(coarse - smooth) < SLEPT_MS) return smooth
    this.#fine = { upMs: coarse, monoMs: performance.now() }
    return coarse
  }
}
