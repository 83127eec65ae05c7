/** `npm test`: every check, against a throw-away cluster and port of its own; leaves nothing running. */
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { requireChromium } from './lib/browser.mjs'
import { requireBuild } from './lib/build.mjs'
import { startCluster } from './lib/cluster.mjs'
import { ensureDatabase, prepareDatabase } from './lib/databases.mjs'
import { requireDependencies, requireNode } from './lib/dependencies.mjs'
import { at, makeDataFolder } from './lib/paths.mjs'
import { anyFreePort } from './lib/ports.mjs'
import { requirePrograms } from './lib/postgresPrograms.mjs'
import { runHere } from './lib/processes.mjs'
import { runMain, say, step, Stop } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'
import { unprivilegedUser } from './lib/unprivileged.mjs'

const PARTS = ['lint', 'types', 'unit', 'db', 'e2e', 'start', 'fuzz', 'soak']
/** As many browser tests at a time, each against a bench of its own. */
const E2E_BENCHES = 2
const HELP = `npm test                    all: ${PARTS.join(', ')}
npm test -- unit db         some
npm run test:e2e -- FILE    one browser test; what follows a part is handed to its runner
`

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const asked = args.filter((arg) => PARTS.includes(arg))
  const handedOn = args.filter((arg) => !PARTS.includes(arg))
  const parts = asked.length > 0 ? asked : PARTS
  requireNode()
  makeDataFolder()
  await requireDependencies()
  const bench = new Bench()
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => void bench.clear().then(() => process.exit(1)))
  try {
    for (const part of parts) await bench[part](handedOn)
  } finally {
    await bench.clear()
  }
  const { passed, failed } = bench
  say(`\n${passed} passed, ${failed} failed`)
  for (const name of bench.failures) say(`failed: ${name}`)
  if (bench.broken.length > 0) throw new Stop(`Not in order: ${bench.broken.join(', ')}`)
}

/** What the parts share, made when first needed, cleared at the end. */
class Bench {
  passed = 0
  failed = 0
  broken = []
  /** The tests that failed, by name: what stands last is read first. */
  failures = []
  #undo = []
  #cluster = null
  #folder = null
  #isPrepared = false

  async lint() {
    await this.#prepared()
    this.#note(
      'lint',
      await runHere(process.execPath, [at('node_modules', 'prettier', 'bin', 'prettier.cjs'), '--check', '.']),
    )
    this.#note('lint', await runHere(process.execPath, [at('node_modules', 'eslint', 'bin', 'eslint.js'), '.']))
  }

  async types() {
    await this.#prepared()
    this.#note(
      'types',
      await runHere(process.execPath, [at('node_modules', 'nuxt', 'bin', 'nuxt.mjs'), 'typecheck'], { env: quiet() }),
    )
  }

  async unit(handedOn) {
    await this.#vitest('unit', handedOn, {})
  }

  async db(handedOn) {
    await this.#vitest('db', handedOn, { DATABASE_ADMIN_URL: (await this.#requireCluster()).url('postgres') })
  }

  async start(handedOn) {
    await requireBuild()
    await requirePrograms()
    await this.#vitest('start', handedOn, {})
  }

  /** Two minutes of it; `npm run soak` goes on for thirty. */
  async soak() {
    await requireChromium()
    await requireBuild()
    await requirePrograms()
    const code = await runHere(process.execPath, [at('scripts', 'soak.mjs'), '--minutes', '2', '--patience', '6'])
    this.#count('soak', code, code === 0 ? 1 : 0, code === 0 ? 0 : 1)
  }

  /** A tenth of what `npm run fuzz` sends. */
  async fuzz() {
    await requireBuild()
    await requirePrograms()
    const code = await runHere(process.execPath, [at('scripts', 'fuzz.mjs'), '--count', '2000'])
    this.#count('fuzz', code, code === 0 ? 1 : 0, code === 0 ? 0 : 1)
  }

  async e2e(handedOn) {
    await requireChromium()
    await requireBuild()
    const cluster = await this.#requireCluster()
    const benches = []
    for (let i = 1; i <= E2E_BENCHES; i++) benches.push(await this.#e2eBench(cluster, `e2e_${i}`))
    const sideBySide = await this.#playwright('side-by-side', benches, handedOn)
    // What is measured by the clock has the machine to itself.
    const alone = await this.#playwright('alone', benches.slice(0, 1), handedOn)
    this.#count(
      'e2e',
      sideBySide.code || alone.code,
      sideBySide.passed + alone.passed,
      sideBySide.failed + alone.failed,
    )
  }

  async #playwright(project, benches, handedOn) {
    const report = join(this.#scratch(), `${project}.json`)
    const env = { ...process.env, VULCANUM_BENCHES: JSON.stringify(benches), PLAYWRIGHT_JSON_OUTPUT_FILE: report }
    const program = [at('node_modules', '@playwright', 'test', 'cli.js'), 'test', '--reporter=list,json']
    const options = [`--project=${project}`, '--pass-with-no-tests', ...handedOn]
    const code = await runHere(process.execPath, [...program, ...options], { env })
    const { suites = [], stats: { expected = 0, unexpected = 0, flaky = 0 } = {} } = readReport(report)
    this.failures.push(...suites.flatMap(failedSpecs))
    return { code, passed: expected + flaky, failed: unexpected }
  }

  /** A database with the demonstration, and a server on it. */
  async #e2eBench(cluster, name) {
    const databaseUrl = cluster.url(name)
    await ensureDatabase(cluster.url('postgres'), name)
    await step('Preparing the demonstration', () => prepareDatabase(databaseUrl, { empty: false }))
    const server = await startServer({
      port: await anyFreePort(),
      databaseUrl,
      onExit: (code) => say(`The test server ended (${code}).`),
    })
    this.#undo.push(server.stop)
    return { url: server.url, databaseUrl }
  }

  async #vitest(project, handedOn, env) {
    await this.#prepared()
    const report = join(this.#scratch(), `${project}.json`)
    const args = [
      'run',
      '--project',
      project,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
      ...handedOn,
    ]
    const code = await runHere(process.execPath, [at('node_modules', 'vitest', 'vitest.mjs'), ...args], {
      env: { ...process.env, ...env },
    })
    const { numPassedTests = 0, numFailedTests = 0, testResults = [] } = readReport(report)
    const failed = testResults
      .flatMap(({ assertionResults }) => assertionResults)
      .filter((one) => one.status === 'failed')
    this.failures.push(...failed.map((one) => `${project}: ${one.fullName}`))
    this.#count(project, code, numPassedTests, numFailedTests)
  }

  /** Lint, type check and Vitest (by tsconfig.json) read what Nuxt writes about itself. */
  async #prepared() {
    if (this.#isPrepared) return
    const code = await runHere(process.execPath, [at('node_modules', 'nuxt', 'bin', 'nuxt.mjs'), 'prepare'], {
      env: quiet(),
      stdio: ['ignore', 'ignore', 'inherit'],
    })
    if (code !== 0) throw new Stop('nuxt prepare failed')
    this.#isPrepared = true
  }

  async #requireCluster() {
    if (this.#cluster) return this.#cluster
    const programs = await requirePrograms()
    const folder = this.#scratch()
    this.#cluster = await startCluster({
      programs,
      folder: join(folder, 'cluster'),
      stateFolder: folder,
      user: unprivilegedUser(),
    })
    this.#undo.push(this.#cluster.stop)
    return this.#cluster
  }

  #scratch() {
    if (this.#folder) return this.#folder
    const folder = mkdtempSync(join(tmpdir(), 'vulcanum-test-'))
    chmodSync(folder, 0o711)
    this.#folder = folder
    return folder
  }

  #note(part, code) {
    if (code !== 0) this.broken.push(part)
  }

  #count(part, code, passed, failed) {
    this.passed += passed
    this.failed += failed
    this.#note(part, code)
    if (code === 0 && passed === 0) this.broken.push(`${part} (ran no test)`)
  }

  async clear() {
    for (const stop of this.#undo.splice(0).reverse()) await stop()
    if (this.#folder) rmSync(this.#folder, { recursive: true, force: true })
    this.#folder = null
    this.#cluster = null
  }
}

const quiet = () => ({ ...process.env, NUXT_TELEMETRY_DISABLED: '1' })
/** @returns the names of a Playwright suite's tests that did not do as expected */
function failedSpecs({ specs = [], suites = [] }) {
  const failed = specs.filter((spec) => !spec.ok).map((spec) => `${spec.file}:${spec.line} ${spec.title}`)
  return [...failed, ...suites.flatMap(failedSpecs)]
}
const readReport = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {})

runMain(main)
