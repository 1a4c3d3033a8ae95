import { like, say } from './words'
import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { expect, test, testTime } from './server'
import { tapOnce } from './jobActions'

async function startJob(page: Page, set: string, service: string): Promise<void> {
  await page.goto(`/wheels?q=${encodeURIComponent(set)}`)
  await page.locator('.set-row').first().click()
  await page.getByRole('link', { name: say('today.planJob') }).click()
  await page.getByLabel(say('intake.service')).selectOption(service)
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await page.getByRole('link', { name: say('plan.head.start') }).click()
  await expect(page.locator('.run[data-live=true]')).toBeVisible()
}
const settledOf = async (page: Page) => Number(await page.locator('.run').getAttribute('data-settled'))
const ending = (page: Page) => page.getByRole('heading', { name: say('bay.finish.title') })

test('a maintenance visit is worked by a one-button remote alone, within the taps good hands need', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await startJob(page, 'Pellam', 'maintain')
  let taps = 0
  const press = async (key: string): Promise<void> => {
    const before = await settledOf(page)
    await page.keyboard.press(key)
    taps += 1
    await expect(page.locator(`.run[data-settled="${before}"]`)).toHaveCount(0)
  }
  await press('PageDown')
  await press('PageUp')
  expect(await settledOf(page)).toBe(0)
  taps = 0
  for (const keys = ['PageDown', ' ', 'Enter']; !(await ending(page).isVisible());)
    await press(keys[taps % 3] as string)
  expect(taps).toBeGreaterThan(8)
  expect(taps).toBeLessThanOrEqual(26)
})

test('who has worked ahead says up to where, and takes it back as one', async ({ page }) => {
  await startJob(page, 'Corvane', 'decontaminate')
  const jobId = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? ''
  const earlier = new Date(testTime().getTime() - 10 * 60_000).toISOString()
  for (const stepId of ['lookRound', 'coolCheck', 'getReady']) {
    const data = { kind: 'done', stepId, at: earlier, requestId: randomUUID() }
    expect((await page.request.post(`/api/jobs/${jobId}/events`, { data })).ok()).toBe(true)
  }
  await page.reload()
  await expect(page.locator('.run[data-live=true]')).toHaveAttribute('data-settled', '3')
  const before = await settledOf(page)
  await page.getByText(like('bay.coming.title')).click()
  await page
    .getByRole('button', { name: say('bay.coming.doneUpTo') })
    .nth(1)
    .click()
  await expect(page.locator(`.run[data-settled="${before}"]`)).toHaveCount(0)
  expect(await settledOf(page)).toBeGreaterThan(before + 3)
  // What was caught up with is nowhere called late.
  await expect(page.locator('.run-lost')).toHaveCount(0)
  await expect(page.locator('.run-clock.is-over, .run-clock.is-dry')).toHaveCount(0)
  await page.getByRole('button', { name: like('bay.acts.undoStep') }).click()
  await expect(page.locator('.run')).toHaveAttribute('data-settled', String(before))
})

test('another wheel is chosen from the strip, and the rest follows', async ({ page }) => {
  await startJob(page, 'Corvane', 'maintain')
  await tapOnce(page)
  const title = page.locator('.run-now h1')
  const first = await title.textContent()
  await page.locator('.run-clock[data-corner="rearLeft"]').click()
  await expect(title).toHaveText('Rear left')
  await tapOnce(page)
  await expect(page.locator('.run-clock[data-corner="rearLeft"]')).not.toContainText(
    say('bay.clocks.resting.notStarted'),
  )
  await page.locator('.run-clock', { hasText: first === 'Front left' ? 'Front L' : 'Front R' }).click()
  await expect(title).toHaveText(first ?? '')
})

test('the next card is said aloud, in large letters, as the device is set', async ({ page }) => {
  await page.addInitScript(() => {
    const said: string[] = []
    Object.assign(window, { said })
    Object.defineProperty(window, 'speechSynthesis', {
      value: { speak: (words: { text: string }) => said.push(words.text) },
    })
    Object.defineProperty(window, 'SpeechSynthesisUtterance', {
      value: class {
        constructor(readonly text: string) {}
      },
    })
  })
  await startJob(page, 'Ferrow', 'maintain')
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said)
  await page.getByText(say('bay.device.title')).click()
  await page.getByLabel(say('bay.device.aloud')).check()
  await page.getByLabel(say('bay.device.far')).check()
  await expect(page.locator('.run')).toHaveClass(/is-far/)
  await tapOnce(page)
  const title = (await page.locator('.run-now h1').textContent()) ?? ''
  await expect.poll(async () => (await said()).some((text) => text.startsWith(title))).toBe(true)
  await page.reload()
  await expect(page.locator('.run')).toHaveClass(/is-far/)
})
