import { newSet, workThrough } from './jobActions'
import { expect, test } from './server'

test.use({ data: 'empty' })

test('from the welcome to a due date with the mouse', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Start with one set of wheels' })).toBeVisible()
  await page.getByRole('link', { name: 'Add the first wheel set' }).click()

  await page.getByLabel('Vehicle').fill(newSet.vehicle)
  await page.getByLabel('Name of the set').fill(newSet.set)
  await page.getByLabel('Tyre code').fill(newSet.tyreCode)
  await page.getByLabel('Rim width, inches').fill(newSet.rimWidth)
  await page.getByLabel('Spokes').fill(newSet.spokes)
  for (const zone of ['rim lip', 'face', 'windows', 'barrel', 'centre cap', 'caliper']) {
    await page.getByLabel(zone, { exact: true }).selectOption('paintedGloss')
  }
  await expect(page.getByRole('img', { name: 'Preview: All wheels' })).toBeVisible()
  await page.getByRole('button', { name: 'Save the set' }).click()
  await expect(page.getByRole('heading', { name: `${newSet.vehicle}, ${newSet.set}` })).toBeVisible()
  await expect(page.getByRole('img', { name: /Front left: 9 spokes, painted/ })).toBeVisible()

  await page.getByRole('link', { name: 'Plan a visit' }).click()
  const frontLeft = page.getByRole('group', { name: 'Front left' })
  // The lower left of the rim is barrel behind the spokes on any wheel; the tyre is easiest to hit.
  await frontLeft.getByRole('button', { name: /^tyre sidewall/ }).click({ position: { x: 4, y: 110 } })
  await page.getByRole('button', { name: 'tyre browning 2, clear' }).click()
  await page.getByRole('button', { name: 'barrel', exact: true }).click()
  await page.getByRole('button', { name: 'bonded brake dust 3, heavy' }).click()
  await page.getByRole('button', { name: 'Copy wheel to its axle' }).click()
  await page.getByRole('button', { name: 'Plan it' }).click()

  await expect(page.locator('.plan-answer')).toContainText(/iron remover.*About .*min/)
  const iron = page
    .locator('.pass')
    .filter({ has: page.getByRole('heading', { name: 'Iron remover' }) })
    .first()
  await iron.getByText('Reasons and precautions').click()
  await expect(iron.getByText('Mask or open doors.').first()).toBeVisible()

  await page.getByRole('link', { name: 'Start in the bay' }).click()
  const taps = await workThrough(page, () => page.locator('.run-acts [data-best]').click())
  // What good hands need for a decontamination, at most.
  expect(taps).toBeGreaterThan(20)
  expect(taps).toBeLessThanOrEqual(46)
  await page.getByRole('button', { name: 'some left' }).click()
  await page
    .getByLabel('What you would do otherwise')
    .fill('Brown again behind the caliper <b>"twice"</b> 🛞')
  await page.getByRole('button', { name: 'Write it down' }).click()

  await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible()
  await expect(page.getByText('Brown again behind the caliper <b>"twice"</b> 🛞')).toBeVisible()
  await page.getByRole('link', { name: 'Due', exact: true }).click()
  await expect(page.locator('.due-row').filter({ hasText: 'House spray-and-rinse silica' })).toHaveCount(1)
  await page.getByRole('link', { name: 'Today' }).click()
  await expect(page.getByText('No job is planned.')).toBeVisible()
})
