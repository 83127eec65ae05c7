/**
 * Files brought in as a person does it: a messy table mapped, stored in part and undone; a logger’s file of several
 * channels; a table out and in again; a whole workspace into an empty one.
 */
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import Papa from 'papaparse'
import { ensureDatabase, prepareDatabase } from '../../scripts/lib/databases.mjs'
import { anyFreePort } from '../../scripts/lib/ports.mjs'
import { startServer } from '../../scripts/lib/server.mjs'
import { choose, chosenIn, expect, open, test, runsOf } from './page'

const file = (name: string, text: string | Buffer) => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(text as string),
})
const chooser = (page: Page) => page.getByRole('region', { name: 'A file' }).locator('input[type=file]')
const stored = (page: Page) => page.getByRole('region', { name: 'Stored', exact: true })
/** The preview of the newest mapping is there. */
const settledPreview = (page: Page) =>
  expect(page.getByRole('region', { name: 'What would be stored' })).toHaveAttribute('aria-busy', 'false')

const MESSY = `Porch tests 2026;;;;;;;;
;;;;;;;;
Date;Stove;Water;Start temp;Fuel before (g);Fuel after (g);Boil;Wind;Notes
14/03/2026;Fumarole with narrow pot;500;17,2;212,4;205,1;3:48;calm;
15/03/2026;Fumarole with narrow pot;500;16,9;205,1;197,9;3:52;calm;=1+1
16/03/2026;Tin can burner;500;16,5;240,0;222,5;9:10;1,8 m/s;
17/03/2026;Tin can burner;500;16,5;40,0;42,5;9:10;1,8 m/s;swapped
18/03/2026;Tin can burner;half;16,5;240,0;222,5;9:10;;`

test('a messy table is mapped, stored in part by choice, listed, noticed again, and undone whole', async ({ page }) => {
  await open(page, '/runs')
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByRole('menuitem', { name: /^Bring runs in/ }).click()
  await chooser(page).setInputFiles(file('porch.csv', MESSY))
  await expect(page.getByRole('heading', { name: 'porch.csv' })).toBeVisible()
  expect(await chosenIn(page.getByLabel('Headings in row'))).toBe('3')
  await expect(page.getByText('Dates here can be read in more than one order')).toBeVisible()
  const faults = page.getByRole('region', { name: 'Rows that cannot be stored' })
  await expect(faults).toContainText('Row 4: Water: No unit: read "500"')
  await choose(page.getByLabel('Water: unit'), 'mL')
  await choose(page.getByLabel('Dates have'), 'day first: 14/3/2026')
  await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
  await choose(page.getByLabel('Who', { exact: true }), 'Odra Vell')
  await choose(page.getByLabel(/Set-up “Tin can burner”/), 'new: gas, on the canister')
  await expect(page.getByText('2 rows cannot be stored', { exact: true })).toBeVisible()
  await expect(faults).toContainText(
    'Row 7, Fuel after (g): Fuel after (42,5 g) is more than fuel before (40,0 g). Swapped?',
  )
  await expect(faults).toContainText('Row 8: Water: Not a quantity: read "half"')
  const preview = page.getByRole('region', { name: 'As it would be stored' })
  await expect(preview.locator('tbody tr')).toHaveCount(3)
  await expect(preview.locator('tbody tr').first()).toContainText('500 mL')
  await settledPreview(page)
  await page.getByRole('button', { name: 'Store 3 runs' }).click()
  await expect(page.getByText(/2 rows cannot be stored\. Mend them/)).toBeVisible()
  await page.getByRole('checkbox', { name: 'Leave the 2 rows that cannot be stored out' }).check()
  await settledPreview(page)
  await page.getByRole('button', { name: 'Store 3 runs' }).click()
  await expect(stored(page)).toContainText('3 runs stored, 2 rows left out.')
  const at = page.url()
  await page.getByRole('link', { name: 'Show them in the logbook' }).click()
  await expect(page.locator('tbody tr[data-id]')).toHaveCount(3)
  await expect(page.locator('tbody')).toContainText('Tin can burner')

  await open(page, '/runs/import')
  await chooser(page).setInputFiles(file('porch again.csv', MESSY))
  await expect(page.getByText(/Read as porch\.csv was/)).toBeVisible()
  await expect(page.getByText(/The same file came in on/)).toBeVisible()
  await expect(page.getByLabel('Dates have')).toHaveValue('dmy')
  await page.getByRole('button', { name: 'Throw it away' }).click()
  await expect(page.getByRole('heading', { name: 'Bring runs in' })).toBeVisible()

  await open(page, new URL(at).pathname)
  await page.getByRole('button', { name: 'Undo all of it' }).click()
  await page.getByRole('button', { name: 'Undo 3 runs' }).click()
  await expect(stored(page).getByRole('alert')).toContainText(/Who: choose|Reason: expected/)
  await page.getByLabel('Why').fill('the wrong porch')
  await choose(page.getByLabel('Who'), 'Odra Vell')
  await page.getByRole('button', { name: 'Undo 3 runs' }).click()
  await expect(stored(page)).toContainText('The runs are void')
  await open(page, `/runs?import=${new URL(at).pathname.split('/').at(-1)}`)
  await expect(page.getByText('No runs match.')).toBeVisible()
})

test('by keyboard alone: a logger’s file of three channels goes to its run, and its page shows them', async ({
  page,
  request,
}) => {
  const { lines } = (await (await request.get('/api/runs?words=lahar&sort=startedAt.up')).json()) as {
    lines: { id: string; ribbon: { water: unknown[] } }[]
  }
  const bare = lines.find((line) => line.ribbon.water.length === 0)!
  await open(page, `/runs/${bare.id}`)
  await page.getByRole('link', { name: 'Bring a logger’s file in' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('A logger’s file for the run you came from.')).toBeVisible()
  const rows = [
    'time (s),Water °F,Air °C,Mass [g]',
    ...Array.from(
      { length: 200 },
      (_, i) => `${i * 2},${Math.min(208, 60 + i).toFixed(1)},11.2,${(212.4 - i * 0.05).toFixed(2)}`,
    ),
  ]
  await page.getByLabel('or its rows, pasted').focus()
  await page.keyboard.insertText(rows.join('\n'))
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'Read these rows' })).toBeFocused()
  await page.keyboard.press('Enter')
  const preview = page.getByRole('region', { name: 'As it would be stored' })
  await expect(preview.locator('tbody tr')).toHaveCount(3)
  await page.getByLabel('First sample at').focus()
  await page.keyboard.press('ControlOrMeta+A')
  await page.keyboard.type('-0:10')
  await expect(preview.locator('tbody tr').first()).toContainText('−0:10, 15.6 °C')
  await page.getByLabel('Who brings it in').focus()
  await page.keyboard.type('Odra')
  await settledPreview(page)
  await page.getByRole('button', { name: 'Store 600 samples' }).focus()
  await page.keyboard.press('Enter')
  await expect(stored(page)).toContainText('600 samples stored')
  await page.getByRole('link', { name: 'Open the run' }).focus()
  await page.keyboard.press('Enter')
  const also = page.getByRole('region', { name: 'Also followed' })
  await expect(also.getByRole('row').filter({ hasText: 'Scale' })).toContainText(/212\.4\sg.*202\.[45]\sg/)
  await expect(page.getByRole('region', { name: 'Trace', exact: true })).toBeVisible()
})

test('runs go out as CSV and a whole workspace as a package, and come into an empty workspace as they were', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000)
  await open(page, await runsOf(page, { setup: 'Lahar in the cone' }))
  await page.getByRole('button', { name: 'Export' }).click()
  const [table] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /^CSV/ }).click(),
  ])
  const csv = readFileSync(await table.path())
  const before = Papa.parse<Record<string, string>>(
    csv
      .toString('utf8')
      .replace(/^\uFEFF/, '')
      .trim(),
    { header: true },
  ).data
  await open(page, '/runs/import')
  const [pack] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Pack this workspace' }).click(),
  ])
  const zip = await pack.path()

  const url = new URL(process.env.DATABASE_URL!)
  const name = `empty_${Date.now()}`
  await ensureDatabase(Object.assign(new URL(url), { pathname: '/postgres' }).toString(), name)
  const databaseUrl = Object.assign(new URL(url), { pathname: `/${name}` }).toString()
  await prepareDatabase(databaseUrl, { empty: true })
  const server = (await startServer({
    port: await anyFreePort(),
    databaseUrl,
    output: 'ignore',
    share: null,
    onExit: undefined,
  })) as { url: string; stop: () => Promise<void> }
  try {
    const other = await (await browser.newContext({ baseURL: server.url })).newPage()
    await open(other, '/runs/import')
    await other.getByLabel('A packed workspace').setInputFiles(zip)
    await other.getByRole('button', { name: 'Bring it in' }).click()
    await expect(other.getByText(/\d+ runs came in, with their kit\./)).toBeVisible({ timeout: 60_000 })
    const ids = before.map((row) => row.Id)
    const again = await other.request.post('/api/runs/export', { data: { format: 'csv', runIds: ids } })
    expect(Papa.parse((await again.text()).replace(/^\uFEFF/, '').trim(), { header: true }).data).toEqual(before)
    // The table itself, into a bench that has the kit and not these runs: their ids are free, their readings the same.
    await open(other, '/runs/import')
    await chooser(other).setInputFiles(file('lahar.csv', csv.toString('utf8').replace(/(?<=\n)[0-9a-f-]{36}/g, '')))
    await expect(other.getByRole('region', { name: 'As it would be stored' }).locator('tbody tr').first()).toBeVisible()
    await choose(other.getByLabel('Who brings it in'), 'Odra Vell')
    const leave = other.getByRole('checkbox', { name: /^Leave the/ })
    if (await leave.isVisible()) await leave.check()
    await settledPreview(other)
    await other.getByRole('button', { name: /^Store \d+ runs$/ }).click()
    await expect(stored(other)).toContainText('runs stored')
    const importId = other.url().split('/').at(-1)!.split('?')[0]
    const { lines } = (await (await other.request.get(`/api/runs?import=${importId}&origin=all`)).json()) as {
      lines: { startedAt: string; gPerL: number | null }[]
    }
    // A table holds no fed pieces and no marks that come twice: runs that other tests burned on the bench may have
    // them.
    const there = new Map(
      before
        .filter((row) => /^019[567]0000-/.test(row.Id!))
        .map((row) => [row.Started, row['Measured [g/L]'] === '' ? null : Number(row['Measured [g/L]'])]),
    )
    const known = lines.filter((line) => there.has(line.startedAt))
    expect(known.length).toBeGreaterThan(3)
    for (const line of known)
      expect(line.gPerL === null ? null : Number(line.gPerL.toPrecision(9)), line.startedAt).toBe(
        there.get(line.startedAt) == null ? null : Number(there.get(line.startedAt)!.toPrecision(9)),
      )
  } finally {
    await server.stop()
  }
})

test('what is no table is refused in words at once, and nothing is stored', async ({ page, request }) => {
  await open(page, '/runs/import')
  await chooser(page).setInputFiles(file('runs.csv', Buffer.from('PK\u0003\u0004 and so on')))
  await expect(page.getByRole('region', { name: 'A file' }).getByRole('alert')).toContainText(
    'runs.csv is a zip archive, not a table as its name says',
  )
  const put = (headers: Record<string, string>, data: Buffer) =>
    request.put(`/api/imports/${crypto.randomUUID()}?name=big.csv`, { headers, data })
  expect((await put({ 'content-type': 'application/octet-stream' }, Buffer.alloc(31_000_000, 'a'))).status()).toBe(413)
  expect((await request.get('/api/imports/nonsense')).status()).toBe(400)
  expect(
    (
      await request.post(`/api/imports/${crypto.randomUUID()}/preview`, {
        data: { what: 'runs', mapping: { headerRow: 0, columns: [], origin: 'measured' } },
      })
    ).status(),
  ).toBe(404)
  expect((await request.post('/api/package', { data: Buffer.from('no zip') })).status()).toBe(422)
})
