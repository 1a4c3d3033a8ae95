import { say } from './words'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { expect } from './server'

export const phone = {
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  isMobile: true,
  ignoreHTTPSErrors: true,
}

/** A code of the desk for one device. */
export async function codeFor(desk: Page, role: 'Bay' | 'Owner'): Promise<string> {
  await desk.goto('/settings/phones')
  // Before the page lives a click is lost; a second one only makes another code.
  await expect(async () => {
    await desk.getByRole('button', { name: new RegExp(`^${role}`) }).click()
    await expect(desk.locator('.pair-spoken')).toBeVisible({ timeout: 3000 })
  }).toPass()
  return (await desk.locator('.pair-spoken').textContent()) ?? ''
}

/** A phone of its own that was let in. */
export async function paired(
  browser: Browser,
  networkAddress: string,
  desk: Page,
  role: 'Bay' | 'Owner',
): Promise<BrowserContext> {
  const code = await codeFor(desk, role)
  const context = await browser.newContext({ ...phone, baseURL: networkAddress })
  const page = await context.newPage()
  await page.goto(`/pair#${code.replace(' ', '')}`)
  await page.getByLabel(say('access.pair.name')).fill(`${role} phone`)
  await page.getByRole('button', { name: say('access.pair.pair') }).click()
  await page.waitForURL(`${networkAddress}/`)
  return context
}
