/**
 * The browser's own store of the bench: acts not yet acknowledged, acts refused, photos waiting, and the bench as last
 * heard.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Bench, Lane } from '#shared/bench'
import type { BenchAck, BenchAct } from '#shared/benchAct'

export interface PendingAct {
  act: BenchAct
  /** Of a preparation: the lane as it will look. */
  preview: Lane | null
}
export interface RefusedAct {
  act: BenchAct
  ack: BenchAck
  lane: string | null
}
export interface WaitingPhoto {
  id: string
  runId: string
  /** On the run's clock; null: before it began. */
  atMs: number | null
  bytes: Blob
  /** Why the server would not have it. */
  refused: string | null
}
export interface DeviceCard {
  id: string
  name: string
}

interface BenchDb extends DBSchema {
  acts: { key: number; value: PendingAct }
  refused: { key: string; value: RefusedAct }
  photos: { key: string; value: WaitingPhoto }
  kept: { key: string; value: unknown }
}

let opened: Promise<IDBPDatabase<BenchDb>> | null = null
const disk = () =>
  (opened ??= openDB<BenchDb>('vulcanum-bench', 1, {
    upgrade(db) {
      db.createObjectStore('acts', { autoIncrement: true })
      db.createObjectStore('refused')
      db.createObjectStore('photos', { keyPath: 'id' })
      db.createObjectStore('kept')
    },
    terminated: () => {
      opened = null
    },
  }))

/**
 * Kept before it is shown: resolves once the browser has it. Committed at once: waiting to see whether more is to be
 * written costs another way there and back.
 */
export async function keepAct(pending: PendingAct): Promise<void> {
  const tx = (await disk()).transaction('acts', 'readwrite')
  const added = tx.store.add(JSON.parse(JSON.stringify(pending)) as PendingAct)
  tx.commit()
  await Promise.all([added, tx.done])
}

/** In the order they were pressed. */
export async function pendingActs(): Promise<{ key: number; pending: PendingAct }[]> {
  const tx = (await disk()).transaction('acts')
  const [keys, values] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()])
  return keys.map((key, i) => ({ key, pending: values[i]! }))
}

/** Acknowledged acts go; what was refused is kept beside, with why. One transaction. */
export async function settleActs(done: number[], refused: RefusedAct[]): Promise<void> {
  const tx = (await disk()).transaction(['acts', 'refused'], 'readwrite')
  await Promise.all([
    ...done.map((key) => tx.objectStore('acts').delete(key)),
    ...refused.map((one) => tx.objectStore('refused').put(one, one.act.id)),
    tx.done,
  ])
}

export const refusedActs = async () => (await disk()).getAll('refused')
export const forgetRefused = async (id: string) => (await disk()).delete('refused', id)

export const keepPhoto = async (photo: WaitingPhoto) => {
  await (await disk()).put('photos', photo)
}
export const waitingPhotos = async () => (await disk()).getAll('photos')
export const dropPhoto = async (id: string) => (await disk()).delete('photos', id)

/** The bench as last heard: each lane by itself, so that a press writes one. */
interface KeptBench {
  seq: number
  serverMs: number
  runIds: string[]
}
const laneKey = (runId: string) => `lane.${runId}`

export async function keepBench(bench: Bench, before: Bench): Promise<void> {
  const tx = (await disk()).transaction('kept', 'readwrite')
  const runIds = bench.lanes.map((lane) => lane.runId)
  const changed = bench.lanes.filter((lane) => before.seq < 0 || !before.lanes.includes(lane))
  const gone = before.lanes.filter((lane) => !runIds.includes(lane.runId))
  await Promise.all([
    tx.store.put({ seq: bench.seq, serverMs: bench.serverMs, runIds } satisfies KeptBench, 'bench'),
    ...changed.map((lane) => tx.store.put(lane, laneKey(lane.runId))),
    ...gone.map((lane) => tx.store.delete(laneKey(lane.runId))),
    tx.done,
  ])
}

export async function keptBench(): Promise<Bench | undefined> {
  const tx = (await disk()).transaction('kept')
  const bench = (await tx.store.get('bench')) as KeptBench | Bench | undefined
  if (bench === undefined || 'lanes' in bench) return bench
  const lanes = await Promise.all(
    bench.runIds.map((runId) => tx.store.get(laneKey(runId)) as Promise<Lane | undefined>),
  )
  return { seq: bench.seq, serverMs: bench.serverMs, lanes: lanes.filter((lane) => lane !== undefined) }
}

export const keep = async (key: 'device' | 'choices' | 'wallOffset', value: unknown) => {
  await (await disk()).put('kept', JSON.parse(JSON.stringify(value)), key)
}
export const kept = async <T>(key: 'device' | 'choices' | 'wallOffset') =>
  (await disk()).get('kept', key) as Promise<T | undefined>
