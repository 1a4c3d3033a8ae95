import { say } from './words'
import { randomUUID } from 'node:crypto'
import type { APIRequestContext, Page } from '@playwright/test'
import { expect, test, testTime } from './server'
import { openDeeper, tapOnce } from './jobActions'

const title = (page: Page) => page.locator('.run-now h1')
const main = (page: Page) => page.locator('.run-acts [data-best]')
const saved = (page: Page) => expect(page.locator('.run-state [role=status]')).toHaveText(/^Step/)

async function startJob(
  page: Page,
  set: string,
  people: 1 | 2,
  weather: Record<string, string> = {},
  leftOut: readonly string[] = [],
): Promise<string> {
  await page.goto(`/wheels?q=${encodeURIComponent(set)}`)
  await page.locator('.set-row').first().click()
  await page.getByRole('link', { name: say('today.planJob') }).click()
  await page.getByLabel(say('intake.service')).selectOption('decontaminate')
  for (const wheel of leftOut) {
    await page.getByRole('group', { name: wheel }).getByRole('button').first().dispatchEvent('click')
    await page.getByRole('button', { name: say('intake.skipWheel') }).click()
  }
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await expect(page.locator('.plan-answer')).toBeVisible()
  await openDeeper(page, say('plan.conditions'))
  for (const [label, value] of Object.entries(weather)) {
    await page.getByLabel(label, { exact: true }).fill(value)
  }
  if (people === 2) {
    await page.getByRole('button', { name: say('conditions.people.two') }).click()
    await openDeeper(page, say('plan.timeline.title'))
    await expect(page.getByRole('group', { name: 'Person 2' }).getByRole('button').first()).toBeVisible()
    await expect(page.locator('.plan')).toHaveAttribute('aria-busy', 'false')
  }
  await page.getByRole('link', { name: say('plan.head.start') }).click()
  await expect(title(page)).toBeVisible()
  return /jobs\/([^/]+)/.exec(page.url())?.[1] ?? ''
}

const tapsOf = async (request: APIRequestContext, jobId: string) =>
  (
    (await (await request.get(`/api/jobs/${jobId}/events`)).json()) as {
      events: { stepId: string; kind: string }[]
    }
  ).events

test('a film that is nearly dry while its product dwells is misted in one tap, which can be taken back', async ({
  page,
  request,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  // One wheel, so that its wait is not filled with work at another.
  const weather = { [say('conditions.fields.airCelsius')]: '28', 'Humidity, %': '30', Wind: '12' }
  const jobId = await startJob(page, 'Halden', 1, weather, ['Front right', 'Rear left', 'Rear right'])
  const post = async (data: { kind: string; stepId: string; at: string }) =>
    expect(
      (await request.post(`/api/jobs/${jobId}/events`, { data: { ...data, requestId: randomUUID() } })).ok(),
    ).toBe(true)
  // On to a chemical that dwells longer than its film lasts; its mists are given at once, far too early.
  const waits = page.getByText(/^Let it dwell [1-9]:/)
  let mists = 0
  for (let taps = 0; !(mists > 0 && (await waits.isVisible())); taps += 1) {
    expect(taps).toBeLessThan(80)
    mists = (await main(page).textContent()) === 'Misted' ? mists + 1 : 0
    await tapOnce(page)
    // The wait shows with the next tick of the clock.
    if (mists > 0) await waits.waitFor({ timeout: 2500 }).catch(() => undefined)
  }
  await saved(page)
  const early = (await tapsOf(request, jobId)).slice(-1 - mists)
  const keepWet = page.locator('.keep-wet')
  await expect(keepWet).toHaveCount(0)
  // As if that had been a while ago: longer and longer, until the film is near its end.
  for (let age = 60; !(await keepWet.isVisible()); age += 5) {
    expect(age).toBeLessThan(300)
    for (const { stepId } of [...early].reverse())
      await post({ kind: 'undone', stepId, at: testTime().toISOString() })
    // Apart enough that they are not taken for a burst that catches up.
    for (const [index, { stepId }] of early.entries()) {
      const ago = age + 4 * (early.length - 1 - index)
      await post({ kind: 'done', stepId, at: new Date(testTime().getTime() - ago * 1000).toISOString() })
    }
    await page.reload()
    await saved(page)
    // Clocks and the call to keep wet are drawn together.
    await expect(page.locator('.run-clock .clock-time').filter({ hasText: /\d/ }).first()).toBeVisible()
  }
  // Another wheel may be as near; this is the one that is asked for first.
  const wheel = (await keepWet.locator('b').textContent()) ?? ''
  const asked = keepWet.filter({ hasText: wheel })
  await expect(asked).toContainText('nearly dry')
  const step = page.locator('.run-state [role=status]')
  const before = await step.textContent()
  await asked.click()
  await expect(asked).toHaveCount(0)
  // A mist settles no step; what comes next may be another wheel, now that this one is wet.
  await expect(step).toHaveText(before ?? '')
  await saved(page)
  expect((await tapsOf(request, jobId)).at(-1)?.kind).toBe('misted')
  await page.reload()
  await saved(page)
  await expect(asked).toHaveCount(0)
  await page.getByRole('button', { name: /^Undo: the mist/ }).click()
  await expect(asked).toBeVisible()
})

test('two phones in one bay: each has its own steps and sees what the other did', async ({
  page,
  browser,
  server,
}) => {
  const jobId = await startJob(page, 'Corvane', 2)
  const phone = await browser.newContext({ baseURL: server.address, viewport: { width: 390, height: 844 } })
  const other = await phone.newPage()
  await other.goto(`/jobs/${jobId}/run`)
  await other.getByRole('button', { name: 'Person 2' }).click()
  await other.reload()
  await expect(other.getByRole('button', { name: 'Person 2' })).toHaveAttribute('aria-pressed', 'true')
  // What both do together is settled on one phone and gone from the other.
  await tapOnce(page)
  await saved(page)
  await expect(other.locator('.run-state [role=status]')).toHaveText(/^Step 4 /, { timeout: 15_000 })
  const lines = (tab: Page) => tab.locator('.run-now')
  await expect(lines(other)).not.toHaveText((await lines(page).textContent()) ?? '')
  await tapOnce(other)
  await saved(other)
  await expect(page.locator('.run-state [role=status]')).not.toHaveText(/^Step 4 /, { timeout: 15_000 })
  const events = (await (await page.request.get(`/api/jobs/${jobId}/events`)).json()) as {
    events: { person?: number }[]
  }
  expect(events.events.map(({ person }) => person)).toEqual([0, 0, 0, ...events.events.slice(3).map(() => 1)])
  await phone.close()
})
