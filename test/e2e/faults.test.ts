/**
 * Faults of the machine as a tester meets them on the page: a disk that is full, a database that is killed, a file that
 * is made to stop the server.
 */
import { spawnSync } from 'node:child_process'
import { chmodSync, chownSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureDatabase, prepareDatabase } from '../../scripts/lib/databases.mjs'
import { DEMONSTRATION } from '../../scripts/test/browserBenches.mjs'
import { keepCluster } from '../../scripts/lib/keepCluster.mjs'
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { requirePrograms } from '../../scripts/lib/postgresPrograms.mjs'
import { startServer } from '../../scripts/lib/server.mjs'
import { mark, stage } from '../../scripts/lib/stageBench.mjs'
import { unprivilegedUser } from '../../scripts/lib/unprivileged.mjs'
import type { Bench } from '../../shared/bench'
import { othersWait } from './othersWait'
import { expect, open, test as base } from './page'

const DISK = '400m'
const mayMount = () =>
  process.getuid?.() === 0 &&
  spawnSync('mount', ['--version']).status === 0 &&
  spawnSync('sh', ['-c', 'd=$(mktemp -d) && mount -t tmpfs -o size=1m tmpfs "$d" && umount "$d" && rmdir "$d"'])
    .status === 0

interface Machine {
  url: string
  disk: string
  databasePid: () => number
}
/** A cluster of its own on a small disk of its own, kept as `npm start` keeps it, and a server on it. */
const test = base.extend<{ machine: Machine }>({
  machine: async ({ page, faults }, use) => {
    const disk = mkdtempSync(join(tmpdir(), 'vulcanum-disk-'))
    expect(spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK}`, 'tmpfs', disk]).status).toBe(0)
    const user = unprivilegedUser()
    chmodSync(disk, 0o755)
    if (user) chownSync(disk, user.uid, user.gid)
    const state = mkdtempSync(join(tmpdir(), 'vulcanum-state-'))
    const cluster = await keepCluster({
      programs: await requirePrograms(),
      folder: join(disk, 'cluster'),
      stateFolder: state,
      user,
    })
    await ensureDatabase(cluster.url('postgres'), 'faults')
    await prepareDatabase(cluster.url('faults'), { empty: false })
    const server = await startServer({
      port: await anyFreePort(),
      databaseUrl: cluster.url('faults'),
      output: 'ignore',
      onExit: undefined,
      dataFolder: disk,
    })
    await use({ url: server.url, disk, databasePid: cluster.pid })
    await page.goto('about:blank')
    await server.stop()
    await cluster.stop()
    spawnSync('umount', [disk])
    for (const folder of [disk, state]) rmSync(folder, { recursive: true, force: true })
    faults.splice(0)
  },
})

const marksAt = async (url: string) =>
  ((await (await fetch(`${url}/api/bench`)).json()) as Bench).lanes[0]?.state.marks.length ?? 0

test.describe('on a small disk', () => {
  test.skip(() => !mayMount(), 'only root may mount a small disk to fill')

  test(
    'a full disk is said on the Bench, presses are kept, and all are stored soon after there is room; a killed database comes back by itself',
    { tag: '@by-the-clock' },
    async ({ page, machine: { url, disk, databasePid } }) => {
      await stage(url, [
        {
          lane: 'A',
          measured: { fuelBefore: '210 g' },
          marks: [
            [60, mark('lit', undefined)],
            [50, mark('potOn', undefined)],
          ],
        },
      ])
      await open(page, `${url}/bench`)
      await expect(page.locator('[data-lane=A]')).toBeVisible()
      const before = await marksAt(url)
      // To the last block, in two steps: the database writes meanwhile, so that nobody knows how much there is room for.
      for (const name of ['full', 'fuller']) spawnSync('sh', ['-c', `cat /dev/zero > ${join(disk, name)} 2>/dev/null`])
      let pressed = 0
      await expect(async () => {
        await page.keyboard.press('k')
        pressed++
        await expect(page.locator('[data-offline]')).toContainText('disk of the machine that runs Vulcanum is full', {
          timeout: 1500,
        })
      }).toPass({ timeout: 90_000, intervals: [1300] })
      await expect(page.locator('[data-kept]')).toBeVisible()
      // Other pages say it too, and lose nothing that was typed.
      const refused = await fetch(`${url}/api/kit/people`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: crypto.randomUUID(), name: 'x'.repeat(100) }),
      })
      if (refused.status >= 400)
        expect(await refused.text()).toMatch(/disk of the machine that runs Vulcanum is full|database does not answer/)
      for (const name of ['full', 'fuller']) rmSync(join(disk, name))
      const room = Date.now()
      await expect(page.locator('[data-kept]')).toHaveCount(0, { timeout: 10_000 })
      expect(Date.now() - room).toBeLessThan(10_000)
      await expect.poll(() => marksAt(url)).toBe(before + pressed)

      process.kill(databasePid(), 'SIGKILL')
      const killed = Date.now()
      // A reading: a second knock soon after the last would be kept as one with it.
      await page.keyboard.type('45.0')
      await page.keyboard.press('Enter')
      await expect.poll(() => marksAt(url).catch(() => 0), { timeout: 10_000 }).toBe(before + pressed + 1)
      expect(Date.now() - killed).toBeLessThan(10_000)
      await page.reload()
      await expect(page.locator('[data-lane=A]')).toBeVisible()
    },
  )
})

base(
  'a server that is asked to end in the middle of an import keeps nothing of it, says so, and stores it whole the second time',
  async () => {
    // Of a database of its own: thousands of runs that were undone would stand in the way of others.
    const databaseUrl = Object.assign(new URL(process.env.DATABASE_URL!), {
      pathname: `/cut_off_${Date.now()}`,
    }).toString()
    await ensureDatabase(process.env.DATABASE_URL!, new URL(databaseUrl).pathname.slice(1), DEMONSTRATION)
    const port: number = await anyFreePort()
    const start = () => startServer({ port, databaseUrl, output: 'ignore', onExit: undefined })
    let server = await start()
    try {
      const at = (path: string) => `${server.url}${path}`
      const ask = async <T>(path: string, method: string, body: string) =>
        (await (await fetch(at(path), { method, body, headers: { 'content-type': 'application/json' } })).json()) as T
      const { people, fuels } = (await (await fetch(at('/api/kit'))).json()) as Record<
        string,
        { id: string; fuel?: string }[]
      >
      const id = crypto.randomUUID()
      const rows = Array.from(
        { length: 4000 },
        (_, i) =>
          `2019-01-01T${String(i % 24).padStart(2, '0')}:00:00Z,Cut off ${i % 7},473,${8 + (i % 10)} °C,212.4,204,${3 + (i % 3)}:10`,
      )
      await ask(
        `/api/imports/${id}?name=cut.csv`,
        'PUT',
        ['Started,Set-up,Water (g),Start temp,Fuel before (g),Fuel after (g),Boil', ...rows].join('\n'),
      )
      const { guessed } = (await (await fetch(at(`/api/imports/${id}`))).json()) as {
        guessed: { usual: object; names: object }
      }
      const made = Object.fromEntries(
        Array.from({ length: 7 }, (_, i) => [`Cut off ${i}`, { make: true, burner: 'canister-top' }]),
      )
      const mapping = {
        ...guessed,
        zone: 'UTC',
        names: { ...guessed.names, setup: made },
        usual: {
          ...guessed.usual,
          fuel: fuels!.find((one) => /propane/i.test(one.fuel ?? ''))!.id,
          person: people![0]!.id,
        },
      }
      const store = () =>
        ask(
          `/api/imports/${id}/store`,
          'POST',
          JSON.stringify({ what: 'runs', mapping, personId: people![0]!.id, leaveOut: false, again: false }),
        )
      const now = async () =>
        (await (await fetch(at(`/api/imports/${id}`))).json()) as {
          state: string
          done: number
          stored: number
          trouble: string
        }
      await store()
      await expect.poll(async () => (await now()).done, { intervals: [20], timeout: 40_000 }).toBeGreaterThan(0)
      // SIGTERM, and killed where it does not end.
      await server.stop()
      server = await start()
      await expect.poll(async () => (await now()).state, { timeout: 20_000 }).toBe('staged')
      const broken = await now()
      expect([broken.stored, broken.trouble]).toEqual([
        0,
        expect.stringMatching(/Nothing of it was kept; store it again/),
      ])
      expect(((await (await fetch(at(`/api/runs?import=${id}`))).json()) as { count: number }).count).toBe(0)
      await store()
      await expect.poll(async () => (await now()).state, { timeout: 60_000 }).toBe('stored')
      expect(((await (await fetch(at(`/api/runs?import=${id}`))).json()) as { count: number }).count).toBe(4000)
    } finally {
      await server.stop()
    }
  },
)

base(
  'a file that is made to stop the server is refused in words, others go on meanwhile, and so does who brought it',
  { tag: '@by-the-clock' },
  async ({ page, baseURL }) => {
    const folder = mkdtempSync(join(tmpdir(), 'vulcanum-hostile-'))
    const file = (name: string, text: string) => {
      writeFileSync(join(folder, name), text)
      return join(folder, name)
    }
    try {
      await open(page, '/runs/import')
      const others = await othersWait(baseURL!, async () => {
        for (const [path, words] of [
          [
            file(
              'keys.json',
              JSON.stringify([Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`k${i}`, 1]))]),
            ),
            'columns, expected at most 500',
          ],
          [
            file('own.json', JSON.stringify(Array.from({ length: 10_000 }, (_, i) => ({ [`k${i}`]: 1 })))),
            'columns, expected at most 500',
          ],
          [file('rows.csv', 'a\n'.repeat(7_500_000)), 'more than 4 million cells'],
          [file('cell.csv', `a,b\n1,${'x'.repeat(20_000_000)}\n`), '20000000 characters'],
        ] as const) {
          await page.locator('input[type=file]').first().setInputFiles(path)
          await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible({ timeout: 40_000 })
        }
      })
      base
        .info()
        .annotations.push({ type: 'others wait at most [ms]', description: String(Math.round(others.at(-1)!)) })
      // Held over 100 ms it would be seen at every file; generous for a machine that browsers share.
      expect(others[Math.floor(others.length * 0.99)]!).toBeLessThan(400)
      await page
        .locator('input[type=file]')
        .first()
        .setInputFiles(file('good.csv', 'Date;Stove;Water (g)\n2026-05-01;a;473\n'))
      await expect(page).toHaveURL(/\/runs\/import\/[0-9a-f-]{36}/)
    } finally {
      rmSync(folder, { recursive: true })
    }
  },
)
