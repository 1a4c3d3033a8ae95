import type { Page } from '@playwright/test'
import { expect, test } from './server'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

const settledOf = async (page: Page) => Number(await page.locator('.run').getAttribute('data-settled'))
const title = (page: Page) => page.locator('.run-now h1')
const ending = (page: Page) => page.getByRole('heading', { name: 'How did it go?' })

async function startJob(page: Page, set: string, service = 'decontaminate'): Promise<void> {
  await page.goto(`/wheels?q=${encodeURIComponent(set)}`)
  await page.locator('.set-row').first().tap()
  await page.getByRole('link', { name: 'Plan a visit' }).tap()
  await page.getByLabel('Service').selectOption(service)
  await page.getByRole('button', { name: 'Plan it' }).tap()
  await page.getByRole('link', { name: 'Start in the bay' }).tap()
  await expect(page.locator('.run[data-live=true]')).toBeVisible()
}

/** Taps and waits until it has counted. */
async function tapAndCount(page: Page, tap: () => Promise<void>): Promise<void> {
  const before = await settledOf(page)
  await tap()
  await expect(page.locator(`.run[data-settled="${before}"]`)).toHaveCount(0)
}

test('shots', async ({ page }) => {
  await startJob(page, process.env.SET ?? 'Iverna')
  const best = page.locator('.run-acts [data-best]')
  const seen = new Set<string>()
  for (let taps = 0; taps < 80 && !(await ending(page).isVisible()); taps += 1) {
    for (const [name, group] of Object.entries({ foam: 'Foam', look: 'Look', spot: 'Test spot', iron: 'Iron' })) {
      if (seen.has(name) || !(await page.getByRole('group', { name: group, exact: true }).isVisible())) continue
      seen.add(name)
      await page.screenshot({ path: `/tmp/x/shots/seen-${name}.png` })
      if (name === 'foam') await tapAndCount(page, () => page.getByRole('button', { name: 'Brown' }).tap())
      if (name === 'spot') await tapAndCount(page, () => page.getByRole('button', { name: 'It marked' }).tap())
      if (name === 'look') {
        await page.getByRole('button', { name: 'Something stayed' }).tap()
        await page.getByRole('group', { name: 'Behind' }).getByRole('button', { name: 'barrel' }).tap()
        await page.getByRole('group', { name: 'Soil' }).getByRole('button', { name: 'bonded brake dust' }).tap()
        await page.screenshot({ path: `/tmp/x/shots/seen-stayed.png` })
        await tapAndCount(page, () => page.getByRole('button', { name: 'Treat it' }).tap())
      }
      await page.screenshot({ path: `/tmp/x/shots/seen-${name}-after.png` })
    }
    if (await ending(page).isVisible()) break
    await tapAndCount(page, () => best.tap())
  }
  await page.screenshot({ path: `/tmp/x/shots/seen-end.png` })
})
