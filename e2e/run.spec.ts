import { like, say } from './words'
import type { Page } from '@playwright/test'
import { openRun, tapOnce } from './jobActions'
import { expect, test, testTime } from './server'

const secondsOf = (text: string | null): number => {
  const [, minutes = '0', seconds = '0'] = /(\d+):(\d+)/.exec(text ?? '') ?? []
  return Number(minutes) * 60 + Number(seconds)
}

const runningClock = (page: Page) =>
  page
    .locator('.run-clock .clock-time')
    .filter({ hasText: /\d:\d\d/ })
    .first()

async function workToFirstSpray(page: Page): Promise<void> {
  const button = page.locator('.run-acts [data-best]')
  for (let taps = 0; taps < 10; taps += 1) {
    const sprays = (await button.textContent()) === 'Sprayed'
    await tapOnce(page)
    if (sprays) return
  }
  throw new Error('nothing was sprayed')
}

test('a reload in mid-dwell keeps the clock right to the second', async ({ page }) => {
  await openRun(page, 'Tusker Ridge')
  await workToFirstSpray(page)
  // Whichever wheel comes first in the order.
  const clock = runningClock(page)
  await expect(clock).toBeVisible()
  await expect(page.locator('.run-state [role=status]')).toHaveText(/^Step/)
  // What it shows and when, both read at one moment in the page.
  const shown = async () => {
    const { text, at } = await clock.evaluate((tile) => ({ text: tile.textContent, at: Date.now() }))
    return { left: secondsOf(text), at }
  }
  const before = await shown()
  // Three seconds on, so that one begun anew by the reload would show.
  await expect.poll(async () => (await shown()).left).toBeLessThanOrEqual(before.left - 3)
  await page.reload()
  await expect(page.locator('.run')).toBeVisible()
  // Whole seconds on both sides, and a tick; begun anew it stays off by three however long one looks.
  await expect(async () => {
    const after = await shown()
    const passed = (after.at - before.at) / 1000
    expect(Math.abs(before.left - after.left - passed)).toBeLessThan(1.5)
  }).toPass({ timeout: 5000 })
})

test('the clock is right on a device whose own clock is half an hour off', async ({
  browser,
  server,
  page,
}) => {
  await openRun(page, 'Tusker Ridge')
  await workToFirstSpray(page)
  const right = runningClock(page)
  await expect(page.locator('.run-state [role=status]')).toHaveText(/^Step/)
  const other = await (await browser.newContext({ baseURL: server.address })).newPage()
  await other.clock.install({ time: new Date(testTime().getTime() + 30 * 60_000) })
  await other.goto(new URL(page.url()).pathname)
  await other.clock.runFor(1500)
  await expect(async () => {
    const [here, there] = [
      secondsOf(await right.textContent()),
      secondsOf(await runningClock(other).textContent()),
    ]
    expect(Math.abs(here - there)).toBeLessThanOrEqual(3)
  }).toPass()
  await other.context().close()
})

test('undo takes the last tap back, and a skipped step stays skipped after a reload', async ({ page }) => {
  await openRun(page, 'Pellam Four')
  const title = page.locator('.run-now h1')
  const line = (name: string) => page.locator('.run-line b', { hasText: name })
  await expect(title).toHaveText('Before you start')
  // A line of the card can be ticked alone.
  await page.getByRole('button', { name: 'Done: Check every wheel' }).click()
  await expect(line('Check every wheel')).toHaveCount(0)
  await page.getByRole('button', { name: like('bay.acts.undoStep') }).click()
  await expect(line('Check every wheel')).toBeVisible()
  // The big button ends the card, and undo takes all of it back.
  await tapOnce(page)
  await expect(title).not.toHaveText('Before you start')
  await page.getByRole('button', { name: like('bay.acts.undoStep') }).click()
  await expect(title).toHaveText('Before you start')
  await page.getByRole('button', { name: /^Skip/ }).click()
  await expect(title).not.toHaveText('Before you start')
  await expect(page.locator('.run-state [role=status]')).toHaveText(/^Step 4/)
  await page.reload()
  await expect(title).not.toHaveText('Before you start')
})

test('a tap without connection is kept and sent when the connection is back', async ({ page, context }) => {
  await openRun(page, 'Ferrow Twelve')
  await context.setOffline(true)
  await page.locator('.run-acts [data-best]').click()
  await expect(page.locator('.run-state [role=status]')).toContainText('saved on this device')
  await expect(page.locator('.run-now h1')).not.toHaveText('Before you start')
  await context.setOffline(false)
  await expect(page.locator('.run-state [role=status]')).toHaveText(/^Step 4/)
  await page.reload()
  await expect(page.locator('.run-now h1')).not.toHaveText('Before you start')
})

test('a job cannot end while chemistry is on a wheel', async ({ page }) => {
  await openRun(page, 'Corvane Meridian')
  await workToFirstSpray(page)
  await page.getByRole('button', { name: say('bay.acts.end') }).click()
  await page.getByRole('button', { name: say('bay.finish.save') }).click()
  await expect(page.getByText(say('problems.job.stillWet'))).toBeVisible()
})

test('where nothing is to be done no start is offered, and the bay leads back to the plan', async ({
  page,
}) => {
  await page.goto('/wheels?q=Ferrow')
  const href = (await page.locator('.set-row').first().getAttribute('href')) ?? ''
  await page.goto(`${href}/protection`)
  const form = page.getByRole('region', { name: say('protection.layer.title') })
  await form.getByLabel(say('cabinet.tool.kind')).selectOption('ceramicCoating')
  await form.getByLabel(say('mixing.product')).fill('Fresh Glass')
  await form.getByRole('button', { name: say('protection.layer.save') }).click()
  await expect(page.getByRole('heading', { name: /^Fresh Glass/ }).first()).toBeVisible()
  await page.goto(`${href}/intake`)
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await expect(page.getByRole('heading', { name: /^Nothing to do today/ })).toBeVisible()
  await expect(page.getByRole('link', { name: say('plan.head.start') })).toHaveCount(0)
  const plan = page.url()
  await page.goto(`${plan}/run`)
  await expect(page).toHaveURL(plan)
  await page.getByRole('link', { name: say('plan.head.toSet') }).click()
  await expect(page.getByRole('heading', { name: /^Ferrow Twelve/ })).toBeVisible()
})
