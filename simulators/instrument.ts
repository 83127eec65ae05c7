/** One simulated instrument as a program of its own: `node --import tsx simulators/thermometer.ts --help`. */
import { appendFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { CAMPAIGN_SETUPS, type CampaignSetup } from '../core/simulate/campaign'
import { seededRandom, type Random } from '../core/simulate/random'
import type { Played, RehearsalScene } from '../core/simulate/rehearsal'
import { simulatedPressure, type SimulatedConditions } from '../core/simulate/stove'
import { followLane } from './lane'
import { openWire } from './wire'

/** `noise`: how far one reading lies from the next for no reason, in its unit; `step`: its resolution. */
export interface Reading { channel: string, unit: string, value: number, noise: number, step: number }
export interface Kind {
  name: string
  about: string
  /** What it would show of a stove, without its own faults. */
  reads: (played: Played, scene: RehearsalScene, random: Random) => Reading[]
}

const OPTIONS = {
  'token': { type: 'string' }, 'port': { type: 'string', default: '7305' }, 'bench': { type: 'string', default: 'http://127.0.0.1:3000' }, 'lane': { type: 'string', default: 'A' }, 'setup': { type: 'string', default: 'narrow-open' },
  'altitude': { type: 'string', default: '12' }, 'air': { type: 'string', default: '15' }, 'wind': { type: 'string', default: '0' }, 'start': { type: 'string', default: '15' }, 'water': { type: 'string', default: '473' },
  'hz': { type: 'string', default: '1' }, 'speed': { type: 'string', default: '1' }, 'seed': { type: 'string', default: '1' }, 'noise': { type: 'string' }, 'drift': { type: 'string', default: '0' }, 'dropouts': { type: 'string', default: '0' },
  'stuck-after': { type: 'string' }, 'battery-after': { type: 'string' }, 'log': { type: 'string' }, 'help': { type: 'boolean', default: false },
} as const

const help = ({ name, about }: Kind) => `${about}

node --import tsx simulators/${name}.ts --token TOKEN [--lane A] [--hz 1] [--speed 1]
  --token        of an instrument that was added on the Bench      --port 7305, --bench http://127.0.0.1:3000
  --setup        ${Object.keys(CAMPAIGN_SETUPS).join(', ')}
  --altitude M  --air C  --wind M/S  --start C  --water G          where it burns, and what
  --noise SD     in its own unit        --drift PER-MINUTE         --dropouts SHARE of readings that are lost
  --stuck-after S: from then on it shows what it showed            --battery-after S: from then on it fades, and is gone half a minute later
  --speed 1..60: seconds of the stove in one of ours               --seed N
  --log FILE: every line that it sends, too
`

export function runInstrument(kind: Kind): void {
  const { values } = parseArgs({ options: OPTIONS })
  if (values.help || !values.token) {
    process.stdout.write(help(kind))
    process.exit(values.help ? 0 : 1)
  }
  if (!(values.setup in CAMPAIGN_SETUPS)) {
    process.stderr.write(`--setup: read "${values.setup}", expected one of ${Object.keys(CAMPAIGN_SETUPS).join(', ')}.\n`)
    process.exit(1)
  }
  const number = (text: string) => Number(text)
  const random = seededRandom(number(values.seed) * 1000 + kind.name.length)
  const conditions: SimulatedConditions = { waterKg: number(values.water) / 1000, startC: number(values.start), airC: number(values.air), pressurePa: simulatedPressure(number(values.altitude)), windMS: number(values.wind), setting: 1, lid: true }
  const wire = openWire({ port: number(values.port), token: values.token, name: kind.name, say: line => process.stderr.write(`${line}\n`) })
  const lane = followLane({ bench: values.bench, lane: values.lane, setup: values.setup as CampaignSetup, conditions, speed: Math.min(60, Math.max(1, number(values.speed))), nowMs: wire.nowMs })
  const begun = performance.now()
  const shown = new Map<string, number>()
  let lastMs = 0
  setInterval(() => {
    const seconds = (performance.now() - begun) / 1000
    const fading = values['battery-after'] === undefined ? 0 : Math.max(0, seconds - number(values['battery-after']))
    if (fading > 30 || random.uniform() < number(values.dropouts) + fading / 60) return
    const stuck = values['stuck-after'] !== undefined && seconds > number(values['stuck-after'])
    const now = lane.now()
    // Each moment once and in order, however the clock is corrected.
    const nowMs = lastMs = Math.max(wire.nowMs(), lastMs + 1)
    const lines = kind.reads(now.played, now.scene, random).map(({ channel, unit, value, noise, step }) => {
      const noisy = value + random.normal() * (values.noise === undefined ? noise : number(values.noise)) + (number(values.drift) * seconds) / 60
      const read = stuck && shown.has(channel) ? shown.get(channel)! : Number((Math.round(noisy / step) * step).toFixed(6))
      shown.set(channel, read)
      return `${nowMs},${channel},${read},${unit}`
    })
    if (values.log) appendFileSync(values.log, `${lines.join('\n')}\n`)
    wire.send(lines)
  }, 1000 / Math.min(50, Math.max(0.05, number(values.hz))))
  // It ends with whoever started it.
  process.on('disconnect', () => process.exit(0))
}
