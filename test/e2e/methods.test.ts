/** Methods: a school chosen, a copy edited, and every kind of test logged once by its method. */
import type { Page } from '@playwright/test'
import type { MethodLine } from '../../shared/method'
import { choose, chooseWord, expect, open, test } from './page'
import { openEmpty } from './typing'

const methodId = async (page: Page, name: string) =>
  ((await (await page.request.get('/api/methods')).json()) as MethodLine[]).find((one) => one.name === name)!.id

test('a copy of a method: another school chosen, a window narrowed; runs by it are read so, and its page says what the others would do', async ({
  page,
}) => {
  await open(page, `/methods/${await methodId(page, 'Boil')}`)
  await expect(page.getByRole('heading', { name: 'What it cannot say' })).toBeVisible()
  await expect(page.locator('[data-school="boil.rollingBoil"]')).toContainText('(chosen)')
  await expect(page.locator('[data-school="clock.potOn"]')).toContainText(/\d:\d\d, [\d.]+ g\/L/)
  await page.getByRole('link', { name: 'Copy it, and change the copy' }).click()
  await page.getByLabel('Name').fill('Porch boil')
  await page.getByRole('button', { name: '500 mL' }).click()
  await expect(page.getByLabel('Water put in')).toHaveValue('500 g')
  await choose(page.getByLabel('When does the clock start?'), 'lit')
  await expect(page.getByText('Counts the warm-up')).toBeVisible()
  await choose(page.getByLabel('What counts as boiling?'), 'firstBubbles')
  await choose(page.getByLabel('First bubbles', { exact: true }), 'must')
  await choose(page.getByLabel('Lit', { exact: true }), 'must')
  await choose(page.getByLabel('Rolling boil', { exact: true }), 'not in it')
  await page.getByLabel('Start to').fill('10 °C')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Start to: it is below where the window begins. Swapped?')).toBeVisible()
  await page.getByLabel('Start to').fill('21 °C')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Porch boil' })).toBeVisible()
  await expect(page.locator('[data-school="boil.firstBubbles"]')).toContainText('(chosen)')

  await page.getByRole('link', { name: 'Log a run by it' }).click()
  await basics(page)
  await expect(page.locator('[data-wanted]')).toContainText('first bubbles (time)')
  await expect(page.getByLabel('Boil', { exact: true })).toBeHidden()
  await type(page, {
    'Pot on': '0:40',
    'First bubbles': '4:10',
    'Start temperature': '14 °C',
    Water: '500 g',
    'Fuel used': '9.6 g',
  })
  await expect(page.getByText('Start 14.0 °C is outside the method’s 18.0 to 21.0 °C.')).toBeVisible()
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.locator('[data-figure=time]')).toHaveText('4:10')
  await expect(page.getByRole('button', { name: 'The boil: first steady bubbles' })).toBeVisible()
  await expect(page.locator('[data-outside=outside-start]')).toBeVisible()
  await chooseWord(page, 'The clock starts at', 'pot-on')
  await expect(page.locator('[data-figure=time]')).toHaveText('3:30')
  await expect(page).toHaveURL(/clock=potOn/)
})

const type = async (page: Page, boxes: Record<string, string>) => {
  for (const [label, text] of Object.entries(boxes)) await page.getByLabel(label, { exact: true }).fill(text)
}

async function basics(page: Page, setup = 'Solfatara with wide pot', fuel = 'Isobutane'): Promise<void> {
  await choose(page.getByLabel('Who', { exact: true }), 'Tamsin Quay')
  await choose(page.getByLabel('Place', { exact: true }), 'Harbour store, 12 m')
  await choose(page.getByLabel('Set-up', { exact: true }), setup)
  await choose(page.getByLabel('Fuel', { exact: true }), fuel)
  await type(page, { Air: '18 °C', Wind: 'calm' })
}

interface Logged {
  method: string
  setup?: string
  fuel?: string
  boxes: Record<string, string>
  more?: (page: Page) => Promise<unknown>
  says: [selector: string, words: RegExp]
}
const BOIL = { Water: '473 g', 'Start temperature': '19 °C', 'Fuel used': '9.1 g', 'Scale reads to': '0.1 g' }
const share = (page: Page) => page.getByLabel(/take fuel to the boil as its share/).check()
const other = (name: string, words: RegExp): [string, RegExp] => [
  `section[aria-label="Other figures"]:has-text("${name}")`,
  words,
]
const G_PER_L: [string, RegExp] = ['[data-figure=gPerL]', /\d\s±\s\d/]
const cooling = Array.from(
  { length: 90 },
  (_, i) => `${i * 15},${(18 + 76 * Math.exp(-0.00021 * i * 15)).toFixed(2)}`,
).join('\n')

/** One of each, as its tester would type it. */
const KINDS: Logged[] = [
  { method: 'Boil', boxes: { ...BOIL, Boil: '3:40' }, says: G_PER_L },
  {
    method: 'Boil, then burn out',
    setup: 'Lahar in the cone',
    fuel: 'Methanol',
    boxes: {
      Water: '473 g',
      'Start temperature': '19 °C',
      Load: '24.2 g',
      'Scale reads to': '0.1 g',
      'Pot on': '0:50',
      Boil: '6:50',
      'Flame out': '12:30',
    },
    more: share,
    says: other('Boils per load', /Boils per load\s*1\.8/),
  },
  {
    method: 'Burn-off, no pot',
    setup: 'Lahar alone',
    fuel: 'Methanol',
    boxes: { Load: '30 mL', 'Scale reads to': '0.1 g', 'Flame out': '10:00' },
    says: other('Burn rate by volume', /3\.00\s*mL\/min/),
  },
  {
    method: 'Simmer',
    setup: 'Lahar in the cone',
    fuel: 'Ethanol',
    boxes: { Water: '473 g', Load: '24 g', 'Scale reads to': '0.1 g', 'Flame out': '57:00' },
    more: (page) => choose(page.getByLabel('Flame', { exact: true }), 'low'),
    says: other('Heat that holds the boil', /\d+\s*W/),
  },
  {
    method: 'Heating for a fixed time',
    boxes: { ...BOIL, 'Last temperature': '61 °C', 'Fuel used': '4.5 g', 'Shut off': '2:00' },
    says: other('Power into the water', /7\d\d\s*W/),
  },
  {
    method: 'Warm-up',
    setup: 'Lahar in the cone',
    fuel: 'Methanol',
    boxes: { 'Full flame': '1:12' },
    says: other('Warm-up', /72\s*s/),
  },
  {
    method: 'Flame-setting series',
    boxes: { ...BOIL, Boil: '5:55' },
    more: (page) => choose(page.getByLabel('Flame', { exact: true }), 'low'),
    says: ['main header', /low flame/],
  },
  {
    method: 'Wind series',
    boxes: { ...BOIL, Wind: '1.8 m/s', Boil: '5:05', 'Fuel used': '13.8 g' },
    says: ['[data-rung=wind]', /own series/],
  },
  {
    method: 'Cold series',
    boxes: {
      ...BOIL,
      Air: '−9 °C',
      'Start temperature': '4 °C',
      'Hardware when lit': '−9 °C',
      'Pot on': '0:10',
      Boil: '4:50',
    },
    says: ['[data-figure=time]', /^4:50$/],
  },
  { method: 'Paired comparison', boxes: { ...BOIL, Boil: '3:42' }, says: G_PER_L },
  {
    method: 'Fed with tablets or sticks',
    setup: 'Lapilli with wrap',
    fuel: 'Hexamine',
    boxes: {
      Water: '473 g',
      'Start temperature': '15 °C',
      Load: '14.2 g',
      'Left over': '9.1 g',
      'Scale reads to': '0.1 g',
      Boil: '9:40',
    },
    more: async (page) => {
      await page.getByRole('button', { name: 'Add a piece fed' }).click()
      await page.getByLabel('At', { exact: true }).fill('7:30')
      await page.getByLabel('Its mass').fill('14.0 g')
    },
    says: other('Fuel to the boil', /Fuel to the boil\s*19\.1/),
  },
  {
    method: 'Batch of wood',
    setup: 'Breccia with Bomb',
    fuel: 'Heather',
    boxes: {
      Water: '473 g',
      'Start temperature': '17 °C',
      Load: '150 g',
      'Moisture of the wood': '14 %',
      'Scale reads to': '1 g',
      Boil: '5:10',
      'Flame out': '16:00',
    },
    more: share,
    says: other('As dry wood', /As dry wood\s*12\d/),
  },
  {
    method: 'Snow melt',
    boxes: {
      Water: '100 g',
      Snow: '390 g',
      'Start temperature': '2 °C',
      Air: '−8 °C',
      'Fuel used': '17.5 g',
      'Scale reads to': '0.1 g',
      Boil: '6:40',
    },
    says: other('Heat to melt the snow', /13\d\s*kJ/),
  },
  {
    method: 'Claim check',
    setup: 'Maar as issued',
    boxes: {
      Water: '500 g',
      'Start temperature': '15 °C',
      'Fuel used': '6.6 g',
      'Scale reads to': '0.1 g',
      Boil: '2:50',
      'Claimed: fuel': '5.0 g',
      'Claimed: for water': '500 mL',
      'Claimed: from': '15 °C',
    },
    says: ['[data-claim]', /^Missed\. Missed: claimed 10\.0 g\/L/],
  },
  {
    method: 'Cool-down',
    boxes: { Water: '473 g', 'Shut off': '0:00' },
    more: async (page) => {
      await page.getByLabel('or its rows, pasted').fill(`s,C\n${cooling}`)
      await page.getByLabel('or its rows, pasted').blur()
      await page.getByRole('button', { name: 'Take this trace' }).click()
    },
    says: other('Heat loss, by cooling', /0\.4\d.*W\/K/s),
  },
  {
    method: '20 → 90 °C',
    boxes: { ...BOIL, 'Start temperature': '20 °C', 'Fuel used': '8.0 g', 'Target reached': '3:02' },
    says: ['[data-figure=time]', /^3:02$/],
  },
]

for (const {
  method,
  setup,
  fuel,
  boxes,
  more,
  says: [selector, words],
} of KINDS) {
  test(`logged by its method: ${method}`, async ({ page }) => {
    await openEmpty(page, `/runs/new?method=${await methodId(page, method)}`)
    await basics(page, setup, fuel)
    await type(page, boxes)
    await more?.(page)
    await expect(page.locator('[data-wanted]')).toHaveText('Everything its method asks for is there.')
    await page.getByRole('button', { name: 'Save and see the figure' }).click()
    await expect(page.getByRole('region', { name: 'By its method' })).toContainText(method)
    await expect(page.locator('[data-lacking]')).toHaveCount(0)
    await expect(page.locator(selector)).toHaveText(words)
  })
}

test('what the method does not ask for is one click away, and what it wants and a run lacks is listed and can be added', async ({
  page,
}) => {
  await openEmpty(page, `/runs/new?method=${await methodId(page, 'Boil')}`)
  await basics(page)
  await expect(page.getByLabel('Humidity', { exact: true })).toBeHidden()
  await page.locator('[data-rest] summary').click()
  await type(page, { ...BOIL, Humidity: '70 %', Boil: '3:41', Wind: '' })
  await expect(page.locator('[data-wanted]')).toContainText('wants: wind')
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.locator('[data-lacking]')).toContainText('wind')
  await expect(page.locator('[data-reading=humidity]')).toHaveText('70 %')
  await page.getByRole('button', { name: 'Add wind, which the method wants' }).click()
  await page.getByRole('dialog').getByLabel('Wind').fill('calm')
  await page.getByRole('dialog').getByLabel('Reason').fill('the flag hung still')
  await page.getByRole('button', { name: 'Keep both, use this' }).click()
  await expect(page.locator('[data-lacking]')).toHaveCount(0)
})

test('a burner with a fuel that is not its own is explained, takes a reason, and goes on', async ({ page }) => {
  await openEmpty(page)
  await basics(page, 'Lahar in the cone', 'White gas')
  await type(page, { ...BOIL, Boil: '5:00' })
  await expect(page.locator('[data-mismatch]')).toContainText('do not belong together')
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.locator('[data-mismatch]')).toContainText('do not belong together')
  await expect(page).toHaveURL(/runs\/new/)
  await page.getByLabel('Why it goes on all the same').fill('a burner made for both')
  await page.getByRole('button', { name: 'Save and see the figure' }).click()
  await expect(page.getByRole('region', { name: 'Decisions' })).toContainText('a burner made for both')
})
