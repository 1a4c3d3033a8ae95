import { say } from './words'
import { expect, test } from './server'

test('two windows editing the same set: the second is told and nothing is overwritten', async ({
  page,
  context,
}) => {
  await page.goto('/wheels')
  await page.locator('.set-row').filter({ hasText: 'Aldery Coupe' }).click()
  await page.getByRole('link', { name: 'Edit' }).click()
  await expect(page.getByLabel(say('cabinet.product.note'))).toBeVisible()
  const other = await context.newPage()
  await other.goto(page.url())

  await page.getByLabel(say('cabinet.product.note')).fill('first window')
  await page.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(page.getByText('first window')).toBeVisible()

  await other.getByLabel(say('cabinet.product.note')).fill('second window')
  await other.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(other.getByText('changed in another window')).toBeVisible()
  await expect(other.getByLabel(say('cabinet.product.note'))).toHaveValue('second window')
  await page.reload()
  await expect(page.getByText('first window')).toBeVisible()
})

test('nonsense is refused at its field and nothing is stored', async ({ page }) => {
  await page.goto('/wheels/new')
  await page.getByLabel(say('wheelSet.name.label')).fill('<script>alert(1)</script> "quoted" עברית 🛞')
  await page.getByLabel('Tyre code').fill('enormous')
  await page.getByLabel('Rim width, inches').fill('-8')
  await page.getByLabel('Spokes').fill('nine')
  await page.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(page.getByText(say('fields.enter', { what: say('fields.name.vehicleName') }))).toBeVisible()
  await expect(page.getByText('This is not a tyre code.')).toBeVisible()
  await expect(
    page.getByText(say('fields.rangeIn', { low: 1.5, high: 16, unit: say('terms.unit.in') })),
  ).toBeVisible()
  await expect(page.locator('#spokeCount ~ .invalid-feedback')).not.toBeEmpty()
  await page.goto('/wheels?q=script')
  await expect(page.getByText(say('wheels.noMatch', { words: 'script' }))).toBeVisible()
})

test('text with markup, quotes, emoji and right-to-left script is kept as it was typed', async ({ page }) => {
  const name = `<b>"Sable"</b> 🛞 'x' گاری & ;--`
  await page.goto('/wheels/new')
  await page.getByLabel(say('wheelSet.vehicle')).fill(name)
  await page.getByLabel(say('wheelSet.name.label')).fill('50 % set_1')
  await page.getByLabel('Tyre code').fill('205/55 R16')
  await page.getByLabel('Rim width, inches').fill('6,5')
  await page.getByLabel('Spokes').fill('5')
  // One wheel of the four is another size.
  await page.getByRole('button', { name: 'Rear left' }).click()
  await page.getByLabel('Tyre code').fill('215/55 R16')
  await page.getByRole('button', { name: 'All wheels' }).click()
  await expect(page.getByLabel('Tyre code')).toHaveAttribute('placeholder', say('wheelSet.differs'))
  await page.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(page.getByRole('heading', { name: `${name}, 50 % set_1` })).toBeVisible()
  await expect(page.getByText('215/55 R16 on 6.5J')).toHaveCount(1)
  await page.goto(`/wheels?q=${encodeURIComponent('50 % set_')}`)
  await expect(page.locator('.set-row')).toHaveCount(1)
})

test('an address that is no wheel set or job says so', async ({ page }) => {
  for (const path of [
    '/wheels/nothing',
    '/jobs/00000000-0000-4000-8000-000000000000',
    '/jobs/x/run',
    "/wheels/' or 1=1",
  ]) {
    const answer = await page.goto(path)
    expect(answer?.status()).toBe(404)
    await expect(page.getByRole('heading', { name: say('errors.notFound.title') })).toBeVisible()
  }
})
