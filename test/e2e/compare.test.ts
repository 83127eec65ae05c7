/** Runs held against each other, as a tester logs and picks them. */
import { choose, expect, test } from './page'
import { barriers } from './sight'
import { openEmpty } from './typing'

test('three runs and three on a scale of whole grams are told to show nothing', async ({ page }) => {
  const ids: string[] = []
  for (const [setup, after] of [
    ['Ignimbrite, plain pot', '200 g'],
    ['Fumarole with narrow pot', '199 g'],
  ] as const)
    for (let i = 0; i < 3; i++) {
      await openEmpty(page)
      const type = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text)
      await type('Altitude', '210 m')
      await type('Air', '18 °C')
      await type('Wind', 'calm')
      await choose(page.getByLabel('Who', { exact: true }), 'Odra Vell')
      await choose(page.getByLabel('Set-up', { exact: true }), setup)
      await type('Water', '500 g')
      await type('Start temperature', '15 °C')
      await choose(page.getByLabel('Fuel', { exact: true }), 'Isobutane')
      await type('Fuel before', '210 g')
      await type('Fuel after', after)
      await type('Scale reads to', '1 g')
      await type('Boil', '4:30')
      await page.getByRole('button', { name: 'Save and see the figure' }).click()
      await expect(page.locator('[data-figure=normalisedGPerL]')).toBeVisible()
      ids.push(page.url().split('/').at(-1)!)
    }
  await page.goto(`/runs/compare?runs=${ids.join(',')}`)
  const compared = page.getByRole('region', { name: 'Set-ups' })
  await expect(compared.getByRole('row')).toHaveCount(3)
  await expect(compared).toContainText(
    /No difference shown: [\d.]+ % less to [\d.]+ % more fits\. To see 5 %: \d+ runs each/,
  )
  await expect(compared).not.toContainText(/used \S+ % (more|less) fuel/)
  // What else changed between the two is said before.
  await expect(page.getByRole('region', { name: 'Like with like' })).toContainText(/differ in burner/)
  await expect(page.getByText('Left out')).toHaveCount(0)
})

test('from what the runs can answer to a difference, its runs counted out and in, and on to a ranking', async ({
  page,
}) => {
  await page.goto('/compare')
  const shown = page.getByRole('region', { name: 'Shown' })
  await expect(shown.locator('[data-question=part]').first()).toBeVisible()
  const fins = shown.getByRole('listitem').filter({ hasText: 'Does Spatter 1000 F save fuel on Solfatara?' })
  await expect(fins).toContainText(/2[5-9] % less; \d\d to \d\d % fits/)
  const difference = fins.getByRole('img')
  await expect(difference).toHaveAccessibleName(/% less/)
  await fins.getByRole('link').click()
  const answer = page.locator('[data-answer]')
  await expect(answer).toHaveText(/^\d\d % less; \d\d to \d\d % fits\.$/)
  const whole = await answer.innerText()
  await expect(page.getByRole('complementary', { name: 'What it rests on' })).toContainText(
    /Without any one run: \d\d to \d\d % less\.\s+Welch’s test on logarithms/,
  )
  // By the keyboard: the first run's tick is taken off and put back; the address holds it.
  const tick = page.getByRole('region', { name: 'Runs' }).getByRole('checkbox').first()
  await tick.focus()
  await page.keyboard.press('Space')
  await expect(page).toHaveURL(/out=/)
  await expect(page.getByText('1 left out by hand.')).toBeVisible()
  await page.reload()
  await expect(page.getByText('1 left out by hand.')).toBeVisible()
  await page.getByRole('button', { name: 'Count all again' }).press('Enter')
  await expect(page).not.toHaveURL(/out=/)
  await expect(answer).toHaveText(whole)
  // With no network the answer stands, and so do the ticks.
  await page.context().setOffline(true)
  await tick.press('Space')
  await expect(page.getByRole('alert')).toContainText('Vulcanum does not answer. What stands here is from before')
  await expect(answer).toHaveText(whole)
  await page.context().setOffline(false)
  await tick.press('Space')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(answer).toHaveText(whole)
  expect(await barriers(page, 'day')).toEqual([])

  await page.getByRole('link', { name: 'Compare', exact: true }).last().click()
  await page
    .getByRole('link', { name: /^Which set-up boils/ })
    .first()
    .click()
  const ranking = page.getByRole('region', { name: 'Ranking' })
  await expect(ranking.locator('[data-place]').first()).toHaveAttribute('data-place', /^1/)
  await expect(ranking.getByRole('img').first()).toHaveAccessibleName(/g a boil$/)
  expect(await barriers(page, 'day')).toEqual([])
})
