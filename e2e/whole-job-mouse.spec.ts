import { say } from './words'
import { newSet, workThrough } from './jobActions'
import { expect, test } from './server'

test.use({ data: 'empty' })

test('from the welcome to a due date with the mouse', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: say('today.welcome.title') })).toBeVisible()
  await page.getByRole('link', { name: say('today.welcome.add') }).click()

  await page.getByLabel(say('wheelSet.vehicle')).fill(newSet.vehicle)
  await page.getByLabel(say('wheelSet.name.label')).fill(newSet.set)
  await page.getByLabel('Tyre code').fill(newSet.tyreCode)
  await page.getByLabel('Rim width, inches').fill(newSet.rimWidth)
  await page.getByLabel('Spokes').fill(newSet.spokes)
  for (const zone of ['rim lip', 'face', 'windows', 'barrel', 'centre cap', 'caliper']) {
    await page.getByLabel(zone, { exact: true }).selectOption('paintedGloss')
  }
  await expect(page.getByRole('img', { name: 'Preview: All wheels' })).toBeVisible()
  await page.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(page.getByRole('heading', { name: `${newSet.vehicle}, ${newSet.set}` })).toBeVisible()
  await expect(page.getByRole('img', { name: /Front left: 9 spokes, painted/ })).toBeVisible()

  await page.getByRole('link', { name: say('today.planJob') }).click()
  const frontLeft = page.getByRole('group', { name: 'Front left' })
  // The lower left of the rim is barrel behind the spokes on any wheel; the tyre is easiest to hit.
  await frontLeft.getByRole('button', { name: /^tyre sidewall/ }).click({ position: { x: 4, y: 110 } })
  await page.getByRole('button', { name: 'tyre browning 2, moderate' }).click()
  await page.getByRole('button', { name: 'barrel', exact: true }).click()
  await page.getByRole('button', { name: 'bonded brake dust 3, heavy' }).click()
  await page.getByRole('button', { name: say('intake.copyToAxle') }).click()
  await page.getByRole('button', { name: say('intake.plan') }).click()

  await expect(page.locator('.plan-answer')).toContainText(/iron remover.*About .*min/)
  const iron = page
    .locator('.pass')
    .filter({ has: page.getByRole('heading', { name: 'Iron remover' }) })
    .first()
  await iron.getByText(say('plan.product.reasons')).click()
  await expect(iron.getByText('Mask or open doors.').first()).toBeVisible()

  await page.getByRole('link', { name: say('plan.head.start') }).click()
  const taps = await workThrough(page, () => page.locator('.run-acts [data-best]').click())
  // What good hands need for a decontamination, at most.
  expect(taps).toBeGreaterThan(20)
  expect(taps).toBeLessThanOrEqual(46)
  await page.getByRole('button', { name: 'some left' }).click()
  await page
    .getByLabel(say('bay.finish.differently'))
    .fill('Brown again behind the caliper <b>"twice"</b> 🛞')
  await page.getByRole('button', { name: say('bay.finish.save') }).click()

  await expect(page.getByRole('heading', { name: say('log.title') })).toBeVisible()
  await expect(page.getByText('Brown again behind the caliper <b>"twice"</b> 🛞')).toBeVisible()
  await page.getByRole('link', { name: say('due.title'), exact: true }).click()
  await expect(page.locator('.due-row').filter({ hasText: 'Spray-and-rinse silica' })).toHaveCount(1)
  await page.getByRole('link', { name: say('today.title') }).click()
  await expect(page.getByText(say('today.lead.noJobs'))).toBeVisible()
})

test('an empty cabinet offers starter products, and plans use them once they are added', async ({ page }) => {
  await page.goto('/cabinet')
  await expect(page.getByText(say('cabinet.empty'))).toBeVisible()
  await page.getByLabel('Metal polish', { exact: true }).check()
  await page.getByLabel('Tar remover', { exact: true }).uncheck()
  await page.getByRole('button', { name: say('cabinet.starter.add', { count: 9 }) }).click()
  await expect(page.getByText(say('cabinet.count', { count: 9 }))).toBeVisible()
  await expect(page.locator('.product-row').filter({ hasText: 'Metal polish' })).toHaveCount(1)
  await expect(page.locator('.product-row').filter({ hasText: 'Tar remover' })).toHaveCount(0)
})
