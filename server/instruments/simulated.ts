/**
 * Simulated instruments as programs of their own, started and stopped from the Bench. They end with this process,
 * however it ends.
 */
import { fork, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { setTimeout as sleep } from 'node:timers/promises'
import { v7 as uuidv7 } from 'uuid'
import { readRecording } from '../../core/formats/recording'
import { problemText } from '../../core/result'
import type { ChannelName } from '../../shared/channels'
import { CHANNEL_RULES } from '../../shared/feed'
import {
  readReplay,
  readSimulated,
  SIMULATED,
  type Fault,
  type ReplayLine,
  type SimulatedKind,
  type SimulatedLine,
} from '../../shared/simulated'
import type { Connection } from '../database/connection'
import { invalid, invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { revokeFeed, saveFeed } from './feeds'

const CHANNELS_OF: Record<SimulatedKind, ChannelName[]> = {
  thermometer: ['water'],
  scale: ['scale'],
  windMeter: ['wind'],
  weatherStation: ['air', 'pressure'],
}
const FAULT_ARGS: Record<Fault, string[]> = {
  none: [],
  noisy: ['--noise', '1'],
  drifting: ['--drift', '0.5'],
  dropping: ['--dropouts', '0.3'],
  stuck: ['--stuck-after', '60'],
  fading: ['--battery-after', '60'],
}
const MOST = 24
const running = new Map<string, { line: SimulatedLine; child: ChildProcess }>()

export const listSimulated = (): SimulatedLine[] => [...running.values()].map((one) => one.line)

/** Where this server answers, and where instruments keep a connection open; port 0: nowhere. */
export interface Answers {
  bench: string
  port: number
}
export const answersHere = (): Answers => ({
  bench: `http://127.0.0.1:${process.env.PORT ?? '3000'}`,
  port: Number(process.env.VULCANUM_INSTRUMENT_PORT || 0),
})
/**
 * Beside the built server as one file, else as it is written. Its token does not stand on its command line, where every
 * user of the machine may read it.
 */
export function forkSimulator(
  file: string,
  { bench, port }: Answers,
  { token, args }: { token: string; args: string[] },
): ChildProcess {
  const built = fileURLToPath(new URL(`./programs/simulators/${file}.mjs`, import.meta.url))
  const [program, execArgv] = existsSync(built)
    ? [built, []]
    : [join(process.cwd(), 'simulators', `${file}.ts`), ['--import', 'tsx']]
  return fork(program, ['--port', String(port), '--bench', bench, ...args], {
    execArgv,
    env: { ...process.env, VULCANUM_TOKEN: token },
    stdio: ['ignore', 'ignore', 'pipe', 'ipc'],
  })
}

export async function startSimulated(db: Connection, input: unknown, at: Answers): Promise<Outcome<SimulatedLine>> {
  const read = readSimulated(input)
  if (!read.ok) return invalid(read.problems)
  if (at.port === 0)
    return invalidAt(
      '',
      'No port is open for instruments here: another program had it when this began. Start again with another, VULCANUM_INSTRUMENT_PORT=7306 npm start.',
    )
  if (running.size >= MOST) return invalidAt('', `Instruments: ${MOST} are running. Stop one first.`)
  const { start } = read
  const id = uuidv7()
  const made = await saveFeed(db, {
    id,
    name: `Simulated ${SIMULATED[start.kind].name.toLowerCase()}, lane ${start.lane}`,
    lanes: Object.fromEntries(CHANNELS_OF[start.kind].map((channel) => [channel, [start.lane]])),
  })
  if (made.status !== 'saved') return made
  const child = forkSimulator(SIMULATED[start.kind].file, at, {
    token: made.value.token,
    args: [
      '--lane',
      start.lane,
      '--setup',
      start.stove,
      '--hz',
      String(start.hz),
      '--speed',
      String(start.speed),
      '--seed',
      String(LANE_SEED[start.lane]),
      ...FAULT_ARGS[start.fault],
    ],
  })
  const line: SimulatedLine = { ...start, id, said: '' }
  child.stderr!.setEncoding('utf8').on('data', (said: string) => {
    line.said = said.trim().split('\n').at(-1)!.slice(0, 200)
  })
  child.on('exit', () => running.delete(id))
  running.set(id, { line, child })
  return saved(line)
}
/** Instruments of one lane see one stove. */
const LANE_SEED = { A: 1, B: 2, C: 3, D: 4, E: 5, F: 6 } as const

const replaying = new Map<string, { line: ReplayLine; child: ChildProcess }>()
export const listReplays = (): ReplayLine[] => [...replaying.values()].map((one) => one.line)

/** A recorded file as an instrument of a lane. It ends by itself, and its token with it. */
export async function startReplay(db: Connection, input: unknown, at: Answers): Promise<Outcome<ReplayLine>> {
  const read = readReplay(input)
  if (!read.ok) return invalid(read.problems)
  const { name, lane, speed, text } = read.start
  if (at.port === 0)
    return invalidAt(
      '',
      'No port is open for instruments here: another program had it when this began. Start again with another, VULCANUM_INSTRUMENT_PORT=7306 npm start.',
    )
  if (running.size + replaying.size >= MOST) return invalidAt('', `Instruments: ${MOST} are running. Stop one first.`)
  const recording = readRecording(text.split(/\r?\n/), CHANNEL_RULES)
  if (!recording.ok) return invalidAt('text', problemText(recording.problem))
  const id = uuidv7()
  const channels = [...new Set(recording.value.map((one) => one.channel as ChannelName))]
  const made = await saveFeed(db, {
    id,
    name: `Recording ${name}`.slice(0, 100),
    lanes: Object.fromEntries(channels.map((channel) => [channel, [lane]])),
  })
  if (made.status !== 'saved') return made
  const folder = mkdtempSync(join(tmpdir(), 'vulcanum-replay-'))
  const file = join(folder, 'recording.txt')
  writeFileSync(file, text)
  const child = forkSimulator('replay', at, {
    token: made.value.token,
    args: ['--file', file, '--speed', String(speed)],
  })
  const line: ReplayLine = { id, name, lane, speed, said: '' }
  child.stderr!.setEncoding('utf8').on('data', (said: string) => {
    line.said = said.trim().split('\n').at(-1)!.slice(0, 200)
  })
  child.on('exit', () => {
    replaying.delete(id)
    rmSync(folder, { recursive: true, force: true })
    void revokeFeed(db, id).catch(() => undefined)
  })
  replaying.set(id, { line, child })
  return saved(line)
}

export async function stopSimulated(db: Connection, id: string): Promise<Outcome<null>> {
  const replay = replaying.get(id)
  if (replay) {
    // Its end does the rest.
    replay.child.kill('SIGTERM')
    return saved(null)
  }
  const found = running.get(id)
  if (!found) return notFound('simulated instrument')
  running.delete(id)
  // What it sent is stored before its token is taken back.
  const over = once(found.child, 'exit')
  found.child.kill('SIGTERM')
  await Promise.race([over, sleep(ENDS_WITHIN_MS)])
  return revokeFeed(db, id)
}
const ENDS_WITHIN_MS = 3000
