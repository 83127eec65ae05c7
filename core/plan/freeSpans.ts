/** What is taken when, and when it is free. */

/** From, to [ms since 1970]. */
export interface Span {
  fromMs: number
  toMs: number
}

/** Something is held from so long after the start [ms], for so long. */
export interface Demand {
  key: string
  afterMs: number
  forMs: number
}

/** When each thing is taken: spans that lie apart, in their order. */
export class Holds {
  private readonly spans = new Map<string, Span[]>()

  take(key: string, { fromMs, toMs }: Span): void {
    if (toMs <= fromMs) return
    const own = this.spans.get(key) ?? []
    const apart = own.filter((one) => one.toMs < fromMs || one.fromMs > toMs)
    const joined = own.filter((one) => one.toMs >= fromMs && one.fromMs <= toMs)
    const span = {
      fromMs: Math.min(fromMs, ...joined.map((one) => one.fromMs)),
      toMs: Math.max(toMs, ...joined.map((one) => one.toMs)),
    }
    apart.splice(lastBefore(apart, span.toMs) + 1, 0, span)
    this.spans.set(key, apart)
  }

  /** Until when it is taken by what overlaps the span and ends last; null: it is free. */
  takenUntil(key: string, span: Span): number | null {
    const own = this.spans.get(key)
    if (own === undefined) return null
    const last = own[lastBefore(own, span.toMs)]
    return last !== undefined && last.toMs > span.fromMs ? last.toMs : null
  }
}

/** The last that begins before; −1: none. */
function lastBefore(spans: readonly Span[], ms: number): number {
  let [low, high] = [-1, spans.length]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (spans[middle]!.fromMs < ms) low = middle
    else high = middle
  }
  return low
}

/** The earliest start from `fromMs` on at which all that is asked for is free. */
export function earliestStart(holds: Holds, demands: readonly Demand[], fromMs: number): number {
  let startMs = fromMs
  for (let isMoved = true; isMoved;) {
    isMoved = false
    for (const { key, afterMs, forMs } of demands) {
      const beginMs = startMs + afterMs
      const untilMs = forMs > 0 ? holds.takenUntil(key, { fromMs: beginMs, toMs: beginMs + forMs }) : null
      if (untilMs === null) continue
      startMs = untilMs - afterMs
      isMoved = true
    }
  }
  return startMs
}

/** The earliest beginning from `fromMs` on of a stretch within one of the windows; null: none is long enough. */
export function withinWindows(windows: readonly Span[], fromMs: number, forMs: number): number | null {
  let best: number | null = null
  for (const window of windows) {
    const beginMs = Math.max(fromMs, window.fromMs)
    if (beginMs + forMs <= window.toMs && (best === null || beginMs < best)) best = beginMs
  }
  return best
}
