/** The bench as it stands in this browser: what the server acknowledged, with what was pressed since on top. */
import { computed, ref, shallowRef, type Ref } from 'vue'
import { isBurning } from '#core/run/benchStep'
import { applyAct } from '#shared/applyAct'
import type { Bench, BenchPush, Lane } from '#shared/bench'
import { LANES, type LaneName } from '#shared/lanes'
import {
  keepBench,
  pendingActs,
  refusedActs,
  waitingPhotos,
  type DeviceCard,
  type PendingAct,
  type RefusedAct,
} from './disk'

export function useStanding(device: Ref<DeviceCard>) {
  const told = shallowRef<Bench>({ seq: -1, serverMs: 0, lanes: [] })
  const pending = shallowRef<PendingAct[]>([])
  const refused = shallowRef<RefusedAct[]>([])
  const photosWaiting = ref(0)

  const lanes = computed<Lane[]>(() =>
    pending.value.reduce<Lane[]>(
      (all, { act, preview }) => applyAct(all, act, device.value.id, preview),
      told.value.lanes,
    ),
  )
  const burning = computed(() => lanes.value.some((lane) => isBurning(lane.state)))
  const freeLane = computed(() => LANES.find((name) => !lanes.value.some((lane) => lane.lane === name)) ?? null)
  const laneAt = (name: LaneName) => lanes.value.find((lane) => lane.lane === name) ?? null
  const laneOf = (runId: string) => lanes.value.find((one) => one.runId === runId) ?? null
  const waitingOf = (runId: string) => pending.value.filter((one) => one.act.runId === runId).length
  const runIds = () => told.value.lanes.map((lane) => lane.runId)

  async function readPending() {
    pending.value = (await pendingActs()).map((one) => one.pending)
    refused.value = await refusedActs()
    photosWaiting.value = (await waitingPhotos()).length
  }
  /** Never backwards: an answer that was overtaken is dropped. */
  function take(bench: Bench) {
    if (bench.seq < told.value.seq) return
    void keepBench(bench, told.value)
    told.value = bench
  }
  const receive = (push: Bench | BenchPush, whole: boolean) =>
    take(whole ? (push as Bench) : merged(told.value, push as BenchPush))

  const shown = { told, pending, refused, photosWaiting, lanes, burning, freeLane, laneAt, waitingOf }
  return { shown, laneOf, runIds, readPending, take, receive }
}

function merged(bench: Bench, { seq, serverMs, lanes, gone }: BenchPush): Bench {
  const changed = [...lanes.map((lane) => lane.runId), ...gone.map((one) => one.runId)]
  return {
    seq,
    serverMs,
    lanes: [...bench.lanes.filter((lane) => !changed.includes(lane.runId)), ...lanes].sort((a, b) =>
      a.lane < b.lane ? -1 : 1,
    ),
  }
}
