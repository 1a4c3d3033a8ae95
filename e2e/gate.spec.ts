import { like, say } from './words'
import { createServer } from 'node:http'
import { request as ask } from 'node:http'
import type { AddressInfo } from 'node:net'
import { cpSync, readFileSync, rmSync } from 'node:fs'
import { codeFor, paired, phone } from './pairing'
import { expect, newFolder, startServer, test, type AppServer } from './server'

/** A server with the demo data that lets the network in. */
async function openServer(): Promise<{ server: AppServer; end: () => Promise<void> }> {
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  const server = await startServer(folder, true)
  return {
    server,
    end: async () => {
      await server.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

test('a phone comes in with the code of the desk, sees what is the bay’s, and is out within a second', async ({
  browser,
}) => {
  test.setTimeout(180_000)
  const { server, end } = await openServer()
  const desk = await browser.newPage({ baseURL: server.address })
  const stranger = await browser.newContext({ ...phone, baseURL: server.networkAddress })
  const page = await stranger.newPage()
  await page.goto('/due')
  await expect(page.getByRole('heading', { name: say('access.pair.title') })).toBeVisible()
  expect((await stranger.request.get('/api/cabinet/json')).status()).toBe(401)
  const code = await codeFor(desk, 'Bay')
  expect(
    (await stranger.request.post('/api/pair', { data: { code: 'ABCD EFGH', name: 'x' } })).status(),
  ).toBe(403)
  await desk.close()
  const again = await browser.newPage({ baseURL: server.address })
  expect(code).toMatch(/^[A-Z0-9]{4} [A-Z0-9]{4}$/)
  const bay = await paired(browser, server.networkAddress, again, 'Bay')
  const [cookie] = await bay.cookies()
  expect(cookie).toMatchObject({ httpOnly: true, secure: true, sameSite: 'Strict' })
  for (const [path, status] of [
    ['/', 200],
    ['/wheels', 200],
    ['/due', 200],
    ['/settings', 403],
    ['/cabinet', 403],
    ['/settings/phones', 403],
    ['/api/cabinet/json', 403],
  ] as const)
    // prettier-ignore
    expect((await bay.request.get(path)).status(), path).toBe(status)
  // What only the server itself may say of a request is not believed.
  const spoofed = { 'x-even-spoke-door': 'desk', 'x-even-spoke-role': 'owner' }
  expect((await stranger.request.get('/api/cabinet/json', { headers: spoofed })).status()).toBe(401)
  const owner = await paired(browser, server.networkAddress, again, 'Owner')
  expect((await owner.request.get('/api/cabinet/json')).status()).toBe(200)
  await again.reload()
  await again
    .getByRole('button', { name: say('access.devices.revokeDevice', { device: 'Bay phone' }) })
    .click()
  await expect(
    again.getByRole('button', { name: say('access.devices.revokeDevice', { device: 'Bay phone' }) }),
  ).toHaveCount(0)
  await expect.poll(async () => (await bay.request.get('/api/clock')).status(), { timeout: 1000 }).toBe(401)
  expect((await owner.request.get('/api/clock')).status()).toBe(200)
  await end()
})

test('a device of the bay calls no action that is not the bay’s, whatever page it sends it to', async ({
  browser,
}) => {
  test.setTimeout(180_000)
  const { server, end } = await openServer()
  const desk = await browser.newPage({ baseURL: server.address })
  const bay = await paired(browser, server.networkAddress, desk, 'Bay')
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { exportedName: string }>
  }
  const wheels = await (await bay.request.get('/wheels')).text()
  const set = /\/wheels\/([0-9a-f-]{36})/.exec(wheels)![1]!
  const job = /\/jobs\/([0-9a-f-]{36})/.exec(await (await bay.request.get('/')).text())![1]!
  const ofTheBay = [
    'planVisit', 'keepChange', 'keepHour', 'endJob', 'discardPlan', 'askWeather', 'askThermometer', 'takeLookBack',
  ] // prettier-ignore
  const answered = new Set<string>()
  for (const [id, { exportedName }] of Object.entries(manifest.node))
    for (const page of [
      `/jobs/${job}/run`,
      `/jobs/${job}`,
      `/wheels/${set}/intake`,
      `/wheels/${set}/look`,
      `/wheels/${set}/protection`,
    ]) {
      const answer = await bay.request.post(page, {
        headers: {
          'next-action': id,
          'content-type': 'text/plain;charset=UTF-8',
          origin: server.networkAddress,
        },
        data: '[]',
      })
      if (answer.status() !== 200) {
        expect([403, 404], `${exportedName} at ${page}`).toContain(answer.status())
        continue
      }
      const text = await answer.text()
      // An action of another page is passed on to that page; where this device may not open it nothing comes back.
      if (text === '{}') continue
      // Each action says itself whom it lets in.
      const refused = /Only the owner|only be done on the shop/.test(text)
      expect(refused, `${exportedName} at ${page}: ${text.slice(0, 300)}`).toBe(
        !ofTheBay.includes(exportedName),
      )
      if (!refused) answered.add(exportedName)
    }
  expect([...answered].sort()).toEqual([...ofTheBay].sort())
  await end()
})

test('a phone of the bay sees no costs', async ({ browser }) => {
  const { server, end } = await openServer()
  const desk = await browser.newPage({ baseURL: server.address })
  const bay = await paired(browser, server.networkAddress, desk, 'Bay')
  const page = await bay.newPage()
  const pages = new Set(['/', '/wheels', '/due', '/rules', '/more'])
  await page.goto('/')
  const job = await page.locator('a[href^="/jobs/"]').first().getAttribute('href')
  await page.goto('/wheels')
  const set = await page.locator('.set-row').first().getAttribute('href')
  for (const part of ['', '/run', '/sheet']) pages.add(`${job}${part}`)
  for (const part of ['', '/look', '/intake', '/protection', '/care', '/photographs'])
    pages.add(`${set}${part}`)
  for (const path of pages) {
    await page.goto(path)
    expect(await page.locator('main').innerText(), path).not.toMatch(/€|EUR/)
    // Nor in what the page was drawn with.
    expect(await page.content(), path).not.toMatch(/packPriceMinor|priceMinor|costMinor[\\"]*:[1-9]/)
  }
  await end()
})

test('a code is good once, and guessing is locked out', async ({ browser }) => {
  const { server, end } = await openServer()
  const desk = await browser.newPage({ baseURL: server.address })
  const context = await browser.newContext({ ...phone, baseURL: server.networkAddress })
  const pair = async (code: string) =>
    (await context.request.post('/api/pair', { data: { code, name: 'Phone' } })).json() as Promise<{
      role?: string
      problems?: { fix: string }[]
    }>
  const code = await codeFor(desk, 'Bay')
  expect(await pair(code.toLowerCase())).toEqual({ role: 'bay' })
  expect((await pair(code)).problems?.[0]?.fix).toBe(say('problems.pairing.wrongCode'))
  const second = await codeFor(desk, 'Bay')
  // All at once, and with an address of its own making each: none of it makes it another phone.
  await Promise.all(
    Array.from({ length: 8 }, (_, at) =>
      context.request.post('/api/pair', {
        data: { code: 'WRONGONE', name: 'Phone' },
        headers: { 'x-forwarded-for': `10.0.0.${at}`, 'x-real-ip': `10.0.1.${at}` },
      }),
    ),
  )
  expect((await pair(second)).problems?.[0]?.fix).toMatch(like('problems.pairing.waitForCode'))
  // The lock was on that code: who mistyped it gets on with the next one.
  const fresh = await codeFor(desk, 'Bay')
  expect(await pair(fresh)).toEqual({ role: 'bay' })
  await end()
})

test('the desk asks for its passphrase once one is set', async ({ browser }) => {
  const { server, end } = await openServer()
  const desk = await browser.newPage({ baseURL: server.address })
  await desk.goto('/settings/phones')
  await desk.getByLabel(say('access.passphrase.label'), { exact: true }).fill('short')
  await desk.getByRole('button', { name: say('access.passphrase.save') }).click()
  await expect(desk.getByText('at least 8 characters')).toBeVisible()
  await desk.getByLabel(say('access.passphrase.label'), { exact: true }).fill('a long wet glove')
  await desk.getByRole('button', { name: say('access.passphrase.save') }).click()
  await expect(desk.getByText(say('access.passphrase.set'))).toBeVisible()
  const other = await browser.newContext({ baseURL: server.address })
  const page = await other.newPage()
  await page.goto('/cabinet')
  await expect(page.getByRole('heading', { name: say('access.unlock.title') })).toBeVisible()
  await page.getByLabel(say('access.unlock.passphrase')).fill('another one')
  await page.getByRole('button', { name: say('access.unlock.unlock') }).click()
  await expect(page.getByText('After several wrong tries')).toBeVisible()
  await page.getByLabel(say('access.unlock.passphrase')).fill('a long wet glove')
  await page.getByRole('button', { name: say('access.unlock.unlock') }).click()
  await page.waitForURL(`${server.address}/`)
  await end()
})

test('pages of another origin cannot write, read or frame it, and another name is not answered', async ({
  browser,
  server,
}) => {
  const page = await browser.newPage()
  const elsewhere = createServer((_request, response) => {
    response
      .writeHead(200, { 'content-type': 'text/html' })
      .end('<!doctype html><title>elsewhere</title><body></body>')
  })
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', resolve))
  const { port } = elsewhere.address() as AddressInfo
  await page.goto(`http://127.0.0.1:${port}/`)
  const ended: string[] = []
  page.on('requestfailed', (request) => ended.push(request.url()))
  page.on('response', (response) => {
    if (response.url().startsWith(server.address)) {
      ended.push(response.url())
      expect(response.status()).toBe(403)
    }
  })
  await page.evaluate(async (address) => {
    const form = (enctype: string, path: string) => {
      const element = document.createElement('form')
      Object.assign(element, { method: 'POST', enctype, action: address + path, target: 'sink' })
      element.innerHTML = '<input name=\'{"device":"thermometer","mode":"silent","x":"\' value=\'"}\'>'
      document.body.append(element)
      element.submit()
    }
    const frame = document.createElement('iframe')
    frame.name = 'sink'
    document.body.append(frame)
    await fetch(`${address}/api/devices/modes`, {
      method: 'POST',
      mode: 'no-cors',
      body: '{"device":"thermometer","mode":"silent"}',
    }).catch(() => undefined)
    await fetch(`${address}/api/cabinet/json`, { mode: 'no-cors' }).catch(() => undefined)
    form('text/plain', '/api/devices/modes')
  }, server.address)
  await expect
    .poll(() => ended.filter((url) => url.startsWith(server.address)).length)
    .toBeGreaterThanOrEqual(3)
  expect(await (await page.request.get(`${server.address}/api/devices/modes`)).json()).toMatchObject({
    thermometer: 'well',
  })
  const framed = await page.evaluate(async (address) => {
    const frame = document.createElement('iframe')
    frame.src = `${address}/`
    document.body.append(frame)
    await new Promise((resolve) => frame.addEventListener('load', resolve))
    return frame.contentDocument === null
  }, server.address)
  expect(framed).toBe(true)
  const status = await new Promise<number>((resolve, reject) =>
    ask(`${server.address}/api/clock`, { headers: { host: 'rebound.example' } }, (answer) =>
      resolve(answer.statusCode ?? 0),
    )
      .once('error', reject)
      .end(),
  )
  expect(status).toBe(421)
  await page.close()
  elsewhere.closeAllConnections()
  elsewhere.close()
})

test('every kind of answer carries the headers, and nothing tells a stack or a path', async ({ request }) => {
  const answers = await Promise.all([
    request.get('/'), request.get('/nothing'), request.get('/api/clock'), request.get('/api/nothing'), request.get('/icon.svg'),
    request.post('/api/plan', { data: 'no job' }), request.post('/api/plan', { headers: { 'content-type': 'text/plain' }, data: 'x' }),
    request.get('/wheels/%00'), request.get('/wheels/%ff'), request.get('/wheels?q=%00'), request.fetch('/', { method: 'PUT' }),
  ]) // prettier-ignore
  for (const answer of answers) {
    const headers = answer.headers()
    expect(answer.status(), answer.url()).toBeLessThan(500)
    expect(headers['content-security-policy'], answer.url()).toContain("frame-ancestors 'none'")
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['cross-origin-resource-policy']).toBe('same-origin')
    expect(headers['cache-control'], answer.url()).toContain('no-store')
    expect(await answer.text()).not.toMatch(/\n\s+at |node_modules|\/work\//)
  }
})

test('hundreds of requests that nobody sends on purpose: no 500, nothing told, nothing written without right', async ({
  server,
}) => {
  test.setTimeout(120_000)
  const { fuzz } = (await import('../bench/fuzz.mjs' as string)) as {
    fuzz: (
      address: string,
      count: number,
      options: { seed: string },
    ) => Promise<{ bad: string[]; statuses: Record<string, number> }>
  }
  const { bad, statuses } = await fuzz(server.address, 600, { seed: 'gloves' })
  expect(bad).toEqual([])
  expect(statuses['200']).toBeGreaterThan(20)
  expect(statuses['403']).toBeGreaterThan(20)
})
