import { like, say } from './words'
import type { Page } from '@playwright/test'
import { workThrough } from './jobActions'
import { expect, test, testTime } from './server'

const openSet = async (page: Page, name: string): Promise<string> => {
  await page.goto(`/wheels?q=${encodeURIComponent(name)}`)
  const href = await page.locator('.set-row').first().getAttribute('href')
  await page.goto(`${href}`)
  return `${href}`
}

test('a look on the phone: two taps, and it says what it moved', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const href = await openSet(page, 'Orlen')
  await page.getByRole('link', { name: say('wheels.actions.check') }).click()
  await page.getByRole('button', { name: 'Rears' }).click()
  await page.getByRole('button', { name: say('protection.check.afterReviving') }).click()
  await page.getByRole('button', { name: 'lies flat' }).click()
  const said = page.locator('.look-effects')
  await expect(said).toContainText(say('common.saved'))
  await expect(said).toContainText(say('terms.axle.rear'))
  await expect(said).toContainText(say('protection.check.clog.gone'))
  await page.getByRole('link', { name: say('protection.check.done') }).click()
  await page.waitForURL(`**${href}`)
  await page.getByRole('link', { name: say('wheels.layers') }).click()
  const kept = page.getByText(/(Rear L, Rear R|Rear R, Rear L): lies flat, after a reviving wash/)
  await expect(kept).toHaveCount(1)
  await page
    .getByRole('button', { name: like('protection.checks.deleteLabel') })
    .first()
    .click()
  await expect(kept).toHaveCount(0)
})

test('a bad look, a reviving wash and a good look: it was clogged', async ({ page }) => {
  const href = await openSet(page, 'Aldery')
  await page.goto(`${href}/protection`)
  await expect(page.getByText('Possibly clogged').first()).toBeVisible()
  await page.getByRole('link', { name: 'check again' }).first().click()
  await expect(page.getByRole('button', { name: say('protection.check.afterReviving') })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.getByRole('button', { name: 'tight beads' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('.look-effects')).toContainText(say('protection.check.clog.wasClogged'))
})

test('wheels change in two taps, the nuts fall due and are done, and it can be taken back', async ({
  page,
}) => {
  const href = await openSet(page, 'Halden')
  await page
    .locator('header')
    .getByRole('link', { name: say('protection.change.save') })
    .click()
  await page.locator('.change-set:not([disabled])').first().click()
  await page.getByLabel(say('protection.change.torque')).fill('140')
  await page.getByRole('button', { name: say('protection.change.save') }).click()
  await expect(page.getByText('140 N·m')).toBeVisible()
  await page.goto('/due?q=Halden&kind=torqueCheck')
  const check = page.locator('.due-row').filter({ hasText: 'Re-torque wheel nuts, 140 N·m' })
  await expect(check).toHaveCount(1)
  await check.getByRole('button', { name: /^Done/ }).click()
  await expect(check).toHaveCount(0)
  await page.goto(`${href}/change`)
  await page.getByRole('button', { name: say('protection.change.undo') }).click()
  await expect(page.getByText('140 N·m')).toHaveCount(0)
})

test('several due things go into one visit, one is put off, a reminder is kept', async ({ page }) => {
  await page.goto('/due')
  const visit = page.locator('.visit-row').filter({ hasText: 'Aldery Coupe' })
  await expect(visit).toContainText('Reviving wash')
  await expect(visit).toContainText(say('due.items.decontamination.what'))
  await visit.getByRole('link', { name: like('due.together.plan') }).click()
  await expect(page.getByLabel(say('intake.service'))).toHaveValue('decontaminate')
  await expect(page.getByText(like('intake.alsoDue'))).toContainText('Reviving wash')
  await page.goto('/due?q=Brackwater')
  // One row, or one an axle, as the day has it.
  const coats = page.locator('.due-row').filter({ hasText: 'Long Coat' })
  await expect(coats.first()).toBeVisible()
  const count = await coats.count()
  await coats
    .first()
    .getByRole('button', { name: /^Postpone 1 month/ })
    .click()
  await expect(coats).toHaveCount(count - 1)
  await page.getByText('postponed or done').click()
  await page.getByRole('button', { name: /^Restore: .*Long Coat/ }).click()
  await expect(coats).toHaveCount(count)
  await page.goto('/due')
  await page.getByLabel(say('due.reminder.what')).fill('Sharpen nothing')
  const day = page.getByLabel(say('due.reminder.on'), { exact: true })
  await day.fill('some day')
  await day.press('Tab')
  await expect(
    page.getByText(say('common.date.unreadable', { time: 'false', typed: 'some day' })),
  ).toBeVisible()
  await day.fill(new Date(testTime().getTime() + 5 * 86_400_000).toISOString().slice(0, 10))
  await page.getByRole('button', { name: say('due.reminder.save'), exact: true }).click()
  await expect(page.locator('.due-row').filter({ hasText: 'Sharpen nothing' })).toHaveCount(1)
})

test('protection that somebody else put on is entered, and what cannot be is refused at the form', async ({
  page,
}) => {
  const href = await openSet(page, 'Pellam')
  await page.goto(`${href}/protection`)
  await expect(page.getByText(say('protection.none'))).toBeVisible()
  const form = page.getByRole('region', { name: say('protection.layer.title') })
  await form.getByLabel(say('protection.layer.kind')).selectOption('ceramicCoating')
  await form.getByLabel(say('protection.layer.product')).fill('Elsewhere Glass')
  await form.getByLabel(say('protection.layer.appliedOn'), { exact: true }).fill('2099-01-01')
  await form.getByRole('button', { name: say('protection.layer.save') }).click()
  await expect(form.getByText(say('problems.layer.pastTime'))).toBeVisible()
  await form
    .getByLabel(say('protection.layer.appliedOn'), { exact: true })
    .fill(new Date(testTime().getTime() - 300 * 86_400_000).toISOString().slice(0, 10))
  await form.getByRole('button', { name: say('protection.layer.save') }).click()
  await expect(page.getByRole('heading', { name: 'Elsewhere Glass, front' })).toBeVisible()
  await page.getByLabel(say('protection.odometer.label')).fill('5000')
  await page
    .getByRole('region', { name: say('protection.odometer.title') })
    .getByRole('button', { name: say('protection.odometer.save') })
    .click()
  await expect(page.getByText(like('protection.odometer.last'))).toBeVisible()
  await page.getByLabel(say('protection.odometer.label')).fill('4000')
  await page
    .getByRole('region', { name: say('protection.odometer.title') })
    .getByRole('button', { name: say('protection.odometer.save') })
    .click()
  await expect(page.getByText('an odometer does not go back')).toBeVisible()
})

test('a job gets its hour; the simulated calendar gets it, and a new address shuts the old one', async ({
  page,
  request,
}) => {
  await openSet(page, 'Iverna')
  await page.getByRole('link', { name: say('today.planJob') }).click()
  await page.getByLabel(say('intake.airCelsius')).fill('18')
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await page.getByLabel(say('plan.plannedFor.label')).fill('2099-05-04T10:30')
  await page.getByRole('button', { name: say('plan.plannedFor.save') }).click()
  await expect(page.getByText(say('plan.plannedFor.saved'))).toBeVisible()
  await page.goto('/due/calendar')
  await page.getByRole('button', { name: say('due.calendar.try') }).click()
  const got = page.getByRole('region', { name: say('due.calendar.receivedLabel') })
  await expect(got).toContainText('4 May 2099, 10:30')
  await expect(got).toContainText('Likely range (8 in 10)')
  const address = await page.getByLabel(say('due.calendar.address')).inputValue()
  expect((await request.get(address)).headers()['content-type']).toContain('text/calendar')
  await page.getByRole('button', { name: say('due.calendar.newAddress') }).click()
  await expect(page.getByLabel(say('due.calendar.address'))).not.toHaveValue(address)
  expect((await request.get(address)).status()).toBe(404)
  expect((await request.get('/api/calendar/download')).headers()['content-disposition']).toContain('.ics')
})

test('the water meter is read, and when it talks nonsense what was typed holds', async ({
  page,
  request,
}) => {
  await page.goto('/due/water')
  await page.getByRole('button', { name: say('due.water.read') }).click()
  await expect(page.getByText(say('due.water.readSimulated'))).toBeVisible()
  await page.getByLabel(say('due.water.after')).fill('14')
  await page.getByRole('button', { name: say('due.water.save') }).click()
  await expect(page.getByText('The last reading was 14 ppm', { exact: false })).toBeVisible()
  await request.post('/api/devices/modes', { data: { device: 'tds', mode: 'senseless' } })
  await page.getByRole('button', { name: say('due.water.read') }).click()
  await expect(page.getByText(like('problems.device.senseless'))).toBeVisible()
  await expect(page.getByLabel(say('due.water.after'))).toHaveValue('14')
  await request.post('/api/devices/modes', { data: { device: 'tds', mode: 'well' } })
})

test('the care card says what is on the wheels and what never to use', async ({ page }) => {
  const href = await openSet(page, 'Aldery')
  await page.goto(`${href}/care`)
  await expect(page.locator('.care-card')).toContainText('Stone Skin, ceramic coating, since')
  await expect(page.locator('.care-card')).toContainText(say('due.care.never'))
})

test('the second look takes down how the rinse beads, and it stands with the set once the job is done', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await page.setViewportSize({ width: 390, height: 844 })
  const href = await openSet(page, 'Mossen')
  await page.getByRole('link', { name: say('today.planJob') }).click()
  await page.getByLabel(say('intake.service')).selectOption('maintain')
  await page.getByLabel(say('intake.airCelsius')).fill('18')
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await page.getByRole('link', { name: say('plan.head.start') }).click()
  const beading = page.getByRole('group', { name: say('bay.check.water') })
  await workThrough(page, async () => {
    if (await beading.isVisible()) await beading.getByRole('button', { name: 'uneven patches' }).click()
    await page.locator('.run-acts [data-best]').click()
  })
  await page.getByRole('button', { name: say('bay.finish.save') }).click()
  await page.waitForURL('**/log**')
  await page.goto(`${href}/protection`)
  for (const wheel of ['Front L', 'Front R', 'Rear R', 'Rear L'])
    await expect(page.getByText(new RegExp(`^[^,]+, ${wheel}: uneven patches`))).toHaveCount(1)
})
