import { say } from './words'
import type { Locator, Page } from '@playwright/test'
import { expect, test } from './server'
import { openDeeper } from './jobActions'

/** Counts what a person does: each click, each field filled. */
function counted(page: Page) {
  let actions = 0
  return {
    count: () => actions,
    click: async (locator: Locator) => {
      actions += 1
      await locator.click()
    },
    fill: async (label: string, text: string) => {
      actions += 1
      await page.getByLabel(label, { exact: true }).fill(text)
    },
    choose: async (label: string, value: string) => {
      actions += 1
      await page.getByLabel(label, { exact: true }).selectOption(value)
    },
  }
}

test('a known vehicle reaches its plan in three taps', async ({ page }) => {
  await page.goto('/wheels')
  const person = counted(page)
  await person.click(page.locator('.set-row').filter({ hasText: 'Pellam Four' }))
  await person.click(page.getByRole('link', { name: say('today.planJob') }))
  await person.click(page.getByRole('button', { name: say('intake.plan') }))
  await expect(page.locator('.plan-answer')).toBeVisible()
  expect(person.count()).toBe(3)
  await openDeeper(page, say('plan.options.title'))
  // Plans that come to the same are told once.
  await expect(page.getByRole('radio').first()).toBeVisible()
  await expect(page.getByRole('radio', { name: /^Gentlest/ })).toHaveAttribute('aria-checked', 'true')
})

test('a new vehicle is planned with a dozen actions, well under three minutes', async ({ page }) => {
  const began = Date.now()
  await page.goto('/wheels/new')
  const person = counted(page)
  await person.fill(say('wheelSet.vehicle'), 'Marl Ketter')
  await person.fill(say('wheelSet.name.label'), 'Summer set')
  await person.fill('Tyre code', '225/45 R18')
  await person.fill('Rim width, inches', '8')
  await person.fill('Spokes', '10')
  await person.click(page.getByText(say('wheelSet.finder.open')))
  const ask = (question: string, answer: string) =>
    person.click(page.getByRole('group', { name: question }).getByRole('button', { name: answer }))
  await ask(say('wheelSet.finder.questions.look.ask'), say('wheelSet.finder.questions.look.paintLike'))
  await ask(say('wheelSet.finder.questions.sheen.ask'), say('wheelSet.finder.questions.sheen.gloss'))
  await ask(say('wheelSet.finder.questions.cloth.ask'), say('wheelSet.finder.questions.cloth.clean'))
  await expect(
    page.getByText(say('wheelSet.finder.found.sure', { finish: 'painted, gloss lacquer' })),
  ).toBeVisible()
  await person.click(page.getByRole('button', { name: say('wheelSet.finder.wholeWheel') }))
  await person.click(page.getByRole('button', { name: say('wheelSet.save') }))
  await expect(page.getByRole('heading', { name: 'Marl Ketter, Summer set' })).toBeVisible()
  await person.click(page.getByRole('link', { name: say('today.planJob') }))
  // A first visit: nobody knows when they were last clean.
  await expect(page.getByLabel(say('intake.service'))).toHaveValue('decontaminate')
  await person.click(page.getByRole('button', { name: say('intake.plan') }))
  await expect(page.locator('.plan-answer')).toContainText('About')
  expect(person.count()).toBeLessThanOrEqual(14)
  expect(Date.now() - began).toBeLessThan(180_000)
})

test('wishes change the plan at once and are kept', async ({ page }) => {
  await page.goto('/')
  await page.locator('.job-row').filter({ hasText: 'Brackwater' }).getByRole('link').first().click()
  const answer = page.locator('.plan-answer')
  const kept = () => expect(page.locator('.plan')).toHaveAttribute('aria-busy', 'false')
  const gentle = await answer.textContent()
  await openDeeper(page, say('plan.options.title'))
  await page.getByRole('radio', { name: /^Fastest/ }).click()
  await expect(answer).not.toHaveText(gentle ?? '')
  const fast = (await answer.textContent()) ?? ''
  await expect(page.getByRole('radio', { name: /^Fastest/ })).toHaveAttribute('aria-checked', 'true')
  await kept()
  await page.reload()
  await expect(answer).toHaveText(fast)
  await openDeeper(page, say('plan.options.title'))

  // Without the gel.
  await page
    .locator('.stage')
    .filter({ hasText: 'Mule Gel' })
    .first()
    .getByText(say('plan.product.reasons'))
    .click()
  await page.getByRole('button', { name: 'Plan without Mule Gel' }).first().click()
  await expect(
    page.getByRole('button', { name: say('plan.wishes.never', { product: 'Mule Gel' }) }),
  ).toBeVisible()
  await expect(page.locator('.stage').filter({ hasText: 'Mule Gel' })).toHaveCount(0)
  await page.getByRole('button', { name: say('plan.wishes.never', { product: 'Mule Gel' }) }).click()
  await expect(page.locator('.stage').filter({ hasText: 'Mule Gel' }).first()).toBeVisible()

  // A limit no plan keeps is said, with the nearest plan.
  await page.getByLabel(say('plan.wishes.minutes')).fill('5')
  await expect(page.getByText('You allowed 5 min.')).toBeVisible()
  await page.getByLabel(say('plan.wishes.minutes')).fill('')
  await expect(page.getByText('You allowed 5 min.')).toHaveCount(0)

  // Pinned from the list of all bottles.
  await page.getByText(/^All products on these wheels/).click()
  await page.getByRole('button', { name: 'Always use Ondra Keep' }).click()
  await expect(page.locator('.stage').filter({ hasText: 'Ondra Keep' }).first()).toBeVisible()
  await kept()
  await page.reload()
  await openDeeper(page, say('plan.options.title'))
  await expect(
    page.getByRole('button', { name: say('plan.wishes.always', { product: 'Ondra Keep' }) }),
  ).toBeVisible()
  await openDeeper(page, say('plan.soil.title'))
  await expect(page.getByRole('img', { name: say('plan.soil.chart') })).toBeVisible()
})

test('what is expected follows the kilometres until somebody grades by hand', async ({ page }) => {
  await page.goto('/wheels')
  await page.locator('.set-row').filter({ hasText: 'Mossen Volta' }).click()
  await page.getByRole('link', { name: say('today.planJob') }).click()
  const dust = (grade: string) => page.getByRole('button', { name: `fresh brake dust ${grade}` })
  await page.getByLabel(say('intake.kilometres')).fill('40000')
  await expect(dust('4, neglected')).toHaveAttribute('aria-pressed', 'true')
  await page.getByLabel(say('intake.kilometres')).fill('10')
  await expect(dust('0, none')).toHaveAttribute('aria-pressed', 'true')
  await dust('2, moderate').click()
  await page.getByLabel(say('intake.kilometres')).fill('9000')
  await expect(dust('2, moderate')).toHaveAttribute('aria-pressed', 'true')
  await page.getByLabel(say('intake.kilometres')).fill('-4')
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await expect(page.getByText(say('fields.between', { low: '0 km', high: '200,000 km' }))).toBeVisible()
})

test('contradictory finishes are refused where they stand', async ({ page }) => {
  await page.goto('/wheels/new')
  await page.getByLabel(say('wheelSet.vehicle')).fill('Odd One')
  await page.getByLabel(say('wheelSet.name.label')).fill('Set')
  await page.getByLabel('Tyre code').fill('205/55 R16')
  await page.getByLabel('Rim width, inches').fill('6.5')
  await page.getByLabel('Spokes').fill('5')
  await page.getByLabel('face', { exact: true }).selectOption('polishedBare')
  await page.getByLabel('Condition of the face').selectOption('peeling')
  await page.getByRole('button', { name: say('wheelSet.save') }).click()
  await expect(page.getByText(/has no lacquer that could peel/).first()).toBeVisible()
  await expect(page).toHaveURL(/wheels\/new$/)
})
