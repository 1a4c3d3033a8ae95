import { like, say } from './words'
import type { Page } from '@playwright/test'
import { expect, test } from './server'

test('a product of one’s own in a minute, and nonsense at its field', async ({ page }) => {
  await page.goto('/cabinet/new')
  await page.getByLabel(say('cabinet.product.family')).selectOption('degreaser')
  await page.getByLabel(say('cabinet.product.name'), { exact: true }).fill('Grit & "Grease" 🛞')
  await expect(page.getByLabel(say('cabinet.product.dilution.label'))).toHaveValue('1:10 to 1:4')
  await page.getByLabel(say('cabinet.product.dilution.label')).fill('3:2')
  await page.getByLabel(/^Price of the pack/).fill('0')
  await page.getByLabel(say('cabinet.product.packMillilitres'), { exact: true }).fill('0')
  await page.getByLabel(say('cabinet.product.dwellMin')).fill('500')
  await page.getByRole('button', { name: say('cabinet.product.add') }).click()
  await expect(
    page.getByText(new RegExp(say('measures.dilution.whichSide', { said: '3:2' }).replace('?', ''))),
  ).toBeVisible()
  await expect(page.getByText(say('fields.between', { low: '1 ml', high: '1,000 l' }))).toBeVisible()
  await expect(page.getByText(say('fields.price'))).toBeVisible()
  await expect(page.getByText(say('problems.product.dwell'))).toBeVisible()
  await page.getByLabel(say('cabinet.product.dilution.label')).fill('1:8')
  await page.getByLabel(/^Price of the pack/).fill('14,90')
  await page.getByLabel(say('cabinet.product.packMillilitres'), { exact: true }).fill('1000')
  await page.getByLabel(say('cabinet.product.dwellMin')).fill('30')
  await page.getByRole('button', { name: say('cabinet.product.add') }).click()
  const row = page.locator('.product-row').filter({ hasText: 'Grit & "Grease" 🛞' })
  await expect(row).toContainText('degreaser, 1:8')
  await expect(row).toContainText('14.90')

  // Duplicated, archived, taken back.
  await row.getByRole('link').click()
  await page.getByRole('link', { name: say('cabinet.product.duplicate') }).click()
  await page.getByRole('button', { name: say('cabinet.product.add') }).click()
  await expect(page.locator('.product-row').filter({ hasText: 'copy' })).toBeVisible()
  await page.locator('.product-row').filter({ hasText: 'copy' }).getByRole('link').click()
  await page.getByRole('button', { name: say('cabinet.product.archive') }).click()
  await expect(page.getByRole('button', { name: say('cabinet.archived.restore') })).toBeVisible()
  await page.goto('/cabinet')
  await expect(page.getByText(say('cabinet.archived.title', { count: 1 }))).toBeVisible()
})

test('a cleaner that takes nothing is refused', async ({ page }) => {
  await page.goto('/cabinet/new')
  await page.getByLabel(say('cabinet.product.name'), { exact: true }).fill('Nothing Much')
  await page.getByLabel(say('cabinet.product.family')).selectOption('tarRemover')
  await page.getByLabel(/^Price of the pack/).fill('5')
  await page.getByLabel('tar and glue').selectOption('0')
  await page.getByRole('button', { name: say('cabinet.product.add') }).click()
  await expect(page.getByText(say('problems.product.noRating'))).toBeVisible()
})

test('two windows on one product: the second is told', async ({ page, context }) => {
  await page.goto('/cabinet/hub-wax')
  const other = await context.newPage()
  await other.goto('/cabinet/hub-wax')
  await page.getByLabel(say('cabinet.product.packMillilitres'), { exact: true }).fill('111')
  await page.getByRole('button', { name: say('cabinet.product.save') }).click()
  await expect(page.getByRole('heading', { name: say('cabinet.title') })).toBeVisible()
  await other.getByLabel(say('cabinet.product.packMillilitres'), { exact: true }).fill('222')
  await other.getByRole('button', { name: say('cabinet.product.save') }).click()
  await expect(other.getByText('changed in another window')).toBeVisible()
  await page.goto('/cabinet')
  // What was typed in the other is offered again, and said to be over what was saved since.
  await page.goto('/cabinet/hub-wax')
  await page.getByRole('button', { name: say('common.draft.discard') }).click()
  await expect(page.getByLabel(say('cabinet.product.packMillilitres'), { exact: true })).toHaveValue('111')
})

test('what is bought while a form is open stays, and the form saves what is its own', async ({
  page,
  context,
}) => {
  await page.goto('/cabinet/hub-wax')
  const other = await context.newPage()
  await other.goto('/cabinet/hub-wax')
  await page.getByRole('textbox', { name: /^Note/ }).fill('Top shelf')
  await other.getByLabel(say('cabinet.stock.what')).selectOption('counted')
  await other.getByLabel(say('cabinet.stock.kinds.counted.amount')).fill('hm')
  await other.getByRole('button', { name: say('cabinet.stock.save') }).click()
  await expect(other.locator('.invalid-feedback:visible')).toBeVisible()
  await other.getByLabel(say('cabinet.stock.kinds.counted.amount')).fill('640')
  await other.getByLabel(say('cabinet.stock.note')).fill('by the scales')
  await other.getByRole('button', { name: say('cabinet.stock.save') }).click()
  await expect(other.getByText('by the scales')).toBeVisible()
  await page.getByRole('button', { name: say('cabinet.product.save') }).click()
  await expect(page.getByRole('heading', { name: say('cabinet.title') })).toBeVisible()
  await expect(page.locator('.product-row').filter({ hasText: 'Hub Wax' })).toContainText('640 ml')
})

test('an import is looked at first, and is all or nothing', async ({ page, request }) => {
  const csv = await (await request.get('/api/cabinet/csv')).text()
  expect(csv.split('\r\n')[0]).toContain('pack price')
  await page.goto('/cabinet/import')
  const text = page.getByLabel(say('cabinet.import.paste'))
  await text.fill(
    'id;name;family;pack ml;pack price\nnew-one;"Neu; Eins";degreaser;1.000;12,50\nbad;Bad;magic;0;5',
  )
  await page.getByRole('button', { name: say('cabinet.import.preview') }).click()
  await expect(page.getByText(/row 3, family/)).toBeVisible()
  await expect(page.getByText(/row 3, pack ml/)).toBeVisible()
  await expect(page.getByRole('button', { name: say('cabinet.import.import') })).toHaveCount(0)
  await text.fill(
    'id;name;family;pack ml;pack price\nnew-one;"Neu; Eins";degreaser;1.000;12,50\nhub-wax;Hub Wax Two;wheelWax;250;9',
  )
  await page.getByRole('button', { name: say('cabinet.import.preview') }).click()
  await expect(page.getByText('New: Neu; Eins.')).toBeVisible()
  await expect(page.getByText('Replaced: Hub Wax Two.')).toBeVisible()
  await page.getByRole('button', { name: say('cabinet.import.import') }).click()
  await expect(page.locator('.product-row').filter({ hasText: 'Neu; Eins' })).toContainText('12.50')
  const json = (await (await request.get('/api/cabinet/json')).json()) as { products: { id: string }[] }
  expect(json.products.map(({ id }) => id)).toContain('new-one')
})

test('cost per clean wheel compares packages on the same dirt', async ({ page }) => {
  await page.goto('/cabinet?soil=bondedDust')
  const rows = page.locator('.cost-row')
  await expect(rows.filter({ hasText: 'Violet Run' })).toHaveCount(2)
  const costs = await rows.locator('.number').allTextContents()
  const values = costs.map((text) => Number.parseFloat(text))
  expect(values).toEqual([...values].sort((a, b) => a - b))
})

test('tools: one too thick for any gap is refused, a dropped one is out until it is clean', async ({
  page,
}) => {
  await page.goto('/cabinet/tools/new')
  await page.getByLabel(say('cabinet.tool.name')).fill('Broom')
  await page.getByLabel(say('cabinet.tool.diameterMillimetres.label')).fill('300')
  await page.getByLabel(say('cabinet.tool.squeezedMillimetres.label')).fill('250')
  await page.getByRole('button', { name: say('cabinet.tool.add') }).click()
  await expect(page.getByText(like('problems.tool.tooThick'))).toBeVisible()
  await page.getByLabel(say('cabinet.tool.squeezedMillimetres.label')).fill('20')
  await page.getByRole('button', { name: say('cabinet.tool.add') }).click()
  const states = page.getByRole('group', { name: say('cabinet.tools.state', { tool: 'Broom' }) })
  await states.getByRole('button', { name: 'dropped' }).click()
  await expect(states.getByRole('button', { name: 'dropped' })).toHaveAttribute('aria-pressed', 'true')
})

test('the bench reads any way of saying a strength, asks where it is open, and prints a label', async ({
  page,
}) => {
  await page.goto('/mixing?product=grindle-cut')
  const strength = page.getByLabel(say('mixing.dilution.label'))
  await strength.fill('four to one')
  await expect(page.locator('.bench-figure')).toHaveText('100 ml + 400 ml water')
  await strength.fill('3:2')
  await expect(page.getByText(say('measures.dilution.whichSide', { said: '3:2' }))).toBeVisible()
  await expect(page.getByRole('button', { name: say('mixing.save') })).toBeDisabled()
  await page.getByRole('button', { name: '2 parts product to 3 parts water' }).click()
  await expect(page.locator('.bench-figure')).toHaveText('200 ml + 300 ml water')
  await strength.fill('a good splash')
  await expect(page.locator('.bench-mix .invalid-feedback')).toBeVisible()
  await strength.fill('1:9')
  await page.getByLabel(say('mixing.mixedBy')).fill('Ada <b>')
  await page.getByRole('button', { name: say('mixing.save') }).click()
  const label = page.getByRole('article', { name: say('mixing.bottle.label') })
  await expect(label).toContainText('50 ml + 450 ml water')
  await expect(label).toContainText('by Ada <b>')
  await expect(label.locator('svg')).toBeVisible()
  await page.getByRole('link', { name: say('mixing.bottle.back') }).click()
  await page.getByRole('button', { name: 'Grindle Cut is empty' }).click()
  await expect(page.getByText(say('mixing.bottles.none'))).toBeVisible()
})

test('lance: what the bottle needs, what no bottle can do, and the calibration', async ({ page }) => {
  await page.goto('/mixing')
  await expect(page.locator('.bench-answer')).toContainText('16.5')
  await page.getByLabel(say('mixing.lance.wanted')).fill('40')
  await expect(page.locator('.bench-answer')).toContainText('reaches at most')
  await page.getByLabel(say('mixing.lance.bottleMillilitres')).fill('1000')
  await page.getByLabel(say('mixing.lance.emptySeconds')).fill('60')
  await page.getByRole('button', { name: say('mixing.lance.useMeasured', { flow: '1 l/min' }) }).click()
  await expect(page.getByText('draw 1 l/min')).toBeVisible()
})

test('the rule book finds rules by finish, and settings change a plan and say so', async ({ page }) => {
  await page.goto('/rules?q=matte')
  await expect(page.locator('.rule-row')).not.toHaveCount(0)
  await expect(page.locator('.rule-row').first()).toContainText(/matte/i)
  await page.goto('/rules?q=unicorn')
  await expect(page.getByText(say('rules.noMatch', { words: 'unicorn' }))).toBeVisible()

  await page.goto('/settings')
  await page
    .getByRole('group', { name: 'Tyre dressing' })
    .getByRole('button', { name: /Solvent-based/ })
    .click()
  await page.getByLabel(say('settings.equipment.bucket')).fill('9000')
  await page.getByRole('button', { name: say('settings.save') }).click()
  await expect(page.getByText(say('fields.between', { low: '1 l', high: '50 l' }))).toBeVisible()
  await page.getByLabel(say('settings.equipment.bucket')).fill('12')
  await page.getByText(like('settings.estimates.all')).click()
  const margin = page.getByLabel(say('estimates.wetMargin.name'))
  await margin.fill('40')
  await page.getByRole('button', { name: say('settings.save') }).click()
  await expect(page.getByText(say('fields.range', { low: 0.2, high: 1 }))).toBeVisible()
  await margin.fill('')
  await page.getByRole('button', { name: say('settings.save') }).click()
  await expect(page.getByText(say('common.saved'))).toBeVisible()
  await page.goto('/wheels?q=Pellam')
  await page.locator('.set-row').click()
  await page.getByRole('link', { name: say('today.planJob') }).click()
  // Near freezing no tyre is dressed, whatever the shop likes.
  await page.getByLabel(say('intake.airCelsius')).fill('18')
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await expect(page.locator('.stage').filter({ hasText: 'Wet Wall' })).toBeVisible()
  await page.getByText(say('plan.assumptions.title')).click()
  await expect(page.getByText('Tyre dressing: solvent-based, wet gloss (your setting)')).toBeVisible()
})

test('two windows on one tool, and on the settings: the second is told, and nothing is overwritten', async ({
  page,
  context,
}) => {
  const other = await context.newPage()
  await page.goto('/cabinet/tools')
  const href = await page
    .locator('a[href^="/cabinet/tools/"]:not([href$="/new"])')
    .first()
    .getAttribute('href')
  for (const window of [page, other]) await window.goto(`${href}`)
  await page.getByLabel(say('cabinet.product.name')).fill('First hand')
  await page.getByRole('button', { name: /^Save/ }).click()
  await page.waitForURL('**/cabinet/tools')
  await other.getByLabel(say('cabinet.product.name')).fill('Second hand')
  await other.getByRole('button', { name: /^Save/ }).click()
  await expect(other.getByText('was changed in another window')).toBeVisible()
  await expect(other.getByLabel(say('cabinet.product.name'))).toHaveValue('Second hand')

  for (const window of [page, other]) await window.goto('/settings')
  await page.getByLabel(say('settings.shop.name')).fill('First shop')
  await page.getByRole('button', { name: say('settings.save') }).click()
  await expect(page.getByText(say('common.saved'))).toBeVisible()
  await other.getByLabel(say('settings.shop.name')).fill('Second shop')
  await other.getByRole('button', { name: say('settings.save') }).click()
  await expect(other.getByText(/Another window set this to First shop/)).toBeVisible()
  // What the second typed is kept as a draft on this device; what is stored is the first's.
  expect(await (await page.request.get('/settings')).text()).toContain('value="First shop"')
})

test('two windows on different settings: both stay, also after a second save', async ({ page, context }) => {
  const other = await context.newPage()
  for (const window of [page, other]) await window.goto('/settings')
  const save = async (window: Page, label: string, text: string) => {
    await window.getByLabel(label).fill(text)
    await window.getByRole('button', { name: say('settings.save') }).click()
    await expect(window.getByText(say('common.saved'))).toBeVisible()
  }
  await save(page, 'Washer pressure', '111')
  await save(other, 'Wheel bucket', '13')
  await save(page, 'Washer flow', '7.5')
  await save(other, 'Lance draw', '1.5')
  await page.reload()
  for (const [label, text] of [
    ['Washer pressure', '111'],
    ['Wheel bucket', '13'],
    ['Washer flow', '7.5'],
    ['Lance draw', '1.5'],
  ] as const)
    await expect(page.getByLabel(label)).toHaveValue(text)
})
