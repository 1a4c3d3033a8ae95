import AxeBuilder from '@axe-core/playwright'
import { expect, test } from './server'

const places = [
  '/',
  '/wheels',
  '/wheels/new',
  '/due',
  '/due/lasting',
  '/due/calendar',
  '/due/water',
  '/log',
  '/cabinet',
  '/cabinet/new',
  '/cabinet/grindle-cut',
  '/cabinet/import',
  '/cabinet/tools',
  '/cabinet/tools/new',
  '/bench',
  '/rules',
  '/settings',
  '/settings/phones',
  '/settings/backups',
  '/pair',
  '/more',
]

test('axe finds nothing serious on any place, light and dark', async ({ page }) => {
  test.setTimeout(360_000)
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto('/')
  const job = await page.locator('.job-row h3 a').first().getAttribute('href')
  await page.goto('/wheels')
  const set = await page.locator('.set-row').first().getAttribute('href')
  const all = [
    ...places,
    `${set}`,
    `${set}/edit`,
    `${set}/intake`,
    `${set}/look`,
    `${set}/change`,
    `${set}/protection`,
    `${set}/care`,
    `${job}`,
    `${job}/run`,
    `${job}/sheet`,
  ]
  for (const path of all) {
    await page.goto(path)
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
      const axe = new AxeBuilder({ page })
      // The other theme is the same page in other colours.
      if (colorScheme === 'dark') axe.withRules(['color-contrast'])
      const { violations } = await axe.analyze()
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
      expect(serious.map(({ id, nodes }) => `${path} ${colorScheme} ${id}: ${nodes[0]?.html}`)).toEqual([])
    }
  }
})

test('the choice between light and dark is remembered', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Switch between light and dark' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
})
