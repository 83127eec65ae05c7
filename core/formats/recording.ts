/** A recorded file of instrument lines, to be sent again: every line whole, with its time, in the order of time. */
import { fail, ok, type R } from '../result'
import { instrumentReader, type ChannelRule } from './instrumentLine'

/** `afterMs`: since the first; `value` in SI. */
export interface RecordedSample {
  afterMs: number
  channel: string
  value: number
}

/**
 * @param lines empty ones are passed over, and a first one of headings; the first line that cannot be read stops it, by
 * its number
 */
export function readRecording(
  lines: readonly string[],
  rules: Readonly<Record<string, ChannelRule>>,
): R<RecordedSample[]> {
  const samples: { atMs: number; channel: string; value: number }[] = []
  const readLine = instrumentReader(rules)
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '' || (i === 0 && /^\s*"?time"?\s*,/i.test(line))) continue
    const read = readLine(line)
    const problem = read.ok ? read.value.refused?.why : read.problem
    if (problem) return fail({ ...problem, what: `Line ${i + 1}: ${problem.what}` })
    if (!read.ok) continue
    const { channel, atMs, values } = read.value
    if (atMs === null)
      return fail({
        code: 'no-time',
        what: `Line ${i + 1}: a recording needs the time of each line`,
        hint: 'Such as 2026-05-01T10:00:00Z,water,93.4,degC.',
      })
    for (const [j, value] of values.entries()) samples.push({ atMs: atMs[j]!, channel, value })
  }
  if (samples.length === 0)
    return fail({
      code: 'empty',
      what: 'The recording has no line',
      hint: 'Lines such as 2026-05-01T10:00:00Z,water,93.4,degC.',
    })
  samples.sort((a, b) => a.atMs - b.atMs)
  const first = samples[0]!.atMs
  return ok(samples.map(({ atMs, channel, value }) => ({ afterMs: atMs - first, channel, value })))
}
