/**
 * Instruments' samples as readings of a run that is finished: a value for each quantity that nobody read by eye,
 * corrected like any reading.
 */
import { v7 as uuidv7 } from 'uuid'
import type { ChannelName } from '../../shared/channels'
import type { MeasuredQuantity } from '../../shared/measuredQuantity'
import type { Connection } from '../database/connection'
import { currentEvents, currentMeasurements } from '../database/repositories/current'
import { channelTraces } from '../database/repositories/traces'
import type { RunOnBench } from './acknowledge'
import { insertReadings } from './repository/lanes'

interface Sent {
  quantity: MeasuredQuantity
  channel: ChannelName
  unit: string
  says: (value: number) => string
  /** Seconds of the run. */
  over: (times: Times) => [from: number, to: number]
}
interface Times {
  potOnS: number
  endS: number
}

/** Water was stirred and stood before it was put on [s]. Source: estimate. */
const BEFORE_S = 15
const SENT: Sent[] = [
  {
    quantity: 'wind',
    channel: 'wind',
    unit: 'mps',
    says: (value) => `${value.toFixed(1)} m/s`,
    over: ({ potOnS, endS }) => [potOnS, endS],
  },
  {
    quantity: 'air',
    channel: 'air',
    unit: 'degC',
    says: (value) => `${value.toFixed(1)} °C`,
    over: ({ potOnS, endS }) => [potOnS, endS],
  },
  {
    quantity: 'stationPressure',
    channel: 'pressure',
    unit: 'hPa',
    says: (value) => `${(value / 100).toFixed(1)} hPa`,
    over: ({ potOnS, endS }) => [potOnS, endS],
  },
  {
    quantity: 'waterStart',
    channel: 'water',
    unit: 'degC',
    says: (value) => `${value.toFixed(1)} °C`,
    over: ({ potOnS }) => [potOnS - BEFORE_S, potOnS + 1],
  },
]
/** Fewer are no reading. */
const FEWEST = 3

/** In the transaction of the finish, after the traces were merged. */
export async function takeSentReadings(tx: Connection, found: RunOnBench): Promise<void> {
  const read = new Set((await currentMeasurements(tx, [found.id])).map((one) => one.quantity))
  const wanted = SENT.filter(
    (one) => !read.has(one.quantity) && !(one.quantity === 'stationPressure' && read.has('seaLevelPressure')),
  )
  const traces = wanted.length === 0 ? new Map<string, [number, number][]>() : await channelTraces(tx, found.id)
  if (traces.size === 0) return
  const events = (await currentEvents(tx, [found.id])).filter((one) => one.payload.press === undefined)
  const potOnMs = (events.find((one) => one.kind === 'potOn') ?? events.find((one) => one.kind === 'lit'))?.atMs
  if (potOnMs === undefined) return
  const times = { potOnS: potOnMs / 1000, endS: Math.max(...events.map((one) => one.atMs)) / 1000 }
  const rows = wanted.flatMap(({ quantity, channel, unit, says, over }) => {
    const [from, to] = over(times)
    const values = (traces.get(channel) ?? []).filter(([s]) => s >= from && s <= to).map(([, value]) => value)
    if (values.length < FEWEST) return []
    const value = values.reduce((sum, one) => sum + one, 0) / values.length
    return [
      {
        id: uuidv7(),
        runId: found.id,
        quantity,
        value,
        typed: says(value),
        typedUnit: unit,
        personId: found.personId,
        reason: `mean of ${values.length} that an instrument sent`,
        atMs: Math.round(from * 1000),
      },
    ]
  })
  await insertReadings(tx, rows)
}
