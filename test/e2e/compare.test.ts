/** Runs held against each other, as a tester logs and picks them. */
import { choose, expect, test } from './page'
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
