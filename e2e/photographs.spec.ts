import { say } from './words'
import { cpSync, rmSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { openRun } from './jobActions'
import { expect, newFolder, startServer, test } from './server'

/** A picture as a phone takes one. */
const picture = async (background: string) => ({
  name: 'wheel.jpg',
  mimeType: 'image/jpeg',
  buffer: await sharp({ create: { width: 2400, height: 1800, channels: 3, background } })
    .jpeg()
    .toBuffer(),
})
const chooser = (page: Page, label: string | RegExp) => page.getByLabel(label, { exact: true })
const shown = (page: Page) => page.locator('.photographs li')

/** A wheel set of the demo nobody has photographed; gives its address. */
async function openSet(page: Page, vehicle: string): Promise<string> {
  await page.goto(`/wheels?q=${encodeURIComponent(vehicle)}`)
  await page.locator('.set-row').first().click()
  await expect(page.getByRole('heading', { name: say('photos.title') })).toBeVisible()
  return new URL(page.url()).pathname
}

test('a photograph taken at a set is drawn for the screen, opened, and thrown away for good', async ({
  page,
}) => {
  const set = await openSet(page, 'Tusker Ridge')
  const before = await shown(page).count()
  await chooser(page, say('photos.add')).setInputFiles([await picture('#345'), await picture('#a51')])
  await expect(page.getByText(say('photos.taken.stored'))).toBeVisible()
  // The page hears of it by itself.
  await expect(shown(page)).toHaveCount(before + 2)
  const small = shown(page).first().locator('img')
  await expect.poll(() => small.evaluate((one) => (one as HTMLImageElement).naturalWidth)).toBe(320)
  await shown(page).first().getByRole('link').click()
  const whole = page.locator('img.photograph')
  await expect.poll(() => whole.evaluate((one) => (one as HTMLImageElement).naturalWidth)).toBe(1280)
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations).toEqual([])
  const address = await whole.getAttribute('src')
  await page.getByRole('button', { name: say('photos.delete') }).click()
  await page.waitForURL(`**${set}/photographs`)
  await expect(shown(page)).toHaveCount(before + 1)
  expect((await page.request.get(address ?? '')).status()).toBe(404)
})

test('a file that is no picture is refused in words, and nothing waits', async ({ page }) => {
  await openSet(page, 'Tusker Ridge')
  const before = await shown(page).count()
  await chooser(page, say('photos.add')).setInputFiles({
    name: 'wheel.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('not a picture'),
  })
  await expect(page.getByText(say('photos.taken.unreadable'))).toBeVisible()
  await expect(page.locator('.device-taps')).toHaveCount(0)
  expect(await shown(page).count()).toBe(before)
})

test('in the bay a photograph is of the wheel in hand', async ({ page }) => {
  await openRun(page, 'Tusker Ridge')
  await page.getByLabel(/photograph (the set|this wheel)/).setInputFiles(await picture('#222'))
  await expect(page.getByText(say('photos.taken.stored'))).toBeVisible()
})

test('photographs and looks of a phone without any network wait on it through a restart, and arrive in order, once', async ({
  browser,
}) => {
  test.setTimeout(120_000)
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  const server = await startServer(folder)
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    baseURL: server.address,
  })
  const page = await context.newPage()
  await page.goto('/due')
  await page.goto('/wheels?q=Aldery')
  await page.locator('.set-row').first().tap()
  await page.getByRole('link', { name: say('wheels.actions.check') }).tap()
  await expect(page.locator('[data-kept-offline=true]')).toHaveCount(1)
  const lookPage = page.url()
  const set = new URL(lookPage).pathname.replace('/look', '')
  const looksBefore = await looksOf(page, set)

  await server.stop()
  await page.reload()
  await page.locator('.look-grade').nth(2).tap()
  await expect(page.getByText('Saved on this device.', { exact: true })).toBeVisible()
  await chooser(page, say('photos.photo')).setInputFiles(await picture('#135'))
  await expect(page.getByText(say('photos.taken.later'))).toBeVisible()
  await expect(page.getByText('Saved on this device: 1 protection check and 1 photo')).toBeVisible()
  // The phone runs out, and is started again: still without the program.
  await page.close()
  const later = await context.newPage()
  await later.goto(lookPage)
  await expect(later.getByText('Saved on this device: 1 protection check and 1 photo')).toBeVisible()

  const again = await startServer(folder, false, { EVEN_SPOKE_PORT: new URL(server.address).port, EVEN_SPOKE_ADDRESS: server.address }) // prettier-ignore
  await expect(later.locator('.device-taps')).toHaveCount(0, { timeout: 30_000 })
  await later.goto(`${set}/photographs`)
  await expect(shown(later)).toHaveCount(1)
  expect(await looksOf(later, set)).toBe(looksBefore + 1)
  await later.reload()
  await expect(shown(later)).toHaveCount(1)
  await context.close()
  await again.stop()
  rmSync(folder, { recursive: true, force: true })
})

/** How many looks a set's page of protection shows. */
async function looksOf(page: Page, set: string): Promise<number> {
  const protection = await page.context().newPage()
  await protection.goto(`${set}/protection?checks=all`)
  const looks = protection.getByRole('region', { name: say('protection.checks.title') }).locator('li')
  await expect(protection.getByRole('heading', { name: say('protection.checks.title') })).toBeVisible()
  const count = await looks.count()
  await protection.close()
  return count
}

test('what is refused stays on the device until a person decides', async ({ page }) => {
  await openSet(page, 'Tusker Ridge')
  await page.getByRole('link', { name: say('wheels.actions.check') }).click()
  await page.route('**/api/wheels/*/looks', (route) =>
    route.fulfill({
      status: 409,
      json: { problems: [{ path: 'positions', found: 'x', fix: 'No protection is on record there.' }] },
    }),
  )
  await page.locator('.look-grade').first().click()
  await expect(page.getByRole('alert').filter({ hasText: 'Not accepted: a protection check' })).toBeVisible()
  await page.goto('/due')
  await expect(page.getByRole('button', { name: say('outbox.sendAgain') })).toBeVisible()
  await page.getByRole('button', { name: say('outbox.delete') }).click()
  await expect(page.locator('.device-taps')).toHaveCount(0)
})

test('old photographs are counted first, then thrown away', async ({ page }) => {
  await openSet(page, 'Tusker Ridge')
  await chooser(page, say('photos.add')).setInputFiles(await picture('#777'))
  await expect(page.getByText(say('photos.taken.stored'))).toBeVisible()
  await page.goto('/settings/backups')
  const day = page.getByLabel(say('photos.room.before'))
  const ask = page.getByRole('button', { name: say('photos.room.count') })
  await day.fill('1999-05-01')
  await ask.click()
  await expect(page.getByText(say('photos.room.none'), { exact: true })).toBeVisible()
  await day.fill('2999-05-01')
  await ask.click()
  await page.getByRole('button', { name: /^Delete \d+ photos? for good$/ }).click()
  await expect(page.getByText('Photos use 0 MB of 400 MB')).toBeVisible()
  await expect(day).toHaveCount(0)
})

test('a gloss reading that is none is refused before anything is kept', async ({ page }) => {
  await openSet(page, 'Tusker Ridge')
  await page.getByRole('link', { name: say('wheels.actions.check') }).click()
  await page.getByText(say('protection.check.more')).click()
  await page.getByLabel(say('protection.check.gloss')).fill('shiny')
  await page.locator('.look-grade').first().click()
  await expect(page.getByRole('alert').filter({ hasText: 'number' })).toBeVisible()
  await expect(page.locator('.look-effects')).toHaveCount(0)
  await page.getByLabel(say('protection.check.gloss')).fill('81,5')
  await page.locator('.look-grade').first().click()
  await expect(page.locator('.look-effects')).toBeVisible()
})
