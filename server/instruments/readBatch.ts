/** Lines and blocks of a batch as samples by channel, and what of them was refused, in words. */
import { instrumentReader } from '../../core/formats/instrumentLine'
import { problemText } from '../../core/result'
import { CHANNELS, type ChannelName } from '../../shared/channels'
import { CHANNEL_RULES, INGEST } from '../../shared/feed'
import type { Samples } from '../database/repositories/traces'
import type { Feed } from './feeds'

export interface ReadLines {
  byChannel: Map<ChannelName, Samples>
  count: number
  refused: { line: number; text: string; count: number }[]
}

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
    if (from.lanes[channel])
      takeSamples(read.byChannel, channel, timed({ tMs: atMs ?? [nowMs], v: values }, nowMs, refuse))
    else if (values.length > 0)
      refuse(`${CHANNELS[channel].name}: this instrument is not said to follow it. Add it on the Bench.`, values.length)
  }
  for (const [channel, samples] of read.byChannel) if (samples.v.length === 0) read.byChannel.delete(channel)
  return read
}
/** A channel's first samples are taken as they are, the next after them. */
function takeSamples(byChannel: Map<ChannelName, Samples>, channel: ChannelName, { tMs, v }: Samples): void {
  const before = byChannel.get(channel)
  if (before === undefined) return void byChannel.set(channel, { tMs, v })
  for (let i = 0; i < v.length; i++) {
    before.tMs.push(tMs[i]!)
    before.v.push(v[i]!)
  }
}

/** Those whose time can be: the rest are refused together, by the first of them. */
function timed(samples: Samples, nowMs: number, refuse: (text: string, count: number) => void): Samples {
  const [first, last] = [nowMs - INGEST.oldMs, nowMs + INGEST.aheadMs]
  const wrong = samples.tMs.filter((at) => at > last || at < first)
  if (wrong.length === 0) return samples
  const [at] = wrong
  // Beyond the year 275760 no date can be written.
  const said = Math.abs(at!) <= 8.64e15 ? new Date(at!).toISOString() : String(at)
  refuse(
    at! > nowMs
      ? `Time: ${said} is in the future here. Set the instrument’s clock, or send no time.`
      : `Time: ${said} is more than an hour old. Bring it in as a file on the run’s page.`,
    wrong.length,
  )
  const good = (_: number, i: number) => samples.tMs[i]! <= last && samples.tMs[i]! >= first
  return { tMs: samples.tMs.filter(good), v: samples.v.filter(good) }
}
