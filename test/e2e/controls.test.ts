/** The smaller controls, each by what it stores or changes. */
import type { Page } from '@playwright/test'
import { choose, chooseWord, chosenIn, expect, open, test } from './page'
import { afterAPress, openEmpty, typeTheRun } from './typing'

interface Kept {
  runs: [
    {
      events: { kind: string; s: number }[]
      fuel: { burnOutShare: boolean }
      water: { startC: number; endC: number | null }
      trace: [number, number][]
    },
  ]
}
const stored = async (page: Page) =>
  ((await (await page.request.get(`/api/runs/${page.url().split('/').at(-1)}/document`)).json()) as Kept).runs[0]
const save = async (page: Page) => {
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.getByRole('region', { name: 'Ladder' })).toBeVisible()
}

test('the share of burn time, taken or not, is stored as decided', async ({ page }) => {
  for (const taken of [true, false]) {
    await openEmpty(page)
    await typeTheRun(page)
    await page.getByLabel('Shut off').fill('12:00')
    await page.getByLabel(/take fuel to the boil as its share/).setChecked(taken)
    await save(page)
    expect((await stored(page)).fuel.burnOutShare).toBe(taken)
    await expect(page.locator('[data-figure=gPerL]')).toHaveCount(taken ? 1 : 0)
  }
})

test('a bare number is stored by the units chosen for it', async ({ page }) => {
  await openEmpty(page)
  await typeTheRun(page)
  await page.getByLabel('Start temperature').fill('14')
  await page.getByLabel('Air', { exact: true }).fill('16 °C')
  await page.getByText('metric', { exact: true }).click()
  await save(page)
  expect((await stored(page)).water.startC).toBe(14)
})

for (const [button, kind] of [
  ['Flame out', 'flameOut'],
  ['Given up', 'gaveUp'],
  ['Stopped from outside', 'stopped'],
] as const) {
  test(`the stop-watch’s "${button}" ends the run so`, async ({ page }) => {
    await openEmpty(page)
    await typeTheRun(page)
    await page.getByLabel('Boil', { exact: true }).fill('')
    await page.getByLabel('Last temperature').fill('150 F')
    await page.getByText('Time it here, by a stop-watch').click()
    await page.locator('[data-next]').click()
    await afterAPress(page)
    await page.getByRole('button', { name: 'Pot on' }).click()
    await afterAPress(page)
    await page.getByRole('button', { name: button, exact: true }).click()
    await page.getByRole('button', { name: 'Last mark a second later' }).click()
    await page.getByRole('button', { name: 'Last mark a second later' }).click()
    await page.getByRole('button', { name: 'Last mark a second earlier' }).click()
    await save(page)
    const { events, water } = await stored(page)
    expect(events.map((event) => event.kind)).toEqual(['lit', 'potOn', kind])
    expect(events[2]!.s - events[1]!.s).toBeGreaterThan(2)
    expect(water.endC).toBeCloseTo(65.56, 2)
  })
}

test('a trace’s columns are chosen by hand, and it can be taken out again', async ({ page }) => {
  await openEmpty(page)
  await typeTheRun(page)
  await page.getByLabel('or its rows, pasted').fill('t,a,b\n0,60,20\n1,61,25\n2,62,30\n3,63,35')
  await page.getByLabel('or its rows, pasted').blur()
  await choose(page.getByLabel('Water is in'), '3: b')
  await choose(page.getByLabel('Times are'), 'minutes')
  await expect(page.getByText('As it would be kept: 0:00 20.0 °C · 1:00 25.0 °C')).toBeVisible()
  await choose(page.getByLabel('Water is in'), '2: a')
  await choose(page.getByLabel('Degrees are'), 'F')
  await expect(page.getByText('As it would be kept: 0:00 15.6 °C · 1:00 16.1 °C')).toBeVisible()
  await page.getByRole('button', { name: 'Take this trace' }).click()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await save(page)
  expect((await stored(page)).trace).toEqual([])
})

test('of two drafts this page’s can stay', async ({ page, browser, baseURL }) => {
  await openEmpty(page)
  await typeTheRun(page)
  await page.getByLabel('Notes').fill('mine')
  await expect(page.getByText('Kept here and on the server.')).toBeVisible()
  const other = await (await browser.newContext({ baseURL })).newPage()
  await open(other, '/runs/new')
  await other.getByRole('button', { name: 'Go on with it' }).first().click()
  await other.getByLabel('Notes').fill('theirs')
  await expect(other.getByText('Kept here and on the server.')).toBeVisible()
  await page.getByLabel('Notes').fill('mine still')
  await page.getByRole('button', { name: 'This page’s' }).click()
  await expect(page.getByText('Kept here and on the server.')).toBeVisible()
  const drafts = (await (await page.request.get('/api/drafts')).json()) as { body: { typed: { notes: string } } }[]
  expect(drafts[0]!.body.typed.notes).toBe('mine still')
  await other.context().close()
})

test('a filter chosen while another is still under way is added to it', async ({ page }) => {
  await open(page, '/runs')
  await page.getByRole('button', { name: 'Find in these' }).click()
  await page.getByRole('form', { name: 'Which runs' }).evaluate((form) => {
    const boxOf = (label: string) =>
      [...form.querySelectorAll('label')].find((one) => one.textContent!.trim().startsWith(label))!.control
    for (const [label, value] of [
      ['Who', 'Tamsin'],
      ['Group by', 'place'],
    ]) {
      const select = boxOf(label!) as HTMLSelectElement
      select.value = [...select.options].find((one) => one.text.trim().startsWith(value!))!.value
      select.dispatchEvent(new Event('change', { bubbles: true }))
    }
    boxOf('Void ones too')!.click()
  })
  await expect(page).toHaveURL(/person=/)
  await expect(page).toHaveURL(/group=place/)
  await expect(page).toHaveURL(/voided=shown/)
})

test('every filter of the runs filters, is taken out by a press, and the keys go back to as shipped', async ({
  page,
}) => {
  await open(page, '/runs')
  const cellsOf = (column: string) => async () =>
    new Set(await page.locator(`tbody td[data-column=${column}] > span:first-child`).allInnerTexts())
  await chooseWord(page, 'Set-up', 'Lahar in the cone')
  await expect.poll(cellsOf('setup')).toEqual(new Set(['Lahar in the cone']))
  await chooseWord(page, 'Set-up', 'every set-up')
  const filters = page.getByRole('form', { name: 'Which runs' })
  const list = (label: string) => filters.getByRole('combobox', { name: label, exact: true })
  const narrowed = async (label: string, value: string) => {
    await page.getByRole('button', { name: 'Find in these' }).click()
    await choose(list(label), value)
    await filters.getByRole('button', { name: /^Show \d+ runs?/ }).click()
  }
  await narrowed('Fuel', 'Hexamine tablets')
  await expect.poll(cellsOf('fuel')).toEqual(new Set(['Hexamine tablets']))
  await page.getByRole('button', { name: 'Take out: on Hexamine tablets' }).click()
  await narrowed('Remark', 'stopped from outside')
  await expect.poll(cellsOf('remarks')).toEqual(new Set(['stopped from outside']))
  await page.getByRole('button', { name: 'Take out: stopped from outside' }).click()
  await chooseWord(page, 'Origin', 'published elsewhere')
  await expect(page.getByText('No runs match.')).toBeVisible()
  await chooseWord(page, 'Origin', 'measured, rehearsed or published')
  await narrowed('Who', 'Tamsin Quay')
  await page.getByRole('button', { name: 'Columns' }).click()
  await page.getByRole('checkbox', { name: 'Who' }).check()
  await page.keyboard.press('Escape')
  await expect
    .poll(async () => new Set(await page.locator('tbody td[data-column=person]').allInnerTexts()))
    .toEqual(new Set(['Tamsin Quay']))
  await page.getByRole('button', { name: 'Find in these' }).click()
  await filters.getByLabel('To', { exact: true }).fill('2026-06-30')
  await filters.getByLabel('To', { exact: true }).blur()
  await expect(page).toHaveURL(/to=2026-06-30/)
  await filters.getByLabel('From', { exact: true }).fill('2026-04-22')
  await filters.getByLabel('From', { exact: true }).blur()
  await expect(page).toHaveURL(/from=2026-04-22/)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Keys' }).click()
  await page.getByRole('dialog').getByLabel('Metric or trail units').fill('q')
  await page.getByRole('dialog').getByLabel('Metric or trail units').blur()
  await page.getByRole('dialog').getByRole('button', { name: 'As shipped' }).click()
  await expect(page.getByRole('dialog').getByLabel('Metric or trail units')).toHaveValue('U')
})

test('a lane is not armed with a reading that cannot be read: it is said where, and what was typed stays', async ({
  page,
}) => {
  await openEmpty(page, '/bench/prepare?rehearse')
  await choose(page.getByLabel('Set-up', { exact: true }), 'Ignimbrite, plain pot')
  await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
  await choose(page.getByLabel('Who', { exact: true }), 'Odra Vell')
  const water = page.getByLabel('Water', { exact: true })
  await water.fill('two cups')
  await page.getByRole('button', { name: /^Arm lane/ }).click()
  await expect(page.getByText(/^Water: .*"two cups".*Write it like/)).toBeVisible()
  await expect(page).toHaveURL(/\/bench\/prepare/)
  await expect(water).toHaveValue('two cups')
})

test('a searched list takes what is meant, and nothing by being left', async ({ page }) => {
  await openEmpty(page, '/bench/prepare')
  const setup = page.getByLabel('Set-up', { exact: true })
  const before = await chosenIn(setup)
  const options = page.getByRole('listbox').getByRole('option')
  // Looked at, and left by a press elsewhere or by Tab.
  await setup.click()
  await expect(options.first()).toBeVisible()
  await page.getByRole('heading', { level: 1 }).click()
  await expect(options).toHaveCount(0)
  expect(await chosenIn(setup)).toBe(before)
  await setup.fill('pot')
  await expect(options.nth(1)).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(options).toHaveCount(0)
  expect(await chosenIn(setup)).toBe(before)
  // The only one left is meant; so is what Enter takes.
  await setup.fill('ignimbrite finned')
  await expect(options).toHaveCount(1)
  await page.keyboard.press('Tab')
  await expect.poll(() => chosenIn(setup)).toBe('Ignimbrite, finned pot')
  await setup.fill('ignimbrite')
  await expect(options).toHaveCount(2)
  const isFirst = (await options.first().innerText()).trim() === 'Ignimbrite, plain pot'
  await page.keyboard.press(isFirst ? 'Home' : 'End')
  await page.keyboard.press('Enter')
  await expect.poll(() => chosenIn(setup)).toBe('Ignimbrite, plain pot')
})
