/** Lines and blocks of a batch as samples by channel, and what of them was refused, in words. */
import { instrumentReader } from '../../core/formats/instrumentLine'
import { problemText } from '../../core/result'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import { CHANNEL_RULES, INGEST } from '../../shared/feed'
import type { Samples } from '../database/repositories/traces'
import type { Feed } from './feeds'

export interface ReadLines { byChannel: Map<ChannelName, Samples>, count: number, refused: { line: number, text: string, count: number }[] }

const readLine = instrumentReader(CHANNEL_RULES)
/** By channel, at moments since 1970 [ms]; a channel without a good sample is not named. */
export function readBatch(lines: readonly string[], from: Feed, nowMs: number): ReadLines {
  const read: ReadLines = { byChannel: new Map(), count: 0, refused: [] }
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue
    const refuse = (text: string, count = 1) => void read.refused.push({ line: i + 1, text, count })
    const said = readLine(line)
    if (!said.ok) {
      refuse(problemText(said.problem))
      continue
    }
    const { atMs, values, refused } = said.value
    if (refused) refuse(problemText(refused.why), refused.count)
    read.count += values.length
    const channel = said.value.channel as ChannelName
    if (from.lanes[channel]) takeTimed(held(read.byChannel, channel), atMs ?? [nowMs], values, nowMs, refuse)
    else if (values.length > 0) refuse(`${CHANNELS[channel].name}: this instrument is not said to follow it. Add it on the Bench.`, values.length)
  }
  for (const [channel, samples] of read.byChannel) if (samples.v.length === 0) read.byChannel.delete(channel)
  return read
}
function held(byChannel: Map<ChannelName, Samples>, channel: ChannelName): Samples {
  const samples = byChannel.get(channel) ?? { tMs: [], v: [] }
  byChannel.set(channel, samples)
  return samples
}

/** Those whose time can be: the rest are refused together, by the first of them. */
function takeTimed({ tMs, v }: Samples, atMs: readonly number[], values: readonly number[], nowMs: number, refuse: (text: string, count: number) => void): void {
  const wrong: number[] = []
  for (let i = 0; i < atMs.length; i++) {
    const at = atMs[i]!
    if (at > nowMs + INGEST.aheadMs || at < nowMs - INGEST.oldMs) wrong.push(at)
    else {
      tMs.push(at)
      v.push(values[i]!)
    }
  }
  if (wrong.length === 0) return
  const [at] = wrong
  // Beyond the year 275760 no date can be written.
  const said = Math.abs(at!) <= 8.64e15 ? new Date(at!).toISOString() : String(at)
  refuse(at! > nowMs ? `Time: ${said} is in the future here. Set the instrument’s clock, or send no time.` : `Time: ${said} is more than an hour old. Bring it in as a file on the run’s page.`, wrong.length)
}
