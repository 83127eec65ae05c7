/**
 * `npm start` as a person meets it, faults and all, in a copy of the checkout in a folder with a space. Needs the
 * build.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { get } from 'node:https'
import { createServer, type Server } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { freePortFrom } from '../../scripts/lib/ports.mjs'
import { networkAddresses } from '../../scripts/lib/share.mjs'

const COPIED = [
  'scripts',
  'cli',
  'core',
  'shared',
  'server',
  'simulators',
  'app',
  'public',
  'package.json',
  'package-lock.json',
  'nuxt.config.ts',
]
/** Below 3659, which is closed to browsers. */
const PORT = 3450 + (process.pid % 200)
let folder: string
let running: Start[] = []
let squatters: Server[] = []

beforeEach(() => {
  const outer = mkdtempSync(join(tmpdir(), 'vulcanum-start-'))
  chmodSync(outer, 0o755)
  folder = join(outer, 'camp stoves')
  mkdirSync(folder)
  for (const name of COPIED) cpSync(name, join(folder, name), { recursive: true })
  // Nothing writes into the build: linked where it can be, 46 MB less to write and to delete.
  const isLinked = spawnSync('cp', ['-al', '.output', folder]).status === 0
  if (!isLinked) cpSync('.output', join(folder, '.output'), { recursive: true, verbatimSymlinks: true })
  symlinkSync(resolve('node_modules'), join(folder, 'node_modules'))
})

afterEach(async () => {
  for (const start of running) await start.stop()
  running = []
  for (const squatter of squatters) squatter.close()
  squatters = []
  const strays = processesWith(folder)
  for (const pid of strays) process.kill(pid, 'SIGKILL')
  rmSync(resolve(folder, '..'), { recursive: true, force: true })
  expect(strays, 'processes left running').toEqual([])
})

/** Somebody else listens there until the test is over. */
const squat = (port: number) => void squatters.push(createServer().listen(port, '127.0.0.1'))

/** Processes that name the folder, or run in it. */
function processesWith(path: string): number[] {
  const ids = readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
  return ids.filter((pid) => pid !== process.pid && readText(`/proc/${pid}/cmdline`).includes(path))
}
function readText(path: string): string {
  try {
    return readFileSync(path, 'utf8').replaceAll('\0', ' ')
  } catch {
    return ''
  }
}

class Start {
  output = ''
  readonly child: ChildProcess
  readonly ended: Promise<number | null>

  constructor(args: string[] = [], env: Record<string, string> = {}) {
    this.child = spawn(process.execPath, ['scripts/start.mjs', ...args], {
      cwd: folder,
      env: { ...process.env, DATABASE_URL: '', HOST: '', PORT: String(PORT), ...env },
    })
    for (const stream of [this.child.stdout!, this.child.stderr!])
      stream.on('data', (chunk: Buffer) => {
        this.output += chunk.toString()
      })
    this.ended = new Promise((done) => this.child.on('close', done))
    running.push(this)
  }

  /** Waits for words in the output. */
  async says(words: RegExp, patienceMs = 60_000): Promise<RegExpExecArray> {
    for (let waited = 0; waited < patienceMs; waited += 50) {
      const found = words.exec(this.output)
      if (found) return found
      if (this.child.exitCode !== null) break
      await new Promise((done) => setTimeout(done, 50))
    }
    throw new Error(`It never said ${String(words)}; it said:\n${this.output}`)
  }

  address = async () => (await this.says(/Vulcanum is at (\S+)/))[1]!

  async stop(): Promise<number | null> {
    if (this.child.exitCode === null && this.child.signalCode === null) this.child.kill('SIGINT')
    return this.ended
  }
}

/** The status an HTTPS server answers with, whoever vouches for it. */
const statusAt = (url: string) =>
  new Promise<number>(
    (done, fail) =>
      void get(url, { rejectUnauthorized: false }, (answer) => {
        answer.resume()
        done(answer.statusCode!)
      }).on('error', fail),
  )
const runsAt = async (address: string) =>
  ((await (await fetch(`${address}/api/runs`)).json()) as { count: number }).count
const serverPid = () => processesWith(join(folder, 'scripts', 'serve.mjs'))[0]!

it('before anything is installed, both commands can begin', () => {
  rmSync(join(folder, 'node_modules'))
  for (const script of ['start.mjs', 'test.mjs'])
    expect(
      spawnSync(process.execPath, [join(folder, 'scripts', script), '--help'], { cwd: folder, encoding: 'utf8' }),
      script,
    ).toMatchObject({ status: 0, stderr: '' })
})

it('passes over a port that no browser opens', async () => {
  expect(await freePortFrom(3659)).toBeGreaterThan(3659)
})

describe('npm start', () => {
  it('serves the demonstration; a second start says the address; Ctrl-C leaves nothing; secrets are the owner’s alone', async () => {
    const first = new Start()
    const address = await first.address()
    expect(await runsAt(address)).toBeGreaterThan(5)
    const second = new Start()
    expect(await second.ended).toBe(0)
    expect(second.output).toContain(`running already: ${address}`)
    expect(statSync(join(folder, '.data', 'secret')).mode & 0o777).toBe(0o600)
    const other = new Start(['--empty'])
    expect(await other.ended).toBe(1)
    expect(other.output).toContain('running already with the demonstration')
    expect(await first.stop()).toBe(0)
    expect(processesWith(folder)).toEqual([])

    const own = new Start(['--empty'])
    expect(await runsAt(await own.address())).toBe(0)
  })

  it.runIf(networkAddresses().length > 0)(
    '--share answers the network by HTTPS, to paired devices alone, with a certificate that is the owner’s secret; the code stands at this machine',
    async () => {
      const start = new Start(['--share'])
      const address = await start.address()
      const [, shared] = await start.says(/Shared on this network at (https:\/\/\S+?)(?:,|\n)/)
      expect([
        await statusAt(`${shared}/api/runs`),
        await statusAt(`${shared}/pair`),
        await statusAt(`${shared}/api/share`),
      ]).toEqual([401, 200, 403])
      expect((await (await fetch(`${address}/api/share`)).json()) as object).toMatchObject({
        shared: { pairing: null },
      })
      expect((await (await fetch(`${address}/api/share/pairing`, { method: 'POST' })).json()) as object).toMatchObject({
        shared: { pairing: { code: expect.stringMatching(/^\d{8}$/) } },
      })
      expect(statSync(join(folder, '.data', 'share', 'key.pem')).mode & 0o777).toBe(0o600)
      process.kill(serverPid(), 'SIGKILL')
      await start.says(/The server ended \(SIGKILL\)\. Starting it again\.[\s\S]*Vulcanum is at/)
      expect(await statusAt(`${shared}/pair`)).toBe(200)
    },
  )

  it('survives kill -9 of the server, then of itself, with a stale pid file and a busy port', async () => {
    const first = new Start()
    const address = await first.address()
    const runs = await runsAt(address)
    process.kill(serverPid(), 'SIGKILL')
    await first.says(/The server ended \(SIGKILL\)\. Starting it again\.[\s\S]*Vulcanum is at/)
    expect(await runsAt(address)).toBe(runs)

    first.child.kill('SIGKILL')
    await first.ended
    // The orphaned cluster is taken over; where the old server stood, somebody else listens now.
    await expect.poll(() => serverPid(), { timeout: 5000 }).toBeUndefined()
    squat(PORT)
    const second = new Start()
    const moved = await second.address()
    expect(second.output).toContain(`Port ${PORT} is taken: using ${PORT + 1}`)
    expect(await runsAt(moved)).toBe(runs)
    await second.stop()

    // A pid file of a process that lives, but is no postgres of ours.
    writeFileSync(
      join(folder, '.data', 'cluster', 'postmaster.pid'),
      `${process.pid}\n${join(folder, '.data', 'cluster')}\n0\n5999\n`,
    )
    const third = new Start()
    expect(await runsAt(await third.address())).toBe(runs)
  })

  it('survives kill -9 of the database: within ten seconds the page answers again by itself, with all that stood', async () => {
    const start = new Start()
    const address = await start.address()
    const runs = await runsAt(address)
    const postmaster = Number(readFileSync(join(folder, '.data', 'cluster', 'postmaster.pid'), 'utf8').split('\n')[0])
    process.kill(postmaster, 'SIGKILL')
    const killed = Date.now()
    await expect.poll(() => runsAt(address).catch(() => 0), { timeout: 10_000, interval: 200 }).toBe(runs)
    expect(Date.now() - killed).toBeLessThan(10_000)
    await start.says(/The database ended\. Starting it again\.[\s\S]*The database is back\./)
    expect(await (await fetch(`${address}/runs`)).text()).toContain('<h1')
  })

  it.runIf(process.getuid?.() === 0)(
    'runs nothing that listens as root, and shows no token on a command line',
    async () => {
      const start = new Start()
      const address = await start.address()
      const uidOf = (pid: number) => Number(/^Uid:\s+(\d+)/m.exec(readText(`/proc/${pid}/status`))?.[1] ?? -1)
      const postmaster = Number(readFileSync(join(folder, '.data', 'cluster', 'postmaster.pid'), 'utf8').split('\n')[0])
      expect([uidOf(serverPid()), uidOf(postmaster)].every((uid) => uid > 0)).toBe(true)
      const started = await fetch(`${address}/api/instruments/simulated`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ kind: 'scale', lane: 'A', stove: 'tablet', fault: 'none', hz: 1, speed: 1 }),
      })
      expect(started.status).toBe(200)
      const simulators = () => processesWith(join(folder, '.output', 'server', 'programs', 'simulators'))
      await expect.poll(simulators, { timeout: 5000 }).toHaveLength(1)
      const [pid] = simulators()
      expect([uidOf(pid!) > 0, /token/i.test(readText(`/proc/${pid}/cmdline`))]).toEqual([true, false])
      const {
        value: { id },
      } = (await started.json()) as { value: { id: string } }
      await fetch(`${address}/api/instruments/simulated/${id}`, { method: 'DELETE' })
      await expect.poll(simulators, { timeout: 10_000 }).toEqual([])
    },
  )

  it('a second instance leaves the first its instruments’ port, and says what it goes without', async () => {
    squat(PORT + 50)
    const start = new Start([], { VULCANUM_INSTRUMENT_PORT: String(PORT + 50) })
    expect(await runsAt(await start.address())).toBeGreaterThan(5)
    expect(start.output).toContain(`Port ${PORT + 50}, where instruments keep a connection open, is taken`)
  })

  it('is backed up while it serves, and a back-up is put in its place: the page shows what stood then', async () => {
    const command = async (name: string, ...args: string[]) => {
      const child = spawn(process.execPath, [`scripts/${name}.mjs`, ...args], {
        cwd: folder,
        env: { ...process.env, DATABASE_URL: '' },
      })
      let output = ''
      for (const stream of [child.stdout, child.stderr])
        stream.on('data', (chunk: Buffer) => {
          output += chunk.toString()
        })
      const code = await new Promise<number | null>((done) => child.on('close', done))
      return { code, output }
    }
    const start = new Start()
    const address = await start.address()
    const runs = await runsAt(address)
    expect(await command('backup', 'then.backup')).toMatchObject({
      code: 0,
      output: expect.stringContaining('then.backup'),
    })
    const {
      lines: [one],
    } = (await (await fetch(`${address}/api/runs`)).json()) as { lines: { id: string }[] }
    const { people } = (await (await fetch(`${address}/api/kit`)).json()) as { people: { id: string }[] }
    await fetch(`${address}/api/runs/many`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: crypto.randomUUID(),
        what: 'void',
        runIds: [one!.id],
        personId: people[0]!.id,
        reason: 'a test',
        tag: '',
      }),
    })
    expect(await runsAt(address)).toBe(runs - 1)
    expect(await command('restore', 'then.backup')).toMatchObject({
      code: 0,
      output: expect.stringMatching(/kept as the database vulcanum_demo_before_\d+/),
    })
    await expect.poll(() => runsAt(address).catch(() => 0), { timeout: 20_000 }).toBe(runs)
    expect((await command('restore', 'package.json')).output).toContain('no back-up that this version wrote')
  })

  it.runIf(process.getuid?.() === 0)(
    'puts the data elsewhere, and says where, when the database’s user cannot enter the checkout',
    async () => {
      chmodSync(folder, 0o700)
      const start = new Start()
      expect(await runsAt(await start.address())).toBeGreaterThan(5)
      const [, elsewhere] = await start.says(/the database lies in (\S+)\./)
      const [, built] = await start.says(/from a copy of what was built, in (\S+)\./)
      expect(existsSync(join(elsewhere!, 'PG_VERSION'))).toBe(true)
      await start.stop()
      for (const one of [elsewhere!, built!]) rmSync(one, { recursive: true, force: true })
    },
  )

  it.each<[string, string[], Record<string, string>, RegExp]>([
    ['a HOST beyond loopback', [], { HOST: '0.0.0.0' }, /HOST=0\.0\.0\.0 is refused/],
    ['a PORT that browsers do not open', [], { PORT: '6000' }, /PORT=6000 is refused: browsers/],
    ['a PORT that is none', [], { PORT: 'abc' }, /PORT=abc is not a port/],
    ['a word it does not know', ['--demo'], {}, /--demo is not known/],
    [
      'a DATABASE_URL that does not answer',
      [],
      { DATABASE_URL: 'postgres://nobody:x@127.0.0.1:9/none' },
      /The database could not be prepared/,
    ],
  ])('refuses %s with words and exit code 1', async (_, args, env, words) => {
    const start = new Start(args, env)
    expect(await start.ended).toBe(1)
    expect(start.output).toMatch(words)
  })
})
