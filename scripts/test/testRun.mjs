/** One `npm test`: its parts, what they share (made when first needed, cleared at the end), and what came of them. */
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { requireChromium } from '../lib/browser.mjs'
import { requireBuild } from '../lib/build.mjs'
import { startCluster } from '../lib/cluster.mjs'
import { at } from '../lib/paths.mjs'
import { requirePrograms } from '../lib/postgresPrograms.mjs'
import { runHere, runKept } from '../lib/processes.mjs'
import { say, step, Stop } from '../lib/say.mjs'
import { unprivilegedUser } from '../lib/unprivileged.mjs'
import { makeBrowserBenches } from './browserBenches.mjs'
import { readPlaywright, readVitest } from './reports.mjs'

/** As many browser tests at a time, each against a server and database of its own. */
const BROWSER_BENCHES = 2
const program = (...path) => at('node_modules', ...path)
const quiet = () => ({ ...process.env, NUXT_TELEMETRY_DISABLED: '1' })

export class TestRun {
  passed = 0
  failed = 0
  /** Parts that are not in order. */
  broken = new Set()
  /** The tests that failed, by name: what stands last is read first. */
  failures = []
  #handedOn
  #undo = []
  #once = new Map()
  /** How many tests each part ran. */
  #ran = new Map()

  /** @param handedOn what the command line hands on to a part's runner */
  constructor(handedOn) {
    this.#handedOn = handedOn
  }

  /** @param isAlone whether its output goes to this terminal as it comes; otherwise at its end */
  async runPart(part, { isAlone }) {
    if (isAlone || part === 'build') return this[part](runHere)
    const outputs = []
    const run = async (...args) => {
      const { code, output } = await runKept(...args)
      outputs.push(output)
      return code
    }
    await step(part, () => this[part](run)).finally(() => say(outputs.join('\n')))
  }

  build() {
    return this.#made('build', async () => {
      await this.#prepared()
      await requireBuild()
    })
  }

  async lint(run) {
    await this.#prepared()
    this.#note('lint', await run(process.execPath, [program('prettier', 'bin', 'prettier.cjs'), '--check', '.']))
    this.#note('lint', await run(process.execPath, [program('eslint', 'bin', 'eslint.js'), '.']))
  }

  async types(run) {
    await this.#prepared()
    this.#note(
      'types',
      await run(process.execPath, [program('nuxt', 'bin', 'nuxt.mjs'), 'typecheck'], { env: quiet() }),
    )
  }

  async unit(run) {
    await this.#vitest('unit', run, {})
  }

  async db(run) {
    await this.#vitest('db', run, { DATABASE_ADMIN_URL: (await this.#cluster()).url('postgres') })
  }

  async start(run) {
    await this.build()
    await requirePrograms()
    await this.#vitest('start', run, {})
  }

  /** Two minutes of it; `npm run soak` goes on for thirty. */
  async soak(run) {
    await requireChromium()
    await this.#script('soak', run, ['--minutes', '2', '--patience', '6'])
  }

  /** A tenth of what `npm run fuzz` sends. */
  async fuzz(run) {
    await this.#script('fuzz', run, ['--count', '2000'])
  }

  async e2e(run) {
    await requireChromium()
    await this.build()
    const cluster = await this.#cluster()
    const benches = await makeBrowserBenches(cluster, BROWSER_BENCHES, (stop) => this.#undo.push(stop))
    await this.#playwright('side-by-side', run, benches)
    await this.#playwright('by-the-clock', run, benches.slice(0, 1))
  }

  async #playwright(project, run, benches) {
    const report = join(await this.#scratch(), `${project}.json`)
    const env = { ...process.env, VULCANUM_BENCHES: JSON.stringify(benches), PLAYWRIGHT_JSON_OUTPUT_FILE: report }
    const options = ['test', '--reporter=list,json', `--project=${project}`, '--pass-with-no-tests', ...this.#handedOn]
    const code = await run(process.execPath, [program('@playwright', 'test', 'cli.js'), ...options], { env })
    this.#count('e2e', code, readPlaywright(report))
  }

  async #vitest(project, run, env) {
    await this.#prepared()
    const report = join(await this.#scratch(), `${project}.json`)
    const options = [
      'run',
      '--project',
      project,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
    ]
    const vitest = [program('vitest', 'vitest.mjs'), ...options, ...this.#handedOn]
    const code = await run(process.execPath, vitest, { env: { ...process.env, ...env } })
    this.#count(project, code, readVitest(report))
  }

  /** One of the scripts that judge themselves: a test that passes or fails as a whole. */
  async #script(name, run, options) {
    await this.build()
    await requirePrograms()
    const code = await run(process.execPath, [at('scripts', `${name}.mjs`), ...options])
    this.#count(name, code, { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1, failures: [] })
  }

  /** Lint, type check and Vitest (by tsconfig.json) read what Nuxt writes about itself. */
  #prepared() {
    return this.#made('prepared', async () => {
      const options = { env: quiet(), stdio: ['ignore', 'ignore', 'inherit'] }
      const code = await runHere(process.execPath, [program('nuxt', 'bin', 'nuxt.mjs'), 'prepare'], options)
      if (code !== 0) throw new Stop('nuxt prepare failed')
    })
  }

  #cluster() {
    return this.#made('cluster', async () => {
      const programs = await requirePrograms()
      const stateFolder = await this.#scratch()
      const folder = join(stateFolder, 'cluster')
      const cluster = await startCluster({ programs, folder, stateFolder, user: unprivilegedUser() })
      this.#undo.push(cluster.stop)
      return cluster
    })
  }

  #scratch() {
    return this.#made('scratch', async () => {
      const folder = mkdtempSync(join(tmpdir(), 'vulcanum-test-'))
      chmodSync(folder, 0o711)
      this.#undo.push(() => rmSync(folder, { recursive: true, force: true }))
      return folder
    })
  }

  /** Made by whoever asks first; the others wait for the same. */
  #made(what, make) {
    if (!this.#once.has(what)) this.#once.set(what, make())
    return this.#once.get(what)
  }

  #note(part, code) {
    if (code !== 0) this.broken.add(part)
  }

  #count(part, code, { passed, failed, failures }) {
    this.passed += passed
    this.failed += failed
    this.failures.push(...failures.map((name) => `${part}: ${name}`))
    this.#note(part, code)
    this.#ran.set(part, (this.#ran.get(part) ?? 0) + passed + failed)
  }

  async clear() {
    for (const [part, count] of this.#ran) if (count === 0) this.broken.add(`${part} (ran no test)`)
    for (const undo of this.#undo.splice(0).reverse()) await undo()
  }
}
