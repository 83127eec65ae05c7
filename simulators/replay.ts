/** A recorded file as an instrument: `node --import tsx simulators/replay.ts --token TOKEN --file FILE`. Its lines are sent as they came, at their own pace or faster, at this hour. */
import { readFileSync } from 'node:fs'
import { setTimeout as sleep } from 'node:timers/promises'
import { parseArgs } from 'node:util'
import { readRecording } from '../core/formats/recording'
import { problemText } from '../core/result'
import { CHANNELS, type ChannelName } from '../shared/channels'
import { CHANNEL_RULES } from '../shared/feed'
import { openWire } from './wire'

const HELP = `A recorded file, sent again as an instrument would.

node --import tsx simulators/replay.ts --token TOKEN --file FILE
  --token        of an instrument that was added on the Bench, for the channels in the file
  --file         lines as an instrument sends them: time,channel,value,unit or {"time", "channel", "value", "unit"}
  --port 7305    --speed 1..60: as many times as fast
`
const { values } = parseArgs({ options: { token: { type: 'string' }, file: { type: 'string' }, port: { type: 'string', default: '7305' }, bench: { type: 'string' }, lane: { type: 'string' }, speed: { type: 'string', default: '1' }, help: { type: 'boolean', default: false } } })
if (values.help || !values.token || !values.file) {
  process.stdout.write(HELP)
  process.exit(values.help ? 0 : 1)
}
const read = readRecording(readFileSync(values.file, 'utf8').split(/\r?\n/), CHANNEL_RULES)
if (!read.ok) {
  process.stderr.write(`${problemText(read.problem)}\n`)
  process.exit(1)
}
process.on('disconnect', () => process.exit(0))
const speed = Math.min(60, Math.max(1, Number(values.speed)))
const wire = openWire({ port: Number(values.port), token: values.token, name: 'replay', say: line => process.stderr.write(`${line}\n`) })
const begun = performance.now()
for (const { afterMs, channel, value } of read.value) {
  await sleep(Math.max(0, afterMs / speed - (performance.now() - begun)))
  wire.send([`${wire.nowMs()},${channel},${value},${CHANNELS[channel as ChannelName].unit}`])
}
process.stderr.write(`${read.value.length} lines were sent: the recording is at its end.\n`)
await wire.settled()
process.exit(0)
