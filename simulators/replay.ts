/**
 * A recorded file as an instrument: `VULCANUM_TOKEN=… node --import tsx simulators/replay.ts --file FILE`. Its lines
 * are sent as they came, at their own pace or faster, at this hour.
 */
import { readFileSync } from 'node:fs'
import { setTimeout as sleep } from 'node:timers/promises'
import { readRecording } from '../core/formats/recording'
import { problemText } from '../core/result'
import { CHANNELS, type ChannelName } from '../shared/channels'
import { CHANNEL_RULES } from '../shared/feed'
import { readOptions, refuse, requireToken } from './options'
import { openWire } from './wire'

const HELP = `A recorded file, sent again as an instrument would.

VULCANUM_TOKEN=… node --import tsx simulators/replay.ts --file FILE
  VULCANUM_TOKEN of an instrument that was added on the Bench, for the channels in the file
  --file         lines as an instrument sends them: time,channel,value,unit or {"time", "channel", "value", "unit"}
  --port 7305    --speed 1..60: as many times as fast
`
// Whoever starts simulators says where the bench is to all of them.
const {
  numbers,
  texts: { file },
} = readOptions({
  help: HELP,
  numbers: { port: [7305, 1, 65_535], speed: [1, 1, 60] },
  texts: { file: null, bench: null },
  needed: ['file'],
})
const token = requireToken(HELP)
const read = readRecording(fileText(file!).split(/\r?\n/), CHANNEL_RULES)
if (!read.ok) refuse(problemText(read.problem))
process.on('disconnect', () => process.exit(0))
const wire = openWire({ port: numbers.port!, token, name: 'replay', say: (line) => process.stderr.write(`${line}\n`) })
const begun = performance.now()
for (const { afterMs, channel, value } of read.value) {
  await sleep(Math.max(0, afterMs / numbers.speed! - (performance.now() - begun)))
  wire.send([`${wire.nowMs()},${channel},${value},${CHANNELS[channel as ChannelName].unit}`])
}
process.stderr.write(`${read.value.length} lines were sent: the recording is at its end.\n`)
await wire.settled()
process.exit(0)

function fileText(path: string): string {
  try {
    return readFileSync(path, 'utf8')
  } catch (error) {
    return refuse(`--file: ${path} cannot be read: ${(error as Error).message}`)
  }
}
