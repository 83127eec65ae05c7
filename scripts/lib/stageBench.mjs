/** Lanes brought to a state by the bench's own service, for pictures and for tests that look at what stands there. */
import { v7 as uuidv7 } from 'uuid'

const DEVICE = { id: uuidv7(), name: 'stage' }
const stamped = (runId, atMs, deed) => ({
  id: uuidv7(),
  runId,
  units: 'metric',
  atMs,
  monoMs: 0,
  wallMs: atMs,
  clockSession: 'stage:0',
  deed,
})
const read = async (address, path) => (await fetch(address + path)).json()

async function send(address, acts) {
  const answer = await fetch(`${address}/api/bench/acts`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ device: DEVICE, acts }),
  })
  const { acks } = await answer.json()
  const refused = acks.find((ack) => ack.as === 'refused' || ack.as === 'conflict')
  if (refused) throw new Error(refused.problems?.[0]?.text ?? refused.as)
}

/**
 * @param {string} kind
 * @param {string} [typed] of a reading; a mark of another kind carries nothing
 */
export const mark = (kind, typed) => ({ type: 'mark', kind, payload: typed === undefined ? {} : { typed } })

/** So many acts the bench takes at once. */
const MOST_ACTS = 200

/**
 * Arms the lanes a quarter of an hour before now, or before the first mark, and makes their marks, each so many seconds
 * ago.
 */
export async function stage(address, lanes) {
  const kit = await read(address, '/api/kit')
  const { serverMs } = await read(address, '/api/bench')
  for (const {
    lane,
    setup = 'Ignimbrite, plain pot',
    fuel = 'isobutane-propane',
    test = 'boil',
    measured = {},
    marks = [],
  } of lanes) {
    const runId = uuidv7()
    const preparation = {
      lane,
      test,
      setupId: kit.setups.find((one) => one.name === setup).id,
      fuelBatchId: kit.fuels.find((one) => one.kind === fuel).id,
      methodId: kit.methods.find((one) => one.body.test === test).id,
      personId: kit.people[0].id,
      placeId: kit.places.find((one) => one.name === 'Ash Gate hut').id,
      containerId: null,
      setting: '',
      breakIn: false,
      zone: 'UTC',
      instruments: {},
      measured: { water: '473 g', waterStart: '19 °C', ...measured },
      overrides: {},
      rehearsal: null,
    }
    const acts = [
      stamped(runId, serverMs - Math.max(900, ...marks.map(([ago]) => ago + 60)) * 1000, {
        type: 'prepare',
        preparation,
      }),
      ...marks.map(([ago, deed]) => stamped(runId, serverMs - ago * 1000, deed)),
    ]
    for (let i = 0; i < acts.length; i += MOST_ACTS) await send(address, acts.slice(i, i + MOST_ACTS))
  }
}

/** Deleted or voided; one that a page itself just cleared is gone already. */
export async function clearBench(address) {
  const { lanes, serverMs } = await read(address, '/api/bench')
  if (lanes.length > 0)
    await send(
      address,
      lanes.map(({ runId }) => stamped(runId, serverMs, { type: 'clear' })),
    ).catch(() => undefined)
}

/** A mark of another device, at a moment of the bench's clock. */
export const markElsewhere = (address, runId, atMs, deed) => send(address, [stamped(runId, Math.round(atMs), deed)])

/** Every state a lane can have. */
export const EVERY_STATE = [
  {
    lane: 'A',
    setup: 'Lahar in the cone',
    fuel: 'methanol',
    measured: { fuelBefore: '80 g' },
    marks: [
      [300, mark('lit')],
      [240, mark('bloomed')],
      [236, mark('potOn')],
      [176, mark('reading', '31 °C')],
      [116, mark('reading', '44.5 °C')],
      [56, mark('reading', '57.2 °C')],
    ],
  },
  { lane: 'B', measured: { fuelBefore: '210 g' } },
  {
    lane: 'C',
    measured: { waterStart: '24 °C', fuelBefore: '210 g' },
    marks: [
      [700, mark('lit')],
      [690, mark('potOn')],
      [400, mark('rollingBoil')],
      [398, mark('shutOff')],
    ],
  },
  {
    lane: 'D',
    setup: 'Lahar in the cone',
    fuel: 'methanol',
    test: 'boilBurnOut',
    measured: { fuelLoad: '24 g' },
    marks: [
      [500, mark('lit')],
      [450, mark('bloomed')],
      [440, mark('potOn')],
      [60, mark('rollingBoil')],
      [40, mark('rollingBoil')],
    ],
  },
  {
    lane: 'E',
    setup: 'Lapilli with wrap',
    fuel: 'hexamine',
    test: 'fed',
    measured: { fuelLoad: '14 g' },
    marks: [
      [720, mark('lit')],
      [715, mark('potOn')],
      [100, mark('reading', '91 °C')],
      [20, mark('flameOut')],
    ],
  },
  {
    lane: 'F',
    setup: 'Lahar in the cone',
    fuel: 'methanol',
    measured: { fuelBefore: '80 g' },
    marks: [
      [600, mark('lit')],
      [560, mark('potOn')],
      [400, mark('reading', '50 °C')],
      [200, mark('reading', '75 °C')],
      [30, mark('reading', '71 °C')],
    ],
  },
]
