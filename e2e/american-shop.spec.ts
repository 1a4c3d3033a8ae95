import { rmSync } from 'node:fs'
import { newSet, workThrough } from './jobActions'
import { expect, newFolder, startServer, test } from './server'

test.use({ data: 'empty', locale: 'en-US' })

test('a new shop in America: guessed units, a label in ounces per gallon, a job, and a table that a metric shop reads', async ({
  page,
  request,
  browser,
}) => {
  await page.goto('/')
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-US')
  await page.goto('/settings')
  await expect(page.getByLabel('English', { exact: true })).toHaveValue('en-US')
  await expect(page.getByLabel('Currency')).toHaveValue('USD')

  await page.goto('/cabinet/new')
  await page.getByLabel('Name', { exact: true }).fill('Blue Lather')
  await page.getByLabel('Type', { exact: true }).selectOption('wheelShampoo')
  await page.getByLabel('Dilution on the label').fill('4 oz per gallon')
  await expect(page.getByText('Read as 1:32.')).toBeVisible()
  await page.getByLabel('Pack size').fill('1 gal')
  await page.getByLabel(/^Price of the pack/).fill('$24.99')
  await page.getByRole('button', { name: 'Add product' }).click()
  await expect(page.locator('.product-row').filter({ hasText: 'Blue Lather' })).toContainText('1 gal')

  await page.goto('/wheels/new')
  await page.getByLabel('Vehicle', { exact: true }).fill(newSet.vehicle)
  await page.getByLabel('Name of the set').fill(newSet.set)
  await page.getByLabel('Tire code').fill(newSet.tyreCode)
  await page.getByLabel('Rim width, inches').fill(newSet.rimWidth)
  await page.getByLabel('Spokes').fill(newSet.spokes)
  await page.getByLabel('Spoke width').fill('1 1/4')
  for (const zone of ['rim lip', 'face', 'windows', 'barrel', 'center cap', 'caliper'])
    await page.getByLabel(zone, { exact: true }).selectOption('paintedGloss')
  await page.getByRole('button', { name: 'Save wheel set' }).click()
  await page.getByRole('link', { name: 'Plan a job' }).click()
  await page.getByLabel('Distance driven').fill('600')
  await page.getByLabel('Air', { exact: true }).fill('68')
  await page.getByRole('button', { name: 'Create plan' }).click()
  await expect(page.locator('.plan-fill')).toContainText('fl oz')
  await expect(page.locator('.plan-fill')).not.toContainText(/\d ?m?[lL]\b/)
  await page.getByRole('link', { name: /^Start/ }).click()
  await workThrough(page, () => page.locator('.run-acts [data-best]').click())
  await page.getByRole('button', { name: 'clean', exact: true }).click()
  await page.getByRole('button', { name: 'Save to log' }).click()
  await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible()
  await expect(page.locator('.log-row').first()).toContainText('fl oz')

  const table = await (await request.get('/api/cabinet/csv')).text()
  expect(table).toContain('pack US fl oz')
  const folder = newFolder()
  const metric = await startServer(folder)
  const other = await browser.newPage({ baseURL: metric.address, locale: 'en' })
  await other.goto('/')
  await expect(other.locator('html')).toHaveAttribute('lang', 'en')
  await other.goto('/cabinet/import')
  await other.locator('textarea').fill(table)
  await other.getByRole('button', { name: 'Preview' }).click()
  await other.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(other.locator('.product-row').filter({ hasText: 'Blue Lather' })).toContainText('3.79 l')
  await other.close()
  await metric.stop()
  rmSync(folder, { recursive: true, force: true })
})
