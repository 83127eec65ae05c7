/** Lanes brought to a state through the bench's own door, for tests that look at what stands there. */
import type { Page } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import type { Bench } from '../../shared/bench'
import type { BenchAct, BenchDeed, LaneName } from '../../shared/benchAct'
import type { KitChoices } from '../../shared/kitChoices'
import { emptyTypedRun } from '../../shared/typedRun'

export type Staged = { lane: LaneName, setup?: string, fuel?: string, test?: string, measured?: Record<string, string>, /** Marks, each so many seconds ago. */ marks?: [ago: number, deed: BenchDeed][] }

const DEVICE = { id: uuidv7(), name: 'stage' }

async function send(page: Page, acts: BenchAct[]): Promise<void> {
  const answer = await page.request.post('/api/bench/acts', { data: { device: DEVICE, acts } })
  const { acks } = await answer.json() as { acks: { as: string, problems?: { text: string }[] }[] }
  const refused = acks.find(ack => ack.as === 'refused' || ack.as === 'conflict')
  if (refused) throw new Error(refused.problems?.[0]?.text ?? refused.as)
}

const stamped = (runId: string, atMs: number, deed: BenchDeed): BenchAct => ({ id: uuidv7(), runId, units: 'metric', atMs, monoMs: 0, wallMs: atMs, clockSession: 'stage:0', deed })
export const mark = (kind: Extract<BenchDeed, { type: 'mark' }>['kind'], typed?: string): BenchDeed => ({ type: 'mark', kind, payload: typed === undefined ? {} : { typed } })

export async function stage(page: Page, lanes: Staged[]): Promise<void> {
  const kit = (await (await page.request.get('/api/kit')).json()) as KitChoices
  const { serverMs } = (await (await page.request.get('/api/bench')).json()) as Bench
  for (const { lane, setup = 'Ignimbrite, plain pot', fuel = 'isobutane-propane', test = 'boil', measured = {}, marks = [] } of lanes) {
    const runId = uuidv7()
    const { instruments, measured: empty } = emptyTypedRun(runId, 'metric')
    const arming = {
      lane, test: test as 'boil', setupId: kit.setups.find(one => one.name === setup)!.id, fuelBatchId: kit.fuels.find(one => one.kind === fuel)!.id, methodId: kit.methods.find(one => one.body.test === test)!.id, personId: kit.people[0]!.id,
      placeId: kit.places.find(one => one.name === 'Ash Gate hut')!.id, containerId: null, setting: '' as const, breakIn: false, zone: 'UTC', instruments, measured: { ...empty, water: '473 g', waterStart: '19 °C', ...measured }, overrides: {},
    }
    await send(page, [stamped(runId, serverMs - 900_000, { type: 'arm', arming }), ...marks.map(([ago, deed]) => stamped(runId, serverMs - ago * 1000, deed))])
  }
}

/** What a test left standing does not stand in the next one's way. */
export async function clearBench(page: Page): Promise<void> {
  const { lanes, serverMs } = (await (await page.request.get('/api/bench')).json()) as Bench
  // Deleted or voided; one that the page itself just cleared is gone already.
  if (lanes.length > 0) await send(page, lanes.map(({ runId }) => stamped(runId, serverMs, { type: 'clear' }))).catch(() => undefined)
}

/** A mark of another device, so many milliseconds from a moment of the bench's clock. */
export const markElsewhere = (page: Page, runId: string, atMs: number, deed: BenchDeed) => send(page, [stamped(runId, Math.round(atMs), deed)])

/** Every state a lane can have. */
export const EVERY_STATE: Staged[] = [
  { lane: 'A', setup: 'Lahar in the cone', fuel: 'methanol', measured: { fuelBefore: '80 g' }, marks: [[300, mark('lit')], [240, mark('bloomed')], [236, mark('potOn')], [176, mark('reading', '31 °C')], [116, mark('reading', '44.5 °C')], [56, mark('reading', '57.2 °C')]] },
  { lane: 'B', measured: { fuelBefore: '210 g' } },
  { lane: 'C', measured: { waterStart: '24 °C', fuelBefore: '210 g' }, marks: [[700, mark('lit')], [690, mark('potOn')], [400, mark('rollingBoil')], [398, mark('shutOff')]] },
  { lane: 'D', setup: 'Lahar in the cone', fuel: 'methanol', test: 'boilBurnOut', measured: { fuelLoad: '24 g' }, marks: [[500, mark('lit')], [450, mark('bloomed')], [440, mark('potOn')], [60, mark('rollingBoil')], [40, mark('rollingBoil')]] },
  { lane: 'E', setup: 'Lapilli with wrap', fuel: 'hexamine', test: 'fed', measured: { fuelLoad: '14 g' }, marks: [[720, mark('lit')], [715, mark('potOn')], [100, mark('reading', '91 °C')], [20, mark('flameOut')]] },
  { lane: 'F', setup: 'Lahar in the cone', fuel: 'methanol', measured: { fuelBefore: '80 g' }, marks: [[600, mark('lit')], [560, mark('potOn')], [400, mark('reading', '50 °C')], [200, mark('reading', '75 °C')], [30, mark('reading', '71 °C')]] },
]
