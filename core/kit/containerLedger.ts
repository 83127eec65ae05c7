/** A canister or bottle as a ledger: its weighings, what runs took, and so what is in it. */

export type LedgerKind = 'full' | 'weighed' | 'filled' | 'empty'

export interface LedgerEntry {
  id: string
  kind: LedgerKind
  /** Container with what is in it [kg]. */
  massKg: number
  atMs: number
}

/** What a run burned from it; null: not known. */
export interface LedgerTake {
  runId: string
  usedKg: number | null
  atMs: number
}

interface LedgerLine {
  atMs: number
  entry: LedgerEntry | null
  take: LedgerTake | null
  /** Fuel in it after this line [kg]; null where it cannot be known. */
  fillKg: number | null
  /**
   * A weighing less what the lines before it predicted [kg]: evaporated, leaked, or burned by a run that was not logged.
   */
  unexplainedKg: number | null
}

export interface Ledger {
  tareKg: number | null
  /** Whether the tare was weighed or printed, or follows from a full weighing less the printed content. */
  tareFrom: 'given' | 'empty' | 'full' | null
  lines: LedgerLine[]
  fillKg: number | null
}

/**
 * The ledger in order of time. A weighing sets the fill; a run takes from it.
 * @param given tare and content when full, as weighed or printed [kg]; null: not known
 * Example: full at 210 g with 110 g in it, then a run of 8.6 g → 101.4 g.
 */
export function containerLedger(
  entries: readonly LedgerEntry[],
  takes: readonly LedgerTake[],
  given: { tareKg: number | null; fullKg: number | null },
): Ledger {
  const tare = tareOf(entries, given)
  const steps = [
    ...entries.map((entry) => ({ atMs: entry.atMs, entry, take: null })),
    ...takes.map((take) => ({ atMs: take.atMs, entry: null, take })),
  ].sort((a, b) => a.atMs - b.atMs)
  let fillKg: number | null = null
  const lines = steps.map((step): LedgerLine => {
    const predicted: number | null = fillKg
    if (step.entry) fillKg = tare.kg === null ? null : Math.max(0, step.entry.massKg - tare.kg)
    else fillKg = fillKg === null || step.take!.usedKg === null ? null : Math.max(0, fillKg - step.take!.usedKg)
    const unexplainedKg =
      step.entry?.kind === 'weighed' && predicted !== null && fillKg !== null ? fillKg - predicted : null
    return { ...step, fillKg, unexplainedKg }
  })
  return { tareKg: tare.kg, tareFrom: tare.from, lines, fillKg }
}

function tareOf(
  entries: readonly LedgerEntry[],
  { tareKg, fullKg }: { tareKg: number | null; fullKg: number | null },
): { kg: number | null; from: Ledger['tareFrom'] } {
  const empty = entries.findLast((entry) => entry.kind === 'empty')
  if (empty) return { kg: empty.massKg, from: 'empty' }
  if (tareKg !== null) return { kg: tareKg, from: 'given' }
  const full = entries.find((entry) => entry.kind === 'full')
  return full && fullKg !== null ? { kg: full.massKg - fullKg, from: 'full' } : { kg: null, from: null }
}

/**
 * Boils that are left at so much fuel each, a range of one decimal by twice their scatter; null without a fill or a
 * boil.
 */
export function boilsLeft(
  fillKg: number | null,
  perBoilKg: readonly number[],
): { about: number; from: number; to: number; n: number } | null {
  if (fillKg === null || perBoilKg.length === 0) return null
  const mean = perBoilKg.reduce((sum, one) => sum + one, 0) / perBoilKg.length
  const spread =
    perBoilKg.length < 2
      ? 0.15 * mean
      : Math.sqrt(perBoilKg.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (perBoilKg.length - 1))
  return {
    about: fillKg / mean,
    from: fillKg / (mean + 2 * spread),
    to: fillKg / Math.max(mean - 2 * spread, mean / 2),
    n: perBoilKg.length,
  }
}
