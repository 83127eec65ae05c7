/** What a planned run needs, and what it holds from when to when. */
import { earliestStart, type Demand, type Holds, type Span } from './freeSpans'

export interface RunToSchedule {
  id: string
  /** Runs of one begin in their order, whoever burns them where. */
  block: number
  personId: string
  stationId: string
  /** Burner and pot: held until each is cool, so long after the flame is out [s]. */
  hardware: readonly { id: string; coolS: number }[]
  /** Held while it burns. */
  thermometerId: string | null
  /** Held while it is weighed: just before it is lit, and when it is out. */
  scaleId: string | null
  /** Held until it is weighed out. */
  containerId: string | null
  prepareS: number
  burnS: number
  /** From flame out until it may be weighed [s]: the burner is cool, or it need not be. */
  weighAfterS: number
  weighS: number
  /** When it may burn; null: whenever the day allows. */
  windows: readonly Span[] | null
  /** Begun, done or held fast: it stands there. */
  stands: RunTimes | null
}

/** [ms since 1970] */
interface RunTimes {
  prepareMs: number
  lightMs: number
  outMs: number
  weighMs: number
  doneMs: number
}

export interface ScheduledRun extends RunTimes {
  id: string
  /** When all of its hardware is cool. */
  coolMs: number
}

export const SECOND_MS = 1000

/** The flame of a person that watches it. */
export interface Watched {
  handsKey: string
  flameKey: string
}

const scaleKey = ({ scaleId }: RunToSchedule): string[] => (scaleId === null ? [] : [`scale ${scaleId}`])

/** Weighed in is what was prepared. */
const weighInMs = ({ weighS, prepareS }: RunToSchedule): number => Math.min(weighS, prepareS) * SECOND_MS

const demandsOfRuns = new WeakMap<RunToSchedule, Map<string, Demand[]>>()
/** Worked out once for a run and whose flame it is, as long as the run is held. */
export function demandsOf(run: RunToSchedule, watched: Watched): readonly Demand[] {
  const own = demandsOfRuns.get(run) ?? new Map<string, Demand[]>()
  demandsOfRuns.set(run, own)
  const demands = own.get(watched.flameKey) ?? listDemands(run, watched)
  own.set(watched.flameKey, demands)
  return demands
}

/** All that a run holds from its start to the flame's end, and what cools until then, as it is known beforehand. */
function listDemands(run: RunToSchedule, { handsKey, flameKey }: Watched): Demand[] {
  const [prepareMs, burnMs] = [run.prepareS * SECOND_MS, run.burnS * SECOND_MS]
  const weighMs = weighInMs(run)
  const burning = { afterMs: prepareMs, forMs: burnMs }
  const all = { afterMs: 0, forMs: prepareMs + burnMs }
  return [
    { key: handsKey, afterMs: 0, forMs: prepareMs },
    ...scaleKey(run).map((key) => ({ key, afterMs: prepareMs - weighMs, forMs: weighMs })),
    { key: flameKey, ...burning },
    ...(run.thermometerId === null ? [] : [{ key: `thermometer ${run.thermometerId}`, ...burning }]),
    { key: `station ${run.stationId}`, ...all },
    ...run.hardware.map(({ id, coolS }) => ({
      key: `hardware ${id}`,
      afterMs: 0,
      forMs: all.forMs + coolS * SECOND_MS,
    })),
    ...(run.containerId === null ? [] : [{ key: `container ${run.containerId}`, ...all }]),
  ]
}

/** When it burns; it is weighed when there are hands for it. */
export type Burning = Pick<RunTimes, 'prepareMs' | 'lightMs' | 'outMs'> & Watched

/** Takes what the run needs until its flame is out. */
export function holdBurning(holds: Holds, run: RunToSchedule, burning: Burning): void {
  const { prepareMs, lightMs, outMs, handsKey, flameKey } = burning
  const take = (key: string, fromMs: number, toMs: number) => holds.take(key, { fromMs, toMs })
  take(handsKey, prepareMs, lightMs)
  for (const key of scaleKey(run)) take(key, lightMs - weighInMs(run), lightMs)
  take(flameKey, lightMs, outMs)
  if (run.thermometerId !== null) take(`thermometer ${run.thermometerId}`, lightMs, outMs)
  take(`station ${run.stationId}`, prepareMs, outMs)
}

/** Takes what it needs to be weighed, and what is held until it is weighed and cool. */
export function holdWeighed(holds: Holds, run: RunToSchedule, burning: Burning, weighMs: number): ScheduledRun {
  const { prepareMs, lightMs, outMs, handsKey } = burning
  const doneMs = weighMs + run.weighS * SECOND_MS
  const times = { prepareMs, lightMs, outMs, weighMs, doneMs }
  for (const key of [handsKey, ...scaleKey(run)]) holds.take(key, { fromMs: weighMs, toMs: doneMs })
  for (const part of run.hardware)
    holds.take(`hardware ${part.id}`, { fromMs: prepareMs, toMs: heldUntil(part, times) })
  if (run.containerId !== null) holds.take(`container ${run.containerId}`, { fromMs: prepareMs, toMs: doneMs })
  return { id: run.id, ...times, coolMs: Math.max(doneMs, ...run.hardware.map((part) => heldUntil(part, times))) }
}

/** The earliest moment at which there are hands and a scale to weigh what is cool. */
export function weighFrom(holds: Holds, run: RunToSchedule, { outMs, handsKey }: Burning): number {
  const forMs = run.weighS * SECOND_MS
  const demands = [handsKey, ...scaleKey(run)].map((key) => ({ key, afterMs: 0, forMs }))
  return earliestStart(holds, demands, outMs + run.weighAfterS * SECOND_MS)
}

/** Cool, and weighed. */
const heldUntil = ({ coolS }: { coolS: number }, { outMs, doneMs }: RunTimes): number =>
  Math.max(outMs + coolS * SECOND_MS, doneMs)

interface Ids {
  held: readonly string[]
  kept: readonly string[]
  block: string
}
const idsOfRuns = new WeakMap<RunToSchedule, Ids>()
/** Named once for a run, as long as it is held: they are looked up by the thousand. */
function idsOf(run: RunToSchedule): Ids {
  const known = idsOfRuns.get(run)
  if (known !== undefined) return known
  const held = [
    ...run.hardware.map(({ id }) => `hardware ${id}`),
    ...(run.containerId === null ? [] : [`container ${run.containerId}`]),
  ]
  const block = `block ${run.block}`
  const ids = { held, kept: [block, `station ${run.stationId}`, ...held], block }
  idsOfRuns.set(run, ids)
  return ids
}
/** What is held until the run is weighed and cool. */
export const heldIds = (run: RunToSchedule): readonly string[] => idsOf(run).held
/** By which the next of its block does not begin before it. */
export const blockId = (run: RunToSchedule): string => idsOf(run).block
/** What meets its runs in their order. */
export const keptIds = (run: RunToSchedule): readonly string[] => idsOf(run).kept

/** How long it takes at the least from a run's beginning until all that waits for it is done [s], by its id. */
export function tailsOf(runs: readonly RunToSchedule[]): Map<string, number> {
  const tails = new Map<string, number>()
  const afterS = new Map<string, number>()
  for (const run of runs.toReversed()) {
    const burnS = run.prepareS + run.burnS
    const weighedS = burnS + run.weighAfterS + run.weighS
    const after = keptIds(run).map((id) => {
      const coolS = run.hardware.find((part) => id === `hardware ${part.id}`)?.coolS ?? 0
      const isStation = id.startsWith('station')
      const heldS = id === blockId(run) ? 0 : isStation ? burnS : Math.max(weighedS, burnS + coolS)
      return heldS + (afterS.get(id) ?? 0)
    })
    const tail = Math.max(weighedS, ...after)
    tails.set(run.id, tail)
    for (const id of keptIds(run)) afterS.set(id, tail)
  }
  return tails
}
