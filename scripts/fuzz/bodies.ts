/**
 * A good body for each route that takes one, made of what stands in the demonstration: what is harmed begins from what
 * would be taken.
 */
import { v7 as uuidv7 } from 'uuid'
import { actBodies, type Ids } from './actBodies'
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
  const known: Ids = { person, setup, place, fuel, runs: lines.slice(0, 5).map((one) => one.id) }
  const { ids, bodies } = await standingRecords(get)
  return {
    ids: [...known.runs, person, setup, place, fuel, kit.methods![0]!.id, ...ids],
    raw: RAW(),
    bodies: {
      ...bodies,
      '/api/bench/acts': actBodies(known),
      ...elseBodies(known),
      ...importBodies(known),
      ...kitBodies(known),
      ...runBodies(known),
    },
  }
}

type Get = <T>(path: string) => Promise<T>
/** Records of the kit as they stand, and as new ones. */
async function standingRecords(get: Get): Promise<Pick<Known, 'ids' | 'bodies'>> {
  const bodies: Record<string, unknown[]> = {}
  const ids: string[] = []
  for (const kind of ['kit/things', 'kit/setups', 'kit/places', 'kit/fuels', 'kit/containers', 'methods']) {
    const list = await get<{ id: string }[]>(`/api/${kind}`)
    const some = list.slice(0, 8).map((one) => one.id)
    ids.push(...some.slice(0, 3))
    const pages = await Promise.all(some.map((id) => get<{ record?: object; kind?: string }>(`/api/${kind}/${id}`)))
    bodies[`/api/${kind}/[id]`] = pages.flatMap(({ record, kind: ofThing }) => {
      if (!record) return []
      const standing = { ...record, ...(ofThing ? { kind: ofThing } : {}) }
      return [standing, { ...standing, id: uuidv7(), revision: 0 }]
    })
  }
  return { ids, bodies }
}

const RAW = (): Known['raw'] => ({
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
})

const elseBodies = ({ place }: Ids): Known['bodies'] => ({
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
  '/api/now': [{ units: 'metric', placeId: place, measured: { air: '12 °C' }, clear: ['wind'] }],
  '/api/pair': [{ code: '123456', name: 'phone', secret: 'x' }],
})

function importBodies({ setup, place, fuel, person, runs }: Ids): Known['bodies'] {
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
    '/api/imports/[id]/preview': [import_],
    '/api/imports/[id]/store': [import_],
    '/api/imports/[id]/undo': [import_],
    '/api/instruments/feeds': [{ id: uuidv7(), name: 'probe', lanes: { water: ['A'] } }],
    '/api/instruments/replays': [{ name: 'a.csv', lane: 'A', speed: 1, text: 's,water\n0,20\n' }],
    '/api/instruments/simulated': [{ kind: 'none', lane: 'A', stove: 'tablet', fault: 'none', hz: 1, speed: 1 }],
  }
}

function kitBodies({ person }: Ids): Known['bodies'] {
  const record = (fields: Record<string, unknown>) => ({
    id: uuidv7(),
    revision: 0,
    units: 'metric',
    personId: person,
    reason: 'a reason',
    fields,
  })
  return {
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
  }
}

function typedRun({ person, setup, place, fuel }: Ids) {
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
  return typed
}

function runBodies(ids: Ids): Known['bodies'] {
  const { person, runs } = ids
  const typed = typedRun(ids)
  return {
    '/api/drafts': [{ body: { typed, lane: null }, revision: 0, force: true }],
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
  }
}
