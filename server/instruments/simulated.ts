/** Simulated instruments as programs of their own, started and stopped from the Bench. They end with this process, however it ends. */
import { fork, type ChildProcess } from 'node:child_process'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import type { ChannelName } from '../../shared/channels'
import { readSimulated, SIMULATED, type Fault, type SimulatedKind, type SimulatedLine } from '../../shared/simulated'
import type { Connection } from '../database/connection'
import { invalid, invalidAt, notFound, saved, type Outcome } from '../kit/outcome'
import { revokeFeed, saveFeed } from './feeds'

const CHANNELS_OF: Record<SimulatedKind, ChannelName[]> = { thermometer: ['water'], scale: ['scale'], windMeter: ['wind'], weatherStation: ['air', 'pressure'] }
const FAULT_ARGS: Record<Fault, string[]> = { none: [], noisy: ['--noise', '1'], drifting: ['--drift', '0.5'], dropping: ['--dropouts', '0.3'], stuck: ['--stuck-after', '60'], fading: ['--battery-after', '60'] }
const MOST = 24
const running = new Map<string, { line: SimulatedLine, child: ChildProcess }>()

export const listSimulated = (): SimulatedLine[] => [...running.values()].map(one => one.line)

/** @param at where this server answers, and where instruments keep a connection open */
export async function startSimulated(db: Connection, input: unknown, at: { bench: string, port: number }): Promise<Outcome<SimulatedLine>> {
  const read = readSimulated(input)
  if (!read.ok) return invalid(read.problems)
  if (at.port === 0) return invalidAt('', 'No port is open for instruments here. Start with npm start.')
  if (running.size >= MOST) return invalidAt('', `Instruments: ${MOST} are running. Stop one first.`)
  const { start } = read
  const id = uuidv7()
  const made = await saveFeed(db, { id, name: `Simulated ${SIMULATED[start.kind].name.toLowerCase()}, lane ${start.lane}`, lanes: Object.fromEntries(CHANNELS_OF[start.kind].map(channel => [channel, [start.lane]])) })
  if (made.status !== 'saved') return made
  const child = fork(join(process.cwd(), 'simulators', `${SIMULATED[start.kind].file}.ts`), [
    '--token', made.value.token, '--port', String(at.port), '--bench', at.bench, '--lane', start.lane, '--setup', start.stove, '--hz', String(start.hz), '--speed', String(start.speed), '--seed', String(LANE_SEED[start.lane]), ...FAULT_ARGS[start.fault],
  ], { execArgv: ['--import', 'tsx'], stdio: ['ignore', 'ignore', 'pipe', 'ipc'] })
  const line: SimulatedLine = { ...start, id, said: '' }
  child.stderr!.setEncoding('utf8').on('data', (said: string) => { line.said = said.trim().split('\n').at(-1)!.slice(0, 200) })
  child.on('exit', () => running.delete(id))
  running.set(id, { line, child })
  return saved(line)
}
/** Instruments of one lane see one stove. */
const LANE_SEED = { A: 1, B: 2, C: 3, D: 4, E: 5, F: 6 } as const

export async function stopSimulated(db: Connection, id: string): Promise<Outcome<null>> {
  const found = running.get(id)
  if (!found) return notFound('simulated instrument')
  running.delete(id)
  found.child.kill('SIGTERM')
  return revokeFeed(db, id)
}
