import { say } from './words'
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { firstJob, firstSet, places, placesOf } from './places'
import { expect, test } from './server'

async function seriousFaults(page: Page, path: string): Promise<string[]> {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto(path)
  const found: string[] = []
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
    const axe = new AxeBuilder({ page })
    // The other theme is the same page in other colours.
    if (colorScheme === 'dark') axe.withRules(['color-contrast'])
    const { violations } = await axe.analyze()
    for (const { id, impact, nodes } of violations)
      if (impact === 'serious' || impact === 'critical')
        found.push(`${path} ${colorScheme} ${id}: ${nodes[0]?.html}`)
  }
  return found
}

for (const path of places)
  test(`axe finds nothing serious at ${path}`, async ({ page }) => {
    expect(await seriousFaults(page, path)).toEqual([])
  })

for (const place of placesOf.set)
  test(`axe finds nothing serious at a wheel set${place}`, async ({ page }) => {
    const set = await firstSet(page)
    expect(await seriousFaults(page, `${set}${place}`)).toEqual([])
  })

for (const place of placesOf.job)
  test(`axe finds nothing serious at a job${place}`, async ({ page }) => {
    const job = await firstJob(page)
    expect(await seriousFaults(page, `${job}${place}`)).toEqual([])
  })

test('the choice between light and dark is remembered', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: say('frame.theme') }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
})
