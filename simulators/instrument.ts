/** One simulated instrument as a program of its own: `node --import tsx simulators/thermometer.ts --help`. */
import { appendFileSync } from 'node:fs'
import { CAMPAIGN_SETUPS, type CampaignSetup } from '../core/simulate/campaign'
import { instrumentWith, type Reading } from '../core/simulate/instrumentFaults'
import { seededRandom, type Random } from '../core/simulate/random'
import type { RehearsalScene } from '../core/simulate/rehearsal'
import type { Played } from '../core/simulate/playScene'
import { simulatedPressure, type SimulatedConditions } from '../core/simulate/stove'
import { followLane, type SimulatedLane } from './lane'
import { readOptions, refuse, requireToken, type NumberRule } from './options'
import { openWire, type Wire } from './wire'

export interface Kind {
  name: string
  about: string
  /** What it would show of a stove, without its own faults. */
  reads: (played: Played, scene: RehearsalScene, random: Random) => Reading[]
}

const NUMBERS = {
  port: [7305, 1, 65_535],
  altitude: [12, -430, 9000],
  air: [15, -60, 60],
  wind: [0, 0, 60],
  start: [15, 0, 100],
  water: [473, 1, 50_000],
  hz: [1, 0.05, 50],
  speed: [1, 1, 60],
  seed: [1, 0, 0xffff_ffff],
  noise: [null, 0, 10_000],
  drift: [0, -10_000, 10_000],
  dropouts: [0, 0, 1],
  'stuck-after': [null, 0, 1e6],
  'battery-after': [null, 0, 1e6],
} as const satisfies Record<string, NumberRule>
/** Told to end, it waits for acknowledgements as long as some come. */
const SILENT_MS = 10_000
const TEXTS = { bench: 'http://127.0.0.1:3000', lane: 'A', setup: 'narrow-open', log: null }

const help = ({ name, about }: Kind) => `${about}

VULCANUM_TOKEN=… node --import tsx simulators/${name}.ts [--lane A] [--hz 1] [--speed 1]
  VULCANUM_TOKEN of an instrument that was added on the Bench      --port 7305, --bench http://127.0.0.1:3000
  --setup        ${Object.keys(CAMPAIGN_SETUPS).join(', ')}
  --altitude M  --air C  --wind M/S  --start C  --water G          where it burns, and what
  --noise SD     in its own unit        --drift PER-MINUTE         --dropouts SHARE of readings that are lost
  --stuck-after S: from then on it shows what it showed            --battery-after S: from then on it fades, and is gone half a minute later
  --speed 1..60: seconds of the stove in one of ours               --seed N
  --log FILE: every line that it sends, too
`

export function runInstrument(kind: Kind): void {
  const told = readTold(kind)
  const { numbers } = told
  const wire = openWire({
    port: numbers.port!,
    token: told.token,
    name: kind.name,
    say: (line) => process.stderr.write(`${line}\n`),
  })
  const lane = followLane({ ...told, conditions: conditionsOf(numbers), speed: numbers.speed!, nowMs: wire.nowMs })
  const timer = setInterval(showing(kind, told, { wire, lane }), 1000 / numbers.hz!)
  // It ends with whoever started it.
  process.on('disconnect', () => process.exit(0))
  // Told to end, it first hears that what it sent is stored.
  process.once('SIGTERM', () => {
    clearInterval(timer)
    void wire.settled(SILENT_MS).then(() => process.exit(0))
  })
}

type Numbers = Record<keyof typeof NUMBERS, number | null>
interface Told {
  numbers: Numbers
  token: string
  bench: string
  lane: string
  setup: CampaignSetup
  log: string | null
}

/** What the command line says; refused where it cannot be. */
function readTold(kind: Kind): Told {
  const {
    numbers,
    texts: { bench, lane, setup, log },
  } = readOptions({ help: help(kind), numbers: NUMBERS, texts: TEXTS, needed: [] })
  const token = requireToken(help(kind))
  if (!(setup! in CAMPAIGN_SETUPS))
    refuse(`--setup: read "${setup}", expected one of ${Object.keys(CAMPAIGN_SETUPS).join(', ')}.`)
  if (!/^[A-F]$/.test(lane!)) refuse(`--lane: read "${lane}", expected A to F.`)
  return { numbers, token, bench: bench!, lane: lane!, setup: setup as CampaignSetup, log: log ?? null }
}

const conditionsOf = (numbers: Numbers): SimulatedConditions => ({
  waterKg: numbers.water! / 1000,
  startC: numbers.start!,
  airC: numbers.air!,
  pressurePa: simulatedPressure(numbers.altitude!),
  windMS: numbers.wind!,
  setting: 1,
  lid: true,
})

const faultsOf = (numbers: Numbers) => ({
  noise: numbers.noise,
  driftPerMin: numbers.drift!,
  dropoutShare: numbers.dropouts!,
  stuckAfterS: numbers['stuck-after'],
  batteryAfterS: numbers['battery-after'],
})

/** @returns what reads the stove once, and sends what the instrument shows of it */
function showing(kind: Kind, { numbers, log }: Told, { wire, lane }: { wire: Wire; lane: SimulatedLane }): () => void {
  const random = seededRandom(numbers.seed! * 1000 + kind.name.length)
  const show = instrumentWith(faultsOf(numbers), random)
  const begun = performance.now()
  let lastMs = 0
  return () => {
    const now = lane.now()
    const readings = kind.reads(now.played, now.scene, random)
    const shown = show((performance.now() - begun) / 1000, readings)
    if (shown === null) return
    // Each moment once and in order, however the clock is corrected.
    const nowMs = (lastMs = Math.max(wire.nowMs(), lastMs + 1))
    const lines = readings.map(({ channel, unit }) => `${nowMs},${channel},${shown.get(channel)},${unit}`)
    if (log) appendFileSync(log, `${lines.join('\n')}\n`)
    wire.send(lines)
  }
}
