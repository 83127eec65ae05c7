/** Good acts of the bench, each by itself and some together. */
import { v7 as uuidv7 } from 'uuid'

/** What stands in the demonstration. */
export interface Ids {
  person: string
  setup: string
  place: string
  fuel: string
  runs: string[]
}

export function actBodies({ person, setup, place, fuel }: Ids): unknown[] {
  const runId = uuidv7()
  const base = { runId, units: 'metric', monoMs: 1000, clockSession: 'a:1' }
  const at = Date.now()
  const preparation = {
    lane: 'F',
    test: 'boil',
    setupId: setup,
    fuelBatchId: fuel,
    methodId: null,
    personId: person,
    placeId: place,
    containerId: null,
    setting: '',
    breakIn: false,
    zone: 'UTC',
    instruments: {},
    measured: { water: '500 g' },
    overrides: { burnerAndFuel: 'yes' },
    rehearsal: null,
  }
  const rehearsal = { stove: 'tablet', speed: 10, trouble: false }
  const deeds = [
    { type: 'prepare', preparation },
    { type: 'prepare', preparation: { ...preparation, lane: 'E', rehearsal } },
    { type: 'mark', kind: 'lit', payload: {} },
    { type: 'mark', kind: 'reading', payload: { waterC: 55, typed: '55' } },
    { type: 'undo', ofId: uuidv7() },
    { type: 'move', ofId: uuidv7(), toMs: at },
    { type: 'read', quantity: 'air', typed: '12 °C' },
    { type: 'note', text: 'windy' },
    { type: 'finish' },
    { type: 'clear' },
  ]
  const sent = (some: unknown[]) => ({ device: { id: uuidv7(), name: 'phone' }, acts: some, seen: 0 })
  const act = (deed: unknown, run = runId) => ({ id: uuidv7(), ...base, runId: run, atMs: at, wallMs: at, deed })
  return [...deeds.map((deed) => sent([act(deed, uuidv7())])), sent(deeds.slice(0, 4).map((deed) => act(deed)))]
}
