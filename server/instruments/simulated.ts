/** Simulated instruments and recordings, started and stopped from the Bench. */
import type { ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { v7 as uuidv7 } from 'uuid'
import { readRecording, type RecordedSample } from '../../core/formats/recording'
import { problemText } from '../../core/result'
import type { LaneName } from '../../shared/lanes'
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
import { forkSimulator, type Answers } from './simulators'

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
/** Instruments of one lane see one stove. */
const LANE_SEED = { A: 1, B: 2, C: 3, D: 4, E: 5, F: 6 } as const
const MOST = 24
const ENDS_WITHIN_MS = 3000
const NO_PORT =
  'No port is open for instruments here: another program had it when this began. Start again with another, VULCANUM_INSTRUMENT_PORT=7306 npm start.'

interface Running<Line> {
  line: Line
  child: ChildProcess
}

export class SimulatedInstruments {
  readonly #db: Connection
  readonly #running = new Map<string, Running<SimulatedLine>>()
  readonly #replaying = new Map<string, Running<ReplayLine>>()

  constructor(db: Connection) {
    this.#db = db
  }

  list(): SimulatedLine[] {
    return [...this.#running.values()].map((one) => one.line)
  }

  listReplays(): ReplayLine[] {
    return [...this.#replaying.values()].map((one) => one.line)
  }

  async start(input: unknown, at: Answers): Promise<Outcome<SimulatedLine>> {
    const read = readSimulated(input)
    if (!read.ok) return invalid(read.problems)
    const full = this.#whyNot(at)
    if (full !== null) return invalidAt('', full)
    const { start } = read
    const id = uuidv7()
    const made = await saveFeed(this.#db, {
      id,
      name: `Simulated ${SIMULATED[start.kind].name.toLowerCase()}, lane ${start.lane}`,
      lanes: Object.fromEntries(CHANNELS_OF[start.kind].map((channel) => [channel, [start.lane]])),
    })
    if (made.status !== 'saved') return made
    const args = [
      ['--lane', start.lane],
      ['--setup', start.stove],
      ['--hz', String(start.hz)],
      ['--speed', String(start.speed)],
      ['--seed', String(LANE_SEED[start.lane])],
      FAULT_ARGS[start.fault],
    ].flat()
    const child = forkSimulator(SIMULATED[start.kind].file, at, { token: made.value.token, args })
    const line: SimulatedLine = { ...start, id, said: '' }
    listenTo(child, line)
    child.on('exit', () => this.#running.delete(id))
    this.#running.set(id, { line, child })
    return saved(line)
  }

  /** A recorded file as an instrument of a lane. It ends by itself, and its token with it. */
  async startReplay(input: unknown, at: Answers): Promise<Outcome<ReplayLine>> {
    const read = readReplay(input)
    if (!read.ok) return invalid(read.problems)
    const { name, lane, speed, text } = read.start
    const full = this.#whyNot(at)
    if (full !== null) return invalidAt('', full)
    const recording = readRecording(text.split(/\r?\n/), CHANNEL_RULES)
    if (!recording.ok) return invalidAt('text', problemText(recording.problem))
    const id = uuidv7()
    const made = await saveFeed(this.#db, {
      id,
      name: `Recording ${name}`.slice(0, 100),
      lanes: lanesOfRecording(recording.value, lane),
    })
    if (made.status !== 'saved') return made
    const folder = mkdtempSync(join(tmpdir(), 'vulcanum-replay-'))
    const file = join(folder, 'recording.txt')
    writeFileSync(file, text)
    const args = ['--file', file, '--speed', String(speed)]
    const child = forkSimulator('replay', at, { token: made.value.token, args })
    const line: ReplayLine = { id, name, lane, speed, said: '' }
    listenTo(child, line)
    child.on('exit', () => {
      this.#replaying.delete(id)
      rmSync(folder, { recursive: true, force: true })
      void revokeFeed(this.#db, id).catch(() => undefined)
    })
    this.#replaying.set(id, { line, child })
    return saved(line)
  }

  async stop(id: string): Promise<Outcome<null>> {
    const replay = this.#replaying.get(id)
    if (replay) {
      // Its end does the rest.
      replay.child.kill('SIGTERM')
      return saved(null)
    }
    const found = this.#running.get(id)
    if (!found) return notFound('simulated instrument')
    this.#running.delete(id)
    // What it sent is stored before its token is taken back.
    const over = once(found.child, 'exit')
    found.child.kill('SIGTERM')
    await Promise.race([over, sleep(ENDS_WITHIN_MS)])
    return revokeFeed(this.#db, id)
  }

  /** Why none can be started now; null: it can. */
  #whyNot({ port }: Answers): string | null {
    if (port === 0) return NO_PORT
    const most = this.#running.size + this.#replaying.size >= MOST
    return most ? `Instruments: ${MOST} are running. Stop one first.` : null
  }
}

/** Its last words stand in its line. */
function listenTo(child: ChildProcess, line: { said: string }): void {
  child.stderr!.setEncoding('utf8').on('data', (said: string) => {
    line.said = said.trim().split('\n').at(-1)!.slice(0, 200)
  })
}

const lanesOfRecording = (samples: readonly RecordedSample[], lane: LaneName) =>
  Object.fromEntries([...new Set(samples.map((one) => one.channel as ChannelName))].map((channel) => [channel, [lane]]))
