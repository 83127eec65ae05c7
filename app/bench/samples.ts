/**
 * What instruments send, as this page has it: by run and channel. Apart from the lanes: samples come ten times as often
 * as anything is pressed.
 */
import type { SamplesHad, SamplesPush } from '#shared/bench'
import type { ChannelName } from '#shared/channels'

/** `cuts`: how often points were taken back; else they are only added to. */
export interface LiveTrace {
  points: [number, number][]
  last: [number, number]
  seq: number
  cuts: number
}
const traces = new Map<string, Map<ChannelName, LiveTrace>>()
const ofRun = (runId: string): Map<ChannelName, LiveTrace> => {
  const known = traces.get(runId) ?? new Map<ChannelName, LiveTrace>()
  traces.set(runId, known)
  return known
}

export function takeSamples(pushes: readonly SamplesPush[]): void {
  for (const { runId, channel, points, last, seq, whole } of pushes) {
    const standing = whole ? undefined : ofRun(runId).get(channel)
    if (standing) {
      const fromMs = points[0]?.[0] ?? Infinity
      const before = standing.points.length
      while (standing.points.length > 0 && standing.points.at(-1)![0] >= fromMs) standing.points.pop()
      if (standing.points.length < before) standing.cuts++
      standing.points.push(...points)
      standing.last = last
      standing.seq = seq
    } else {
      ofRun(runId).set(channel, { points: [...points], last, seq, cuts: 0 })
    }
  }
}
export const liveTrace = (runId: string, channel: ChannelName): LiveTrace | null =>
  traces.get(runId)?.get(channel) ?? null

/** How far these runs' samples are here: what came since is asked for after an outage, and not the whole again. */
export const samplesHad = (runIds: readonly string[]): SamplesHad =>
  Object.fromEntries(
    runIds.flatMap((runId) =>
      traces.has(runId)
        ? [[runId, Object.fromEntries([...traces.get(runId)!].map(([channel, { seq }]) => [channel, seq]))]]
        : [],
    ),
  )

/** All of these runs, for a tab that was opened after them. */
export const samplesHere = (runIds: readonly string[]): SamplesPush[] =>
  runIds.flatMap((runId) =>
    [...(traces.get(runId) ?? [])].map(([channel, { points, last, seq }]) => ({
      runId,
      channel,
      points,
      last,
      seq,
      whole: true,
    })),
  )
