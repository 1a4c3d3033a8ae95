import type { Page } from '@playwright/test'
import { expect, test } from './server'
import { say } from './words'
import { workedForms } from './writingForms'

/** Fills the device to the last byte, so that it keeps nothing more. */
const fillDevice = (page: Page) =>
  page.evaluate(() => {
    for (let size = 2 ** 21; size >= 1; size /= 2)
      try {
        for (let at = 0; ; at += 1) localStorage.setItem(`full ${size} ${at}`, 'x'.repeat(size))
      } catch {
        // The next smaller piece.
      }
  })
const emptyDevice = (page: Page) =>
  page.evaluate(() => {
    for (const key of Object.keys(localStorage)) if (key.startsWith('full ')) localStorage.removeItem(key)
  })

for (const [name, form] of Object.entries(workedForms))
  test(`the form ${name} loses nothing without network, over a reload and on a full device`, async ({
    page,
    context,
    server,
  }) => {
    await form.open(page, server)
    await form.fill(page, server)
    await expect(page.getByText(say('common.draft.onDevice'))).toBeVisible()

    await context.setOffline(true)
    if (!form.waitsForNetwork) {
      await form.send(page)
      await expect(page.getByText(say('errors.sending.noConnection'))).toBeVisible()
    }
    await form.seen(page, server)
    await context.setOffline(false)

    await page.reload()
    await expect(page.getByText(say('common.draft.unsaved'))).toBeVisible()
    await form.seen(page, server)
    await page.getByRole('button', { name: say('common.draft.discard') }).click()
    await expect(page.getByText(say('common.draft.onDevice'))).toHaveCount(0)

    await fillDevice(page)
    await form.fill(page, server)
    await expect(page.getByText(say('common.draft.onPage'))).toBeVisible()
    await form.seen(page, server)
    await emptyDevice(page)

    await form.send(page)
    await form.saved(page)
    await page.goto('/more')
    // Sent is sent: nothing of it comes back.
    expect(
      await page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('draft'))),
    ).toEqual([])
  })

test('what is typed in two windows of one form is kept from both', async ({ page, context }) => {
  const other = await context.newPage()
  for (const [window, name] of [
    [page, 'First Brush'],
    [other, 'Second Brush'],
  ] as const) {
    await window.goto('/cabinet/tools/new')
    await window
      .getByRole('button', { name: say('common.draft.discard') })
      .click({ timeout: 500 })
      .catch(() => undefined)
    await window.locator('#name').fill(name)
    await expect(window.getByText(say('common.draft.onDevice'))).toBeVisible()
  }
  await other.close()
  await page.locator('#name').fill('First Brush, long')
  await expect(page.getByText(say('common.draft.onDevice'))).toBeVisible()
  await page.reload()
  await expect(page.locator('#name')).toHaveValue('First Brush, long')
  await page.getByRole('button', { name: say('common.draft.discard') }).click()
  await page.reload()
  await expect(page.locator('#name')).toHaveValue('Second Brush')
})
