import { say } from './words'
import { workThrough } from './jobActions'
import { expect, test } from './server'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

test('a known set is planned in three taps and worked at phone width', async ({ page }) => {
  await page.goto('/wheels')
  let taps = 0
  const tap = async (locator: ReturnType<typeof page.locator>) => {
    await locator.tap()
    taps += 1
  }
  await tap(page.locator('.set-row').filter({ hasText: 'Mossen Volta' }))
  await tap(page.getByRole('link', { name: say('today.planJob') }))
  await tap(page.getByRole('button', { name: say('intake.plan') }))
  await expect(page.locator('.plan-answer')).toBeVisible()
  expect(taps).toBe(3)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)

  await page.getByRole('link', { name: say('plan.head.start') }).tap()
  const done = page.locator('.run-acts [data-best]')
  const box = await done.boundingBox()
  expect(box?.height).toBeGreaterThanOrEqual(64)
  // The one button is in reach without scrolling.
  expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(844)
  await workThrough(page, () => done.tap())
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.getByRole('button', { name: say('bay.finish.save') }).tap()
  await expect(page.locator('.log-row').first()).toContainText('Mossen Volta')
})
