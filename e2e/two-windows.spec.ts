import { say } from './words'
import type { Browser, Page } from '@playwright/test'
import { openRun, planVisit, tapOnce, workThrough } from './jobActions'
import { expect, test, type AppServer } from './server'

/** Opens the form of a set by its vehicle; the given one of several. */
async function openEdit(page: Page, vehicle: string, at = 0): Promise<void> {
  await page.goto(`/wheels?q=${encodeURIComponent(vehicle)}`)
  await page.locator('.set-row').nth(at).click()
  await page.locator('header').getByRole('link', { name: 'Edit' }).click()
  await expect(page.getByLabel(say('wheelSet.name.label'))).toBeVisible()
}

test('two sets of one vehicle share its details: the form that was opened before is told', async ({
  page,
  context,
}) => {
  await openEdit(page, 'Halden', 0)
  const other = await context.newPage()
  await openEdit(other, 'Halden', 1)
  await page.getByText(say('wheelSet.sections.details')).click()
  await page.getByLabel(/week/).fill('333')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page).toHaveURL(/\/wheels\/[0-9a-f-]{36}$/)
  await other.getByLabel(say('cabinet.product.note')).fill('written beside it')
  await other.getByRole('button', { name: 'Save' }).click()
  await expect(other.getByText('changed in another window')).toBeVisible()
  await expect(other.getByLabel(say('cabinet.product.note'))).toHaveValue('written beside it')
  // What was typed there is offered again, over what was saved since and not in the place of it.
  await openEdit(page, 'Halden', 1)
  await expect(page.getByText(say('common.draft.changedElsewhere'))).toBeVisible()
  await expect(page.getByLabel(say('cabinet.product.note'))).toHaveValue('written beside it')
  await page.getByText(say('wheelSet.sections.details')).click()
  await expect(page.getByLabel(/week/)).toHaveValue('333')
  await page.getByRole('button', { name: say('common.draft.discard') }).click()
  await expect(page.getByLabel(say('cabinet.product.note'))).not.toHaveValue('written beside it')
  await expect(page.getByLabel(/week/)).toHaveValue('333')
})

test('an import over a product that was changed since it was looked at takes nothing', async ({
  page,
  context,
}) => {
  await page.goto('/cabinet/import')
  await page
    .getByLabel(say('cabinet.import.paste'))
    .fill('id,name,family,note\nhub-wax,Hub Wax,wheelWax,from the table')
  await page.getByRole('button', { name: say('cabinet.import.preview') }).click()
  await expect(page.getByRole('button', { name: say('cabinet.import.import') })).toBeVisible()
  const other = await context.newPage()
  await other.goto('/cabinet/hub-wax')
  await other.getByRole('textbox', { name: /^Note/ }).fill('from the form')
  await other.getByRole('button', { name: say('cabinet.product.save') }).click()
  await expect(other.getByRole('heading', { name: say('cabinet.title') })).toBeVisible()
  await page.getByRole('button', { name: say('cabinet.import.import') }).click()
  await expect(page.getByText('changed in another window. Nothing was imported')).toBeVisible()
  await other.goto('/cabinet/hub-wax')
  await expect(other.getByRole('textbox', { name: /^Note/ })).toHaveValue('from the form')
})

test('wishes of one plan changed in two windows are both kept', async ({ page, context }) => {
  await planVisit(page, 'Orlen')
  const other = await context.newPage()
  await other.goto(page.url())
  const wish = async (of: Page, label: string, value: string) => {
    await of.getByText(say('plan.options.title')).click()
    await of.getByLabel(label).fill(value)
    await expect(of.locator('.plan')).toHaveAttribute('aria-busy', 'true')
    await expect(of.locator('.plan')).toHaveAttribute('aria-busy', 'false')
  }
  await wish(page, say('plan.wishes.minutes'), '240')
  await wish(other, say('plan.wishes.money', { currency: 'EUR' }), '90')
  await expect(other.getByText(say('plan.changedElsewhere'))).toBeVisible()
  await page.reload()
  await page.getByText(say('plan.options.title')).click()
  await expect(page.getByLabel(say('plan.wishes.minutes'))).toHaveValue('240')
  await expect(page.getByLabel(say('plan.wishes.money', { currency: 'EUR' }))).toHaveValue('90')
})

test('a plan that was begun in one window is not changed or thrown away in another', async ({
  page,
  context,
}) => {
  await planVisit(page, 'Tusker Ridge')
  const job = new URL(page.url()).pathname
  const other = await context.newPage()
  await other.goto(job)
  await page.getByRole('link', { name: say('plan.head.start') }).click()
  await tapOnce(page)
  await expect(page.locator('.run-state [role=status]')).toHaveText(/^Step/)
  await other.getByRole('button', { name: say('plan.discard') }).click()
  await other.goto(job)
  await expect(other.getByRole('link', { name: say('plan.head.continue') })).toBeVisible()
})

/** A device of its own that hears nothing of what others do, as one that just lost its network. */
async function deafDevice(browser: Browser, server: AppServer): Promise<Page> {
  const page = await (await browser.newContext({ baseURL: server.address })).newPage()
  await page.route('**/api/live*', () => undefined)
  return page
}

test('a job ended on two devices stands in the log once', async ({ page, browser, server }) => {
  const run = await openRun(page, 'Orlen')
  await workThrough(page, () => page.locator('.run-acts [data-best]').click())
  const other = await deafDevice(browser, server)
  // The last taps may still be on their way.
  await expect(async () => {
    await other.goto(run)
    await expect(other.getByRole('heading', { name: say('bay.finish.title') })).toBeVisible({ timeout: 3000 })
  }).toPass()
  await page.getByRole('button', { name: say('bay.finish.save') }).click()
  await page.waitForURL('**/log**')
  const entries = page.locator('.visit-row, .log-row').filter({ hasText: 'Orlen' })
  const before = await entries.count()
  await other.getByRole('button', { name: say('bay.finish.save') }).click()
  await expect(other.getByText('This job is already in the log.')).toBeVisible()
  await page.reload()
  await expect(entries).toHaveCount(before)
})

test('wheels changed on two devices are changed once', async ({ page, browser, server }) => {
  const other = await deafDevice(browser, server)
  await page.goto('/wheels?q=Halden')
  const href = await page.locator('.set-row').first().getAttribute('href')
  for (const device of [page, other]) {
    await device.goto(`${href}/change`)
    await device.locator('.change-set:not([disabled])').first().click()
  }
  await page.getByRole('button', { name: say('protection.change.save') }).click()
  await page.waitForURL(`**${href}**`)
  await other.getByRole('button', { name: say('protection.change.save') }).click()
  await expect(other.getByText(/That set is already fitted/)).toBeVisible()
})

test('a due thing done on two devices is done once', async ({ browser, server }) => {
  const devices = [await deafDevice(browser, server), await deafDevice(browser, server)]
  const doneAt = (device: Page) =>
    device.locator('.due-row').filter({ hasText: 'Long Coat' }).first().getByRole('button', { name: /^Done/ })
  for (const device of devices) {
    await device.goto('/due?q=Brackwater')
    await expect(doneAt(device)).toBeVisible()
  }
  await Promise.all(devices.map((device) => doneAt(device).click()))
  // One did it, the other is told.
  const told = async () =>
    (await Promise.all(devices.map((device) => device.getByText('This is no longer due').count()))).filter(
      (count) => count > 0,
    ).length
  await expect.poll(told).toBe(1)
})
