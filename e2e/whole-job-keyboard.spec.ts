import { say } from './words'
import type { Page } from '@playwright/test'
import { workThrough } from './jobActions'
import { expect, test } from './server'

/** Presses Tab until the wanted element has the focus. */
async function tabTo(page: Page, name: RegExp, most = 150): Promise<void> {
  for (let presses = 0; presses < most; presses += 1) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const element = document.activeElement
      const label = element?.id ? document.querySelector(`label[for="${element.id}"]`)?.textContent : null
      return element?.getAttribute('aria-label') ?? label ?? element?.textContent ?? ''
    })
    if (name.test(focused.trim())) return
  }
  throw new Error(`No ${String(name)} within ${most} tabs`)
}

test('a known set from today to the log with the keyboard alone', async ({ page }) => {
  await page.goto('/')
  await tabTo(page, new RegExp(`^${say('frame.skip')}$`))
  await tabTo(page, /^Wheels$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: say('wheels.title') })).toBeVisible()

  await tabTo(page, /^Search by vehicle or set$/)
  await page.keyboard.type('nimbra')
  await page.keyboard.press('Enter')
  await expect(page.locator('.set-row')).toHaveCount(1)
  await tabTo(page, /^Nimbra Nine/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Nimbra Nine, Road wheels' })).toBeVisible()
  await tabTo(page, new RegExp(say('today.planJob')))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: say('intake.title') })).toBeVisible()

  // A zone in the drawing is a button, too.
  await tabTo(page, /^arch(;|$)/)
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { name: /, arch$/ })).toBeVisible()
  await tabTo(page, /^loose grit 3, heavy$/)
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: 'loose grit 3, heavy' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.keyboard.press('Enter')
  await page.keyboard.press('Shift+Tab')
  await page.goto(page.url())
  await tabTo(page, new RegExp(`^${say('intake.plan')}$`))
  await page.keyboard.press('Enter')
  await expect(page.locator('.plan-answer')).toBeVisible()
  await tabTo(page, /^Start in the bay/)
  await page.keyboard.press('Enter')
  await expect(page.locator('.run')).toBeVisible()
  await tabTo(page, /^Done$/)
  const taps = await workThrough(page, () => page.keyboard.press('Enter'))
  expect(taps).toBeGreaterThan(8)
  expect(taps).toBeLessThanOrEqual(46)
  await tabTo(page, new RegExp(`^${say('bay.finish.save')}$`))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: say('log.title') })).toBeVisible()
  await expect(page.locator('.log-row').first()).toContainText('Nimbra Nine')
})
