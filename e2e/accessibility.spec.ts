import AxeBuilder from '@axe-core/playwright'
import { expect, test } from './server'

for (const colorScheme of ['light', 'dark'] as const) {
  test(`axe finds nothing serious on any place, ${colorScheme}`, async ({ browser, server }) => {
    test.setTimeout(180_000)
    const context = await browser.newContext({
      baseURL: server.address,
      colorScheme,
      reducedMotion: 'reduce',
    })
    const page = await context.newPage()
    await page.goto('/')
    const job = await page.locator('.job-row h3 a').first().getAttribute('href')
    await page.goto('/wheels')
    const set = await page.locator('.set-row').first().getAttribute('href')
    const paths = [
      '/',
      '/wheels',
      '/wheels/new',
      `${set}`,
      `${set}/edit`,
      `${set}/intake`,
      `${job}`,
      `${job}/run`,
      '/due',
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
      '/more',
    ]
    for (const path of paths) {
      await page.goto(path)
      const { violations } = await new AxeBuilder({ page }).analyze()
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
      expect(serious.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]?.html}`)).toEqual([])
    }
    await context.close()
  })
}

test('the choice between light and dark is remembered', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Switch between light and dark' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
})
