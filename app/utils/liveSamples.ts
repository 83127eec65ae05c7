/** What instruments send, as this page has it: by run and channel. Apart from the lanes: samples come ten times as often as anything is pressed. */
import type { SamplesPush } from '#shared/bench'
import type { ChannelName } from '#shared/channels'

export interface LiveTrace { points: [number, number][], last: [number, number] }
const traces = new Map<string, LiveTrace>()
const key = (runId: string, channel: ChannelName) => `${runId} ${channel}`

export function takeSamples(pushes: readonly SamplesPush[]): void {
  for (const { runId, channel, points, last, whole } of pushes) {
    const standing = whole ? undefined : traces.get(key(runId, channel))
    if (standing) {
      standing.points.push(...points)
      standing.last = last
    } else {
      traces.set(key(runId, channel), { points: [...points], last })
    }
  }
}
export const liveTrace = (runId: string, channel: ChannelName): LiveTrace | null => traces.get(key(runId, channel)) ?? null
