import { say } from './words'
import { cpSync, rmSync } from 'node:fs'
import { workThrough } from './jobActions'
import { expect, newFolder, startServer, test } from './server'

const phone = {
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  isMobile: true,
  ignoreHTTPSErrors: true,
}

test('a job that was opened is worked to its end while the program is gone, pages opened anew included, and all arrives once', async ({
  browser,
}) => {
  test.setTimeout(180_000)
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  const server = await startServer(folder)
  const context = await browser.newContext({ ...phone, baseURL: server.address })
  const page = await context.newPage()
  await page.goto('/wheels?q=Mossen')
  await page.locator('.set-row').first().tap()
  await page.getByRole('link', { name: say('today.planJob') }).tap()
  await page.getByLabel(say('intake.airCelsius')).fill('18')
  await page.getByRole('button', { name: say('intake.plan') }).tap()
  await page.getByRole('link', { name: say('plan.head.start') }).tap()
  await expect(page.locator('[data-kept-offline=true]')).toHaveCount(1)
  const best = page.locator('.run-acts [data-best]')
  const settled = async () => Number(await page.locator('.run').getAttribute('data-settled'))
  for (let taps = 0; taps < 3; taps += 1) {
    const before = await settled()
    await best.tap()
    await expect.poll(settled).toBeGreaterThan(before)
  }
  await expect(page.getByRole('status').filter({ hasText: /^Step/ })).toBeVisible()
  const acknowledged = await settled()

  await server.stop()
  await page.reload()
  await expect(page.locator('.run[data-live=true]')).toBeVisible()
  expect(await settled()).toBe(acknowledged)
  await workThrough(page, () => best.tap())
  await expect(page.getByText(say('bay.finish.offline'))).toBeVisible()
  // The phone runs out, and is started again: still without the program.
  const jobPage = page.url()
  await page.close()
  const later = await context.newPage()
  await later.goto(jobPage)
  await expect(later.getByRole('heading', { name: say('bay.finish.title') })).toBeVisible()

  const again = await startServer(folder, false, { EVEN_SPOKE_PORT: new URL(server.address).port, EVEN_SPOKE_ADDRESS: server.address }) // prettier-ignore
  await expect(later.getByRole('button', { name: say('bay.finish.save') })).toBeEnabled({ timeout: 30_000 })
  const id = /jobs\/([0-9a-f-]{36})/.exec(jobPage)?.[1] ?? ''
  const { events } = (await (await later.request.get(`/api/jobs/${id}/events`)).json()) as {
    events: { kind: string; stepId: string }[]
  }
  const done = events.filter(({ kind }) => kind === 'done' || kind === 'answered').map(({ stepId }) => stepId)
  expect(new Set(done).size).toBe(done.length)
  expect(done.length).toBeGreaterThan(acknowledged)
  await later.getByRole('button', { name: say('bay.finish.save') }).tap()
  await later.waitForURL('**/log**')
  await context.close()
  await again.stop()
  rmSync(folder, { recursive: true, force: true })
})

test('a phone can put it on its home screen', async ({ request }) => {
  const manifest = (await (await request.get('/manifest.webmanifest')).json()) as {
    icons: { src: string }[]
    display: string
  }
  expect(manifest.display).toBe('standalone')
  for (const { src } of manifest.icons)
    expect((await request.get(src)).headers()['content-type']).toBe('image/png')
  expect((await request.get('/sw.js')).headers()['content-type']).toContain('javascript')
})
