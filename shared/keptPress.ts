/**
 * Presses that stand beside a run's marks: the same from another device, a glove's second, a second call, what was
 * undone or moved.
 */
import { formatClock, formatNumber } from '../core/quantity/format'
import { EVENT_NAMES, type EventKind } from '../core/run/events'

/**
 * @property atMs when it was pressed; `ofMs`: where the mark it belongs to stands [ms on the run's clock, of a
 * rehearsal the stove's], null: nowhere
 */
export interface AsidePress {
  id: string
  kind: EventKind
  as: 'twin' | 'double' | 'already' | 'undone' | 'moved'
  atMs: number
  ofMs: number | null
}

/** "Rolling boil: pressed on another device too, 0.3 s later". */
export function asideWords({ kind, as, atMs, ofMs }: AsidePress): string {
  const name = EVENT_NAMES[kind]
  const apart =
    ofMs === null ? '' : ` ${formatNumber(Math.abs(atMs - ofMs) / 1000, 1)} s ${atMs >= ofMs ? 'later' : 'earlier'}`
  switch (as) {
    case 'twin':
      return `${name}: pressed on another device too,${apart}. One event, both times kept`
    case 'double':
      return `${name}: pressed again${apart}. Kept, nothing advanced`
    case 'already':
      return `${name}: called again at ${formatClock(atMs / 1000)}. Kept beside it`
    case 'undone':
      return `${name} at ${formatClock(atMs / 1000)}: undone`
    case 'moved':
      return `${name}: moved from ${formatClock(atMs / 1000)} to ${ofMs === null ? 'nowhere' : formatClock(ofMs / 1000)}`
  }
}
