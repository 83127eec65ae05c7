/** A database at size, its server, and what is asked of both. */
import { readFileSync } from 'node:fs'
import pg from 'pg'
import { ownCluster } from '../lib/ownBench.mjs'
import { at } from '../lib/paths.mjs'
import { anyFreePort } from '../lib/ports.mjs'
import { run, sleep } from '../lib/processes.mjs'
import { say, step, Stop } from '../lib/say.mjs'
import { startServer } from '../lib/server.mjs'

export class Size {
  async load(runs) {
    this.cluster = await ownCluster('at-size')
    this.url = await step('Preparing the demonstration', () => this.cluster.make('at_size'))
    this.sql = new pg.Client({ connectionString: this.url })
    await this.sql.connect()
    const load = readFileSync(at('scripts', 'atSize', 'load.sql'), 'utf8').replaceAll(':runs', String(runs))
    await step(`Loading ${runs} runs`, () => this.sql.query(load))
    await step('Working out their rows', () => this.cli('rows'))
    await this.sql.query('vacuum analyze')
    const held = await this.one(
      'select (select count(*)::int from run_summary) as rows, (select sum(cardinality(t_ms))::int from trace_chunk) as samples',
    )
    say(`${held.rows} rows, ${held.samples} samples`)
  }

  async serve(onExit) {
    this.server = await startServer({ port: await anyFreePort(), databaseUrl: this.url, onExit })
  }

  cli(...args) {
    return run(process.execPath, ['--import', 'tsx', 'cli/atSize.ts', ...args], {
      env: { ...process.env, DATABASE_URL: this.url },
    })
  }

  async one(text, values = []) {
    return (await this.sql.query(text, values)).rows[0]
  }

  async get(path) {
    return (await fetch(`${this.server.url}${path}`)).json()
  }

  async ask(path, method, body) {
    const answer = await fetch(`${this.server.url}${path}`, {
      method,
      body,
      headers: { 'content-type': method === 'PUT' ? 'application/octet-stream' : 'application/json' },
    })
    const read = await answer.json()
    if (answer.ok) return read
    throw new Stop(`${path}: ${read.problems?.map((problem) => problem.text).join(' ') ?? answer.status}`)
  }

  /** Until no figure waits. */
  async figuresStand(everyMs = 300) {
    for (let left = 1; left > 0; await sleep(everyMs)) left = (await this.get('/api/figures')).stale
  }

  async stop() {
    await this.sql?.end().catch(() => undefined)
    await this.server?.stop()
    await this.cluster?.stop()
  }
}
