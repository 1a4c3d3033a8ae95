import { logEntriesOf } from './logEntries'
import { expect, test } from './server'

test('what was refused is taken down with its level, and nothing of what anybody typed', async ({
  request,
  server,
}) => {
  const secret = 'sesame-of-the-shop'
  await request.get(`/wheels?q=${secret}`, { headers: { 'x-forwarded-for': '10.9.8.7' } })
  await request.get(`/api/cabinet/json?x=${secret}`, { headers: { 'x-forwarded-for': '10.9.8.7' } })
  await request.post('/settings', {
    headers: { origin: 'http://elsewhere.example', 'next-action': secret },
    data: secret,
  })
  await expect
    .poll(() => logEntriesOf(server.folder).filter(({ level }) => level === 'warn').length)
    .toBeGreaterThanOrEqual(2)
  expect(logEntriesOf(server.folder)).toContainEqual(
    expect.objectContaining({ level: 'warn', path: '/api/cabinet/json', status: 401 }),
  )
  expect(JSON.stringify(logEntriesOf(server.folder))).not.toContain(secret)
})

test('a device that asks without end is told to wait, and the desk notices nothing', async ({ server }) => {
  const stranger = { headers: { 'x-forwarded-for': '10.1.1.1' } }
  const statuses = new Map<number, number>()
  for (let round = 0; round < 10; round += 1)
    for (const { status } of await Promise.all(
      Array.from({ length: 100 }, () => fetch(`${server.address}/api/clock`, stranger)),
    ))
      statuses.set(status, (statuses.get(status) ?? 0) + 1)
  expect(statuses.get(429)).toBeGreaterThan(0)
  expect([...statuses.keys()].sort()).toEqual([401, 429])
  expect((await fetch(`${server.address}/api/clock`)).status).toBe(200)
})

test('more than any form sends is turned away by its length alone', async ({ server }) => {
  const answer = await fetch(`${server.address}/api/plan`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: 'x'.repeat(6_000_000),
  }).catch(() => null)
  // The connection may be cut while it is still being sent.
  expect([413, undefined]).toContain(answer?.status)
  expect((await fetch(`${server.address}/api/clock`)).status).toBe(200)
})
