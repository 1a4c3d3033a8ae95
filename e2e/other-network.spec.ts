import { say } from './words'
import { cpSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { connect } from 'node:tls'
import sharp from 'sharp'
import { workThrough } from './jobActions'
import { openOtherNetwork, type OtherNetwork } from './otherNetwork'
import { paired } from './pairing'
import { expect, newFolder, startServer, test as base } from './server'

const test = base.extend<{ network: OtherNetwork }>({
  network: async ({}, provide) => {
    const network = await openOtherNetwork()
    await provide(network)
    await network.close()
  },
})

test('a phone on another network comes in, works a job to its end while the program is gone, and all arrives once; put out, it is out', async ({
  browser,
  network,
}, info) => {
  test.setTimeout(240_000)
  info.annotations.push({
    type: network.isOwn ? 'on a network of its own' : 'on another name of this machine',
  })
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  const open = { EVEN_SPOKE_LAN_HOST: '0.0.0.0' }
  const server = await startServer(folder, true, open)
  const { port } = new URL(server.networkAddress)
  const address = `https://${network.machine}:${port}`
  const desk = await browser.newPage({ baseURL: server.address })
  // The plain door is this machine's alone.
  const stranger = await network.browser.newContext()
  if (network.isOwn)
    await expect(stranger.request.get(server.address.replace('127.0.0.1', network.machine))).rejects.toThrow()
  const bay = await paired(network.browser, address, desk, 'Bay')
  const page = await bay.newPage()
  await page.goto('/wheels?q=Mossen')
  const set = (await page.locator('.set-row').first().getAttribute('href')) ?? ''
  await page.goto(set)
  await page.getByRole('link', { name: say('today.planJob') }).tap()
  await page.getByLabel(say('intake.airCelsius')).fill('18')
  await page.getByRole('button', { name: say('intake.plan') }).tap()
  await page.getByRole('link', { name: say('plan.head.start') }).tap()
  await expect(page.locator('[data-kept-offline=true]')).toHaveCount(1)
  const run = new URL(page.url()).pathname

  await server.stop()
  await page.reload()
  await expect(page.locator('.run[data-live=true]')).toBeVisible()
  await page.getByLabel(/photograph the set/).setInputFiles({
    name: 'wheel.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#234' } }).jpeg().toBuffer(),
  }) // prettier-ignore
  await expect(page.getByText(say('photos.short.later'))).toBeVisible()
  const taps = await workThrough(page, () => page.locator('.run-acts [data-best]').tap())
  expect(taps).toBeGreaterThan(3)

  const ports = { EVEN_SPOKE_PORT: new URL(server.address).port, EVEN_SPOKE_LAN_PORT: port }
  const again = await startServer(folder, true, { ...open, ...ports, EVEN_SPOKE_ADDRESS: server.address })
  await expect(page.getByRole('button', { name: say('bay.finish.save') })).toBeEnabled({ timeout: 90_000 })
  const { events } = (await (await bay.request.get(`/api${run.replace('/run', '/events')}`)).json()) as {
    events: { kind: string; stepId: string }[]
  }
  const done = events.filter(({ kind }) => kind === 'done' || kind === 'answered').map(({ stepId }) => stepId)
  expect(done.length).toBeGreaterThan(3)
  expect(new Set(done).size).toBe(done.length)
  await page.getByRole('button', { name: say('bay.finish.save') }).tap()
  await page.waitForURL('**/log**')
  await page.goto(`${set}/photographs`)
  await expect(page.locator('.photographs li')).toHaveCount(1, { timeout: 30_000 })

  await desk.goto('/settings/phones')
  await desk
    .getByRole('button', { name: say('access.devices.revokeDevice', { device: 'Bay phone' }) })
    .click()
  await expect(
    desk.getByRole('button', { name: say('access.devices.revokeDevice', { device: 'Bay phone' }) }),
  ).toHaveCount(0)
  await expect.poll(async () => (await bay.request.get('/api/clock')).status(), { timeout: 1000 }).toBe(401)
  await bay.close()
  await again.stop()
  rmSync(folder, { recursive: true, force: true })
})

test('an address that the machine gets while the program runs is offered within seconds, with a certificate for it', async ({
  browser,
  network,
}) => {
  test.skip(!network.isOwn, 'no network of its own can be made here')
  const folder = newFolder()
  const server = await startServer(folder, true, { EVEN_SPOKE_LAN_HOST: '0.0.0.0' })
  const { port } = new URL(server.networkAddress)
  const desk = await browser.newPage({ baseURL: server.address })
  await desk.goto('/settings/phones')
  await expect(desk.getByText(`https://${network.machine}:${port}`)).toBeVisible()

  const another = network.addAddress()
  const { certificate } = JSON.parse(readFileSync(join(folder, 'network', 'authority.json'), 'utf8')) as {
    certificate: string
  }
  await expect
    .poll(() => certificateFault(another, Number(port), certificate), { timeout: 15_000 })
    .toBe(null)
  await desk.reload()
  await expect(desk.getByText(`https://${another}:${port}`)).toBeVisible()
  const phone = await (await network.browser.newContext({ ignoreHTTPSErrors: true })).newPage()
  await phone.goto(`https://${another}:${port}/pair`)
  await expect(phone.getByLabel(say('access.pair.code'))).toBeVisible()
  await desk.close()
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
})

/** What somebody who trusts the shop has against the certificate under an address; null: nothing. */
const certificateFault = (host: string, port: number, ca: string): Promise<string | null> =>
  new Promise((resolve) => {
    const socket = connect({ host, port, ca }, () => {
      socket.end()
      resolve(null)
    })
    socket.once('error', (error) => resolve(error.message))
  })
