/**
 * A good body for each route that takes one, made of what stands in the demonstration: what is harmed begins from what
 * would be taken.
 */
import { v7 as uuidv7 } from 'uuid'
import { emptyTypedRun } from '../../shared/typedRun'

export interface Known {
  ids: string[]
  bodies: Record<string, unknown[]>
  raw: Record<string, string[]>
}

/** @param url of the server, with the demonstration in it */
export async function learn(url: string): Promise<Known> {
  const get = async <T>(path: string) => (await (await fetch(`${url}${path}`)).json()) as T
  const kit = await get<Record<string, { id: string }[]>>('/api/kit')
  const [person, setup, place, fuel] = [kit.people![0]!.id, kit.setups![0]!.id, kit.places![0]!.id, kit.fuels![0]!.id]
  const { lines } = await get<{ lines: { id: string }[] }>('/api/runs')
  const runs = lines.slice(0, 5).map((one) => one.id)
  const records: Record<string, unknown[]> = {}
  const ids = [...runs, person, setup, place, fuel, kit.methods![0]!.id]
  for (const kind of ['kit/things', 'kit/setups', 'kit/places', 'kit/fuels', 'kit/containers', 'methods']) {
    const list = await get<{ id: string }[]>(`/api/${kind}`)
    const some = list.slice(0, 8).map((one) => one.id)
    ids.push(...some.slice(0, 3))
    const pages = await Promise.all(some.map((id) => get<{ record?: object; kind?: string }>(`/api/${kind}/${id}`)))
    records[`/api/${kind}/[id]`] = pages.flatMap((page) =>
      page.record
        ? [
            { ...page.record, ...(page.kind ? { kind: page.kind } : {}) },
            { ...page.record, ...(page.kind ? { kind: page.kind } : {}), id: uuidv7(), revision: 0 },
          ]
        : [],
    )
  }
  const typed = {
    ...emptyTypedRun(uuidv7(), 'metric'),
    startedAt: '2026-05-01T10:00:00Z',
    personId: person,
    setupId: setup,
    fuelBatchId: fuel,
    placeId: place,
    notes: 'dry',
    overrides: { burnerAndFuel: 'as it is' },
  }
  typed.measured = { ...typed.measured, water: '500 g', waterStart: '20 °C', fuelUsed: '9 g', air: '15 °C' }
  typed.times = { ...typed.times, rollingBoil: '4:10' }
  typed.trace = [
    [0, 20],
    [60, 50],
    [120, 80],
    [240, 98],
  ]
  const record = (fields: Record<string, unknown>) => ({
    id: uuidv7(),
    revision: 0,
    units: 'metric',
    personId: person,
    reason: 'a reason',
    fields,
  })
  const acts = actBodies({ person, setup, place, fuel })
  const import_ = {
    mapping: {
      sheet: 0,
      headerRow: 0,
      columns: [{ to: 'water', unit: 'g' }],
      dateOrder: 'dmy',
      decimal: 'point',
      day: '2026-05-01',
      zone: 'UTC',
      origin: 'measured',
      clock: 'potOn',
      names: { setup: { a: { make: true, burner: 'gel' } }, place: {}, fuel: {}, person: {}, method: {} },
      usual: { setup, place, fuel, person, method: '' },
    },
    personId: person,
    leaveOut: true,
    again: true,
    reason: 'taken twice',
    runId: runs[0],
    trace: {},
  }
  return {
    ids,
    raw: {
      '/api/imports/[id]': [
        'water,start,boil,fuel\n500,20,4:10,9\n',
        'a;b\r\n1;2\r',
        '{"runs":[]}',
        '{"version":1}',
        '[1,2]',
        's,°C\n0,20\n60,50\n',
        '\uFEFF"a""b",c\n"\n',
      ],
      '/api/instruments/samples': [`${Date.now()},water,55.1,C\n`, 'water,1\nwater,x', '{"channel":"water","value":1}'],
      '/api/photos/[id]': ['no picture', '\u0089PNG\r\n'],
      '/api/package': ['PK\u0003\u0004', 'nothing'],
    },
    bodies: {
      ...records,
      '/api/bench/acts': acts,
      '/api/burn-one': [
        {
          units: 'metric',
          who: 'me',
          burner: 'mine',
          burnerKind: 'alcohol',
          fuelKind: 'methanol',
          place: 'porch',
          altitude: '100 m',
          zone: 'UTC',
        },
      ],
      '/api/drafts': [{ body: { typed, lane: null }, revision: 0, force: true }],
      '/api/imports/[id]/preview': [import_],
      '/api/imports/[id]/store': [import_],
      '/api/imports/[id]/undo': [import_],
      '/api/instruments/feeds': [{ id: uuidv7(), name: 'probe', lanes: { water: ['A'] } }],
      '/api/instruments/replays': [{ name: 'a.csv', lane: 'A', speed: 1, text: 's,water\n0,20\n' }],
      '/api/instruments/simulated': [{ kind: 'none', lane: 'A', stove: 'tablet', fault: 'none', hz: 1, speed: 1 }],
      '/api/kit/containers/[id]/entries': [
        record({ kind: 'weighed', massKg: '300 g', note: '', at: '2026-05-01T10:00:00Z' }),
      ],
      '/api/kit/fuels/[id]/prices': [record({ fromDay: '2026-05-01', amount: '4.5', currency: 'EUR', forKg: '230 g' })],
      '/api/kit/things/[id]/prices': [record({ fromDay: '2026-05-01', amount: '4.5', currency: 'EUR' })],
      '/api/kit/things/[id]/checks': [
        record({ kind: 'ice', reading: '0.3 °C', truth: '', pressure: '', at: '2026-05-01T10:00:00Z', note: '' }),
      ],
      '/api/kit/people': [{ id: uuidv7(), name: 'Odra' }],
      '/api/kit/places/[id]/surveys': [
        {
          id: uuidv7(),
          personId: person,
          units: 'metric',
          fan: 'box fan',
          cells: [{ station: 'A', step: '1', typed: '2 m/s' }],
        },
      ],
      '/api/now': [{ units: 'metric', placeId: place, measured: { air: '12 °C' }, clear: ['wind'] }],
      '/api/pair': [{ code: '123456', name: 'phone', secret: 'x' }],
      '/api/runs': [typed],
      '/api/runs/[id]/care': [
        {
          id: uuidv7(),
          what: 'observe',
          personId: person,
          reason: 'as it was',
          question: 'boil',
          answer: 'call',
          scale: 'flame',
          step: 'blue',
          note: '',
          atMs: 1000,
        },
        { id: uuidv7(), what: 'void', personId: person, reason: 'lid off' },
      ],
      '/api/runs/[id]/corrections': [
        {
          id: uuidv7(),
          revision: 1,
          units: 'metric',
          personId: person,
          what: 'water',
          typed: '510 g',
          reason: 'misread',
        },
      ],
      '/api/runs/export': [
        { format: 'csv', runIds: runs },
        { format: 'json', filter: { words: 'a' } },
      ],
      '/api/runs/many': [{ id: uuidv7(), what: 'tag', runIds: runs, personId: person, reason: '', tag: 'wet' }],
    },
  }
}

function actBodies({ person, setup, place, fuel }: Record<'person' | 'setup' | 'place' | 'fuel', string>): unknown[] {
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
