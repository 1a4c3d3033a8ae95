import { say } from './words'
import { expect, type Page } from '@playwright/test'

/** Fields a new wheel set needs, as a person types them. */
export const newSet = {
  vehicle: 'Torvane Lark',
  set: 'Summer set',
  tyreCode: '225/45 R17 91W',
  rimWidth: '7.5',
  spokes: '9',
}

/** Opens what lies one look deeper on the plan, unless it is open. */
export async function openDeeper(page: Page, title: string): Promise<void> {
  const part = page
    .locator('.deeper')
    .filter({ has: page.locator('> summary > .deeper-title', { hasText: title }) })
    .last()
  if (!(await part.evaluate((one) => (one as HTMLDetailsElement).open)))
    await part.locator('> summary').click()
}

/**
 * Plans a visit of the first set of a vehicle after many kilometres. One that another test has just cleaned is no good: where
 * something still cures the plan has no steps.
 */
export async function planVisit(page: Page, vehicle: string): Promise<void> {
  await page.goto(`/wheels?q=${encodeURIComponent(vehicle)}`)
  await page.locator('.set-row').first().click()
  await page.getByRole('link', { name: say('today.planJob') }).click()
  await page.getByLabel(say('intake.kilometres')).fill('900')
  await page.getByLabel(say('intake.airCelsius')).fill('18')
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await expect(page.getByRole('link', { name: say('plan.head.start') })).toBeVisible()
}

/** Plans such a visit and opens it in the bay; gives its address there. */
export async function openRun(page: Page, vehicle: string): Promise<string> {
  await planVisit(page, vehicle)
  await page.getByRole('link', { name: say('plan.head.start') }).click()
  await expect(page.locator('.run')).toBeVisible()
  return new URL(page.url()).pathname
}

/** Taps the big button once and waits until it has counted. */
export async function tapOnce(page: Page): Promise<void> {
  // Before the page lives a tap is lost.
  await expect(page.locator('.run[data-live=true]')).toBeVisible()
  const before = await page.locator('.run').getAttribute('data-settled')
  await page.locator('.run-acts [data-best]').click()
  await expect(page.locator(`.run[data-settled="${before}"]`)).toHaveCount(0)
}

/** Works the run to its end: one tap after the other, answering every question with the best there is. */
export async function workThrough(page: Page, tap: () => Promise<void>): Promise<number> {
  let taps = 0
  const finish = page.getByRole('heading', { name: say('bay.finish.title') })
  await expect(page.locator('.run[data-live=true]')).toBeVisible()
  for (;;) {
    if (await finish.isVisible()) return taps
    const before = await page.locator('.run').getAttribute('data-settled')
    await tap()
    taps += 1
    await expect(page.locator(`.run[data-settled="${before}"]`)).toHaveCount(0)
    expect(taps).toBeLessThan(200)
  }
}
