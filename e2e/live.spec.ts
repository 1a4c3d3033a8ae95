import { say } from './words'
import { cpSync, rmSync } from 'node:fs'
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { openRun, tapOnce } from './jobActions'
import { logEntriesOf } from './logEntries'
import { expect, newFolder, startServer, test } from './server'

/** A picture as a phone would send it. */
async function smallPicture(): Promise<string> {
  const jpeg = await sharp({ create: { width: 8, height: 6, channels: 3, background: '#555' } })
    .jpeg()
    .toBuffer()
  return jpeg.toString('base64')
}

const stepOf = async (page: Page) => (await page.locator('.run-state [role=status]').textContent()) ?? ''

/** Waits until a device stands at the step that the other stands at. */
async function follows(page: Page, other: Page, timeout: number): Promise<void> {
  await expect(other.locator('.run-state [role=status]')).toHaveText(/^Step/)
  const wanted = await stepOf(other)
  await expect.poll(async () => stepOf(page), { timeout }).toBe(wanted)
}

test('a tap on one device shows on the other at once, and what was missed comes after', async ({
  page,
  browser,
  server,
}) => {
  const run = await openRun(page, 'Tusker Ridge')
  const context = await browser.newContext({ baseURL: server.address })
  const other = await context.newPage()
  await other.goto(run)
  await expect(other.locator('.run')).toBeVisible()
  const before = await stepOf(other)
  await tapOnce(page)
  await expect.poll(async () => stepOf(other), { timeout: 3000 }).not.toBe(before)
  await follows(other, page, 3000)
  await context.setOffline(true)
  await tapOnce(page)
  await tapOnce(page)
  await context.setOffline(false)
  await follows(other, page, 10_000)
  await context.close()
})

test('where no stream comes through the devices look again by themselves', async ({
  page,
  browser,
  server,
}) => {
  const run = await openRun(page, 'Orlen Tessaly')
  const context = await browser.newContext({ baseURL: server.address })
  await context.route('**/api/live**', (route) => route.abort())
  const other = await context.newPage()
  await other.goto(run)
  await expect(other.locator('.run')).toBeVisible()
  await tapOnce(page)
  await follows(other, page, 10_000)
  await context.close()
})

test('what is bought at the desk stands in a cabinet that is open elsewhere', async ({
  page,
  browser,
  server,
}) => {
  await page.goto('/cabinet')
  const row = page.locator('.product-row').filter({ hasText: 'Hub Wax' })
  await expect(row).toBeVisible()
  const other = await (await browser.newContext({ baseURL: server.address })).newPage()
  await other.goto('/cabinet/hub-wax')
  await other.getByLabel(say('cabinet.stock.what')).selectOption('counted')
  await other.getByLabel(say('cabinet.stock.kinds.counted.amount')).fill('777')
  await other.getByRole('button', { name: say('cabinet.stock.save') }).click()
  await expect(row).toContainText('777 ml')
  await other.context().close()
})

test('a stop ends the streams and does not wait for them', async ({ browser }) => {
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  const own = await startServer(folder)
  const page = await browser.newPage({ baseURL: own.address })
  const opened = page.waitForResponse((answer) => answer.url().includes('/api/live'))
  await page.goto('/')
  await opened
  await own.stop()
  const stops = logEntriesOf(folder).filter(({ msg }) => msg === 'stopped listening')
  expect(stops).toEqual([expect.objectContaining({ running: 0 })])
  await page.close()
  rmSync(folder, { recursive: true, force: true })
})

test('what changes before a page listens is not missed', async ({ page, request }) => {
  let listen = (): void => undefined
  const held = new Promise<void>((resolve) => (listen = resolve))
  await page.route('**/api/live**', async (route) => {
    await held
    await route.continue()
  })
  await page.goto('/wheels?q=Tusker')
  const set = (await page.locator('.set-row').first().getAttribute('href')) ?? ''
  await page.goto(`${set}/photographs`)
  const shown = page.locator('.photographs li')
  const before = await shown.count()
  const sent = { requestId: crypto.randomUUID(), jpeg: await smallPicture() }
  expect((await request.post(`/api${set}/photographs`, { data: sent })).status()).toBe(200)
  listen()
  await expect(shown).toHaveCount(before + 1)
})

test('who saves a form and goes back sees what was saved, not the form again', async ({ page }) => {
  await page.goto('/wheels?q=Tusker')
  await page.locator('.set-row').first().click()
  await page.getByRole('link', { name: 'Edit' }).click()
  const note = `Kerbed in ${crypto.randomUUID().slice(0, 8)}`
  await page.getByLabel(say('wheelSet.note')).fill(note)
  await page.getByRole('button', { name: /^Save/ }).click()
  await expect(page.getByText(note)).toBeVisible()
  await page.getByRole('link', { name: say('wheels.actions.check') }).click()
  await expect(page.locator('.look-form')).toBeVisible()
  await page.goBack()
  await expect(page.getByText(note)).toBeVisible()
  await page.goBack()
  await expect(page.getByText(note)).toBeVisible()
  await page.goBack()
  await expect(page).toHaveURL(/wheels\?q=Tusker/)
})

test('a page that is open stays while the program is gone, and follows again when it is back', async ({
  browser,
}) => {
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  const server = await startServer(folder)
  const page = await browser.newPage({ baseURL: server.address })
  await page.goto('/wheels?q=Tusker')
  const set = (await page.locator('.set-row').first().getAttribute('href')) ?? ''
  let asked = 0
  page.on('requestfailed', (request) => (asked += request.url().includes('/api/clock') ? 1 : 0))
  await page.goto(`${set}/photographs`)
  await page.goto(set)
  await server.stop()
  // It has looked more than once, and found nobody.
  await expect.poll(() => asked, { timeout: 20_000 }).toBeGreaterThan(1)
  await expect(page.getByRole('heading', { name: say('photos.title') })).toBeVisible()
  const again = await startServer(folder, false, { EVEN_SPOKE_PORT: new URL(server.address).port, EVEN_SPOKE_ADDRESS: server.address }) // prettier-ignore
  const sent = { requestId: crypto.randomUUID(), jpeg: await smallPicture() }
  expect((await page.request.post(`/api${set}/photographs`, { data: sent })).status()).toBe(200)
  await expect(page.locator('.photographs li')).toHaveCount(1, { timeout: 30_000 })
  await page.close()
  await again.stop()
  rmSync(folder, { recursive: true, force: true })
})
