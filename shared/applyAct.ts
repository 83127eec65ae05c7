/** The bench as it will be once an act is acknowledged: what a page shows meanwhile. */
import { parseQuantity } from '../core/quantity/parseQuantity'
import { benchStep } from '../core/run/benchStep'
import type { Lane } from './bench'
import type { BenchAct } from './benchAct'
import { MEASURED_QUANTITIES } from './measuredQuantity'

/** @param preview of a preparation: the lane as it will look */
export function applyAct(lanes: readonly Lane[], act: BenchAct, device: string, preview: Lane | null): Lane[] {
  if (act.deed.type === 'prepare') {
    if (preview === null || lanes.some((lane) => lane.runId === act.runId)) return [...lanes]
    const taken = lanes.some((lane) => lane.lane === preview.lane)
    return taken ? [...lanes] : [...lanes, preview].sort((a, b) => (a.lane < b.lane ? -1 : 1))
  }
  if (act.deed.type === 'finish' || act.deed.type === 'clear') return lanes.filter((lane) => lane.runId !== act.runId)
  return lanes.map((lane) => (lane.runId === act.runId ? applyDeed(lane, act, device) : lane))
}

function applyDeed(lane: Lane, { id, atMs, deed, units }: BenchAct, device: string): Lane {
  switch (deed.type) {
    case 'mark':
      return stepped(
        lane,
        benchStep(lane.state, { type: 'mark', id, kind: deed.kind, nowMs: atMs, device, payload: deed.payload }),
      )
    case 'undo':
      return stepped(lane, benchStep(lane.state, { type: 'undo', ofId: deed.ofId }))
    case 'move':
      return stepped(lane, benchStep(lane.state, { type: 'move', ofId: deed.ofId, toMs: deed.toMs }))
    case 'read': {
      const read = parseQuantity(deed.typed, MEASURED_QUANTITIES[deed.quantity], units)
      if (!read.ok) return lane
      return {
        ...lane,
        readings: [
          ...lane.readings.filter((one) => one.quantity !== deed.quantity),
          { id, quantity: deed.quantity, value: read.value.value, typed: deed.typed, atMs },
        ],
      }
    }
    case 'note':
      return lane.notes.some((note) => note.id === id)
        ? lane
        : { ...lane, notes: [...lane.notes, { id, text: deed.text, atMs }] }
    default:
      return lane
  }
}

const stepped = (lane: Lane, next: ReturnType<typeof benchStep>): Lane =>
  next.ok ? { ...lane, state: next.value } : lane
