/** Instruments that send to six lanes, by programs of their own; one of them is killed again and again. */
import { fork } from 'node:child_process'
import { once } from 'node:events'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import { at, root } from '../lib/paths.mjs'
import { sleep } from '../lib/processes.mjs'
import { samplesJudged } from './samplesJudged.mjs'

const CHANNELS = ['water', 'scale', 'wind', 'air']

export class Instruments {
  #bench
  #lanes
  #senders
  #station
  #stationToken
  #sentFile

  /** @param bench url, instrumentPort, databaseUrl and a folder that may be written */
  constructor(bench, lanes) {
    this.#bench = bench
    this.#lanes = lanes
    this.#sentFile = join(bench.folder, 'sent.json')
  }

  /** Four channels of each lane, by a program that never hears of the faults; with the minutes that went before. */
  async start(beforeS) {
    const feeds = []
    for (const lane of this.#lanes) {
      const lanes = Object.fromEntries(CHANNELS.map((channel) => [channel, [lane]]))
      feeds.push({ lane, token: await this.#newFeed(`soak ${lane}`, lanes) })
    }
    this.#senders = fork(at('scripts', 'soak', 'senders.ts'), [], {
      cwd: root,
      execArgv: ['--import', 'tsx'],
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    })
    this.#senders.send({ port: this.#bench.instrumentPort, feeds, file: this.#sentFile, beforeS })
    await once(this.#senders, 'message')
    this.#stationToken = await this.#newFeed('soak station', { pressure: ['A'] })
    this.#startStation()
  }

  /** What was acknowledged to one that is killed is there. */
  async killStation() {
    this.#station.kill('SIGKILL')
    await sleep(200)
    this.#startStation()
  }

  /** When all is acknowledged: what is stored of what was sent. */
  async settled() {
    this.#station.kill('SIGTERM')
    this.#senders.send('stop')
    await once(this.#senders, 'message')
    const { databaseUrl, folder } = this.#bench
    return samplesJudged({ databaseUrl, folder, sentFile: this.#sentFile, lanes: this.#lanes })
  }

  stop() {
    this.#station?.kill('SIGTERM')
    this.#senders?.kill('SIGTERM')
  }

  async #newFeed(name, lanes) {
    const answer = await fetch(`${this.#bench.url}/api/instruments/feeds`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: uuidv7(), name, lanes }),
    })
    return (await answer.json()).value.token
  }

  #startStation() {
    const files = ['station.log', 'station.acked'].map((name) => join(this.#bench.folder, name))
    this.#station = fork(
      at('scripts', 'soak', 'station.mjs'),
      [String(this.#bench.instrumentPort), this.#stationToken, ...files],
      { cwd: root, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] },
    )
  }
}
