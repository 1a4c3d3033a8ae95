import { say } from './words'
import type { Page, Route } from '@playwright/test'
import { newSet, openRun } from './jobActions'
import { expect, test } from './server'

test('a form of an earlier version says so, and is sent after loading the new one', async ({ page }) => {
  await page.goto('/cabinet/new')
  await page.getByLabel(say('cabinet.product.name'), { exact: true }).fill('Second Soap')
  await page.getByLabel(/^Price of the pack/).fill('12')
  // The server knows no action by this name, as after an update.
  const rename = async (route: Route) => {
    const headers = { ...route.request().headers(), 'next-action': 'f'.repeat(42) }
    await (route.request().headers()['next-action'] ? route.continue({ headers }) : route.fallback())
  }
  await page.route('**/cabinet/new', rename)
  await page.getByRole('button', { name: say('cabinet.product.add') }).click()
  await expect(page.getByText(/Even Spoke was updated. Nothing was saved/)).toBeVisible()
  await page.unroute('**/cabinet/new', rename)
  await page.reload()
  await expect(page.getByText(say('common.draft.unsaved'))).toBeVisible()
  await expect(page.getByLabel(say('cabinet.product.name'), { exact: true })).toHaveValue('Second Soap')
  await page.getByRole('button', { name: say('cabinet.product.add') }).click()
  await expect(page.locator('.product-row').filter({ hasText: 'Second Soap' })).toHaveCount(1)
})

test('a draft can be thrown away, and junk on the device breaks nothing', async ({ page }) => {
  await page.goto('/cabinet/hub-wax')
  await page.evaluate(() => {
    for (const key of [
      'even-spoke.draft.product.hub-wax',
      'even-spoke.tap.x',
      'even-spoke.taps.y',
      'even-spoke.who.z',
    ])
      localStorage.setItem(key, '{"values":')
  })
  await page.reload()
  const stock = page.getByLabel(say('cabinet.product.packMillilitres'), { exact: true })
  const before = await stock.inputValue()
  await stock.fill('5')
  await expect(async () => {
    const drafts = await page.evaluate(() =>
      Object.entries(localStorage).filter(([key]) => key.startsWith('even-spoke.draft.product.hub-wax')),
    )
    expect(drafts).toEqual([[expect.any(String), expect.stringContaining('"5"')]])
  }).toPass()
  await page.reload()
  await expect(stock).toHaveValue('5')
  await page.getByRole('button', { name: say('common.draft.discard') }).click()
  await expect(stock).toHaveValue(before)
})

test('a new set of a known name is asked whose it is, and says what it found', async ({ page }) => {
  await page.goto('/wheels/new')
  await page.getByLabel(say('wheelSet.vehicle')).fill('pellam four')
  await page.getByLabel(say('wheelSet.name.label')).fill('Third set')
  await page.getByLabel('Tyre code').fill(newSet.tyreCode)
  await page.getByLabel('Rim width, inches').fill(newSet.rimWidth)
  await page.getByLabel('Spokes', { exact: true }).fill(newSet.spokes)
  await page.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(page.getByText('Choose whether this set belongs to it.')).toBeVisible()
  await page.getByRole('button', { name: /^Yes, the one with/ }).click()
  await page.getByText(say('wheelSet.sections.details')).click()
  await page.getByLabel(say('wheelSet.kilometresPerWeek')).fill('777')
  await page.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(page.getByRole('heading', { name: /Third set/ })).toBeVisible()
  await page.goto('/wheels')
  await page.locator('.set-row').filter({ hasText: 'Pellam Four' }).first().click()
  await page.getByRole('link', { name: /^Edit/ }).click()
  await page.getByText(say('wheelSet.sections.details')).click()
  await expect(page.getByLabel(say('wheelSet.kilometresPerWeek'))).toHaveValue('777')
})

/** How many things the device keeps until they are sent. */
const keptOnDevice = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('even-spoke')
        opening.onerror = () => reject(new Error('The device has no database.'))
        opening.onsuccess = () => {
          const counting = opening.result.transaction('waiting').objectStore('waiting').count()
          counting.onsuccess = () => {
            opening.result.close()
            resolve(counting.result)
          }
        }
      }),
  )

test('two tabs of one device without network keep all their taps, and any page sends them', async ({
  page,
  context,
}) => {
  await openRun(page, 'Tusker Ridge')
  const bay = new URL(page.url()).pathname
  const other = await context.newPage()
  await other.goto(bay)
  const stored = async (): Promise<number> =>
    (
      (await (await page.request.get(`/api${bay.replace(/\/run$/, '')}/events`)).json()) as {
        events: unknown[]
      }
    ).events.length
  await context.setOffline(true)
  const tap = async (tab: Page): Promise<void> => {
    const before = await tab.locator('.run').getAttribute('data-settled')
    await tab
      .getByRole('button', { name: /^Done: / })
      .first()
      .click()
    await expect(tab.locator(`.run[data-settled="${before}"]`)).toHaveCount(0)
  }
  await tap(page)
  await expect(other.locator('.run')).toHaveAttribute('data-settled', '1')
  await tap(other)
  await expect.poll(() => keptOnDevice(page)).toBe(2)
  await other.close()
  await context.setOffline(false)
  await page.goto('/wheels')
  await expect(async () => expect(await stored()).toBe(2)).toPass()
  await expect.poll(() => keptOnDevice(page)).toBe(0)
})

test('a page that never comes is loaded by the browser itself', async ({ page }) => {
  let asked = 0
  await page.route(
    (url) => url.pathname === '/cabinet/tools' && url.searchParams.has('_rsc'),
    // Neither answered nor refused.
    () => void (asked += 1),
  )
  await page.goto('/cabinet')
  await page.getByRole('link', { name: say('cabinet.tools.title') }).click()
  await expect(page).toHaveURL(/\/cabinet\/tools$/)
  await expect(page.locator('h1')).toBeVisible()
  expect(asked).toBe(1)
})
