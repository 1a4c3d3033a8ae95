import sharp from 'sharp'
import { readFileSync } from 'node:fs'
import { expect, test, testTime } from './server'
import { say } from './words'

const example = readFileSync('docs/examples/winter-neglected.job.json', 'utf8')

test('a job file posted comes back as a plan', async ({ request }) => {
  const answer = await request.post('/api/plan', {
    data: example,
    headers: { 'content-type': 'application/json' },
  })
  expect(answer.status()).toBe(200)
  const plan = (await answer.json()) as { format: string; stages: unknown[] }
  expect(plan.format).toBe('even-spoke/plan/3')
  expect(plan.stages.length).toBeGreaterThan(4)
})

test('bad jobs are refused with path, found value and fix, and the server stays up', async ({ request }) => {
  const wrong = await request.post('/api/plan', {
    data: {
      format: 'even-spoke/job/1',
      corners: [{ position: 'frontLeft', tyreCode: 'big', rimWidthInches: -1, spokeCount: 5 }],
    },
  })
  expect(wrong.status()).toBe(422)
  const { problems } = (await wrong.json()) as { problems: { path: string; found: string; fix: string }[] }
  expect(problems.map(({ path }) => path)).toEqual(['corners[0].tyreCode', 'corners[0].rimWidthInches'])

  const junk = await request.post('/api/plan', {
    data: 'x'.repeat(5_000_000),
    headers: { 'content-type': 'application/json' },
  })
  expect(junk.status()).toBe(413)
  expect(await junk.text()).not.toContain('    at ')
  for (const body of ['', 'null', '[]', '{"corners":', '\u0000\u0001']) {
    const answer = await request.post('/api/plan', {
      data: body,
      headers: { 'content-type': 'application/json' },
    })
    expect(answer.status()).toBe(422)
  }
  expect((await request.get('/api/health')).ok()).toBe(true)
})

test('thousands of empty wheels do not hold the program', async ({ request }) => {
  const corners = Array.from({ length: 300_000 }, () => '{}').join(',')
  const junk = `{"format":"even-spoke/job/1","corners":[${corners}]}`
  const answer = await request.post('/api/plan', {
    data: junk,
    headers: { 'content-type': 'application/json' },
  })
  expect(answer.status()).toBe(422)
  const { problems } = (await answer.json()) as { problems: { path: string; found: string }[] }
  expect(problems).toEqual([
    { path: 'corners', found: 'a list of 300000', fix: say('fields.tooManyWheels', { most: 12 }) },
  ])
})

test('taps are refused when they cannot be true', async ({ request, page }) => {
  await page.goto('/')
  const href = await page
    .locator('.job-row')
    .filter({ hasText: 'Aldery' })
    .locator('h3 a')
    .getAttribute('href')
  const post = (data: object) => request.post(`/api${href}/events`, { data })
  const tap = {
    kind: 'done',
    stepId: 'lookRound',
    at: testTime().toISOString(),
    requestId: crypto.randomUUID(),
  }
  expect((await post({ ...tap, stepId: 'no such step' })).status()).toBe(409)
  expect((await post({ ...tap, at: '2001-01-01T00:00:00.000Z' })).status()).toBe(409)
  expect((await post({ ...tap, at: 'soon' })).status()).toBe(422)
  expect((await post({ ...tap, kind: 'broken' })).status()).toBe(422)
  expect((await post({ ...tap, person: 2 })).status()).toBe(422)
  expect((await request.post('/api/jobs/nothing/events', { data: tap })).status()).toBe(404)
  for (const id of ['nothing', '00000000-0000-4000-8000-000000000000'])
    expect((await request.get(`/api/jobs/${id}/events`)).status()).toBe(404)
  expect((await post(tap)).status()).toBe(200)
  // The same request again is the same tap.
  expect((await post(tap)).status()).toBe(200)
  await page.goto(`${href}/run`)
  await expect(page.locator('.run-state [role=status]')).toHaveText(/^Step 2/)
})

test('looks and photographs that cannot be are refused by name, and what is sent twice is kept once', async ({
  request,
  page,
}) => {
  await page.goto('/wheels?q=Tusker')
  const set = `/api${(await page.locator('.set-row').first().getAttribute('href')) ?? ''}`
  const nobody = '/api/wheels/00000000-0000-4000-8000-000000000000'
  const look = () => ({
    requestId: crypto.randomUUID(),
    positions: ['frontLeft'],
    beading: 3,
    afterReviving: false,
  })
  const picture = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#264' } })
    .jpeg()
    .toBuffer()
  const photograph = { requestId: crypto.randomUUID(), jpeg: picture.toString('base64') }
  for (const [path, data, status, field] of [
    ['/api/wheels/nothing/looks', look(), 404, 'id'],
    [`${nobody}/looks`, look(), 409, 'wheelSetId'],
    [`${set}/looks`, { ...look(), beading: 7 }, 422, 'beading'],
    [`${set}/looks`, { ...look(), positions: ['thirdLeft'] }, 409, 'positions'],
    [`${set}/looks`, { ...look(), secondsAgo: -1 }, 422, 'secondsAgo'],
    [`${nobody}/photographs`, photograph, 409, 'wheelSetId'],
    [`${set}/photographs`, { ...photograph, jpeg: 'no base64!' }, 422, 'jpeg'],
    [`${set}/photographs`, { ...photograph, jpeg: 'bm8gcGljdHVyZQ==' }, 409, 'jpeg'],
    [`${set}/photographs`, { ...photograph, jpeg: 'A'.repeat(2_000_000) }, 422, ''],
    [`${set}/photographs`, { ...photograph, jobId: 'mine' }, 422, 'jobId'],
  ] as const) {
    const answer = await request.post(path, { data })
    const { problems } = (await answer.json()) as { problems: { path: string; fix: string }[] }
    expect([answer.status(), problems[0]?.path], `${path} ${status}`).toEqual([status, field])
    expect(problems[0]?.fix.length).toBeGreaterThan(5)
  }
  for (let times = 0; times < 2; times += 1)
    expect((await request.post(`${set}/photographs`, { data: photograph })).status()).toBe(200)
  const address = `/api/photographs/${photograph.requestId}`
  const [whole, small] = [await request.get(address), await request.get(`${address}?size=small`)]
  expect(whole.headers()['content-type']).toBe('image/jpeg')
  expect(whole.headers()['cache-control']).toContain('no-store')
  const { width } = await sharp(await whole.body()).metadata()
  expect([width, (await sharp(await small.body()).metadata()).width]).toEqual([900, 320])
  expect((await request.get('/api/photographs/nothing')).status()).toBe(404)
})
