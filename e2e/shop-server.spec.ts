import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { cpSync, rmSync } from 'node:fs'
import pg from 'pg'
import { workThrough } from './jobActions'
import { expect, newFolder, startServer, test, type AppServer, testTime } from './server'

const postgres = process.env.EVEN_SPOKE_TEST_POSTGRES ?? ''
const together = 3
const tapMilliseconds = 6000

async function asAdmin(text: string): Promise<void> {
  const client = new pg.Client({ connectionString: postgres })
  await client.connect()
  await client.query(text)
  await client.end()
}

const move = (folder: string, ...args: string[]): string =>
  execFileSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/keep/move.ts', ...args], {
    env: { ...process.env, EVEN_SPOKE_DATA: folder },
    encoding: 'utf8',
  })

/** Taps at one process until the time is over; gives how many were acknowledged. */
async function tapAt({ address }: AppServer, job: string): Promise<number> {
  let acknowledged = 0
  for (const end = Date.now() + tapMilliseconds; Date.now() < end;) {
    const tap = { kind: 'misted', stepId: 'lookRound', at: testTime().toISOString(), requestId: randomUUID() }
    const send = () =>
      fetch(`${address}/api${job}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(tap),
      })
    // Sent twice, as by a phone that did not hear the answer: it counts once.
    const [first, second] = await Promise.all([send(), send()])
    if (first.ok || second.ok) acknowledged += 1
  }
  return acknowledged
}

test('the data moves to a PostgreSQL server and back; three processes on it lose nothing, and a job is worked there', async ({
  browser,
}) => {
  test.skip(postgres === '', 'There is no PostgreSQL server here; npm test installs one where it may.')
  test.setTimeout(180_000)
  const name = `even_spoke_e2e_${randomUUID().replaceAll('-', '')}`
  await asAdmin(`create database ${name}`)
  const url = Object.assign(new URL(postgres), { pathname: `/${name}` }).href
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  expect(move(folder, '--to', url)).toContain('counts compared')
  const servers = await Promise.all(
    Array.from({ length: together }, () => startServer(folder, false, { EVEN_SPOKE_DATABASE_URL: url })),
  )
  const [first, second] = servers as [AppServer, AppServer]
  const job = /\/jobs\/[0-9a-f-]{36}/.exec(await (await fetch(first.address)).text())?.[0] ?? ''
  const eventsOf = async ({ address }: AppServer) =>
    ((await (await fetch(`${address}/api${job}/events`)).json()) as { events: unknown[] }).events.length
  const before = await eventsOf(first)
  const acknowledged = await Promise.all(servers.map((server) => tapAt(server, job)))
  expect(Math.min(...acknowledged)).toBeGreaterThan(3)
  expect(await eventsOf(second)).toBe(before + acknowledged.reduce((sum, one) => sum + one))

  const page = await browser.newPage({ baseURL: first.address })
  await page.goto('/wheels?q=Mossen')
  await page.locator('.set-row').first().click()
  await page.getByRole('link', { name: 'Plan a visit' }).click()
  await page.getByLabel('Air, °C').fill('18')
  await page.getByRole('button', { name: 'Plan it' }).click()
  await page.getByRole('link', { name: 'Start in the bay' }).click()
  await workThrough(page, () => page.locator('.run-acts [data-best]').click())
  await page.getByRole('button', { name: 'Write it down' }).click()
  await page.waitForURL('**/log**')
  // The other process shows it at once.
  const log = await (await fetch(`${second.address}/log`)).text()
  expect(log).toContain('Mossen Volta')
  await Promise.all(servers.map((server) => server.stop()))
  const back = newFolder()
  expect(move(back, '--from', url)).toContain('counts compared')
  await asAdmin(`drop database ${name} with (force)`)
  for (const one of [folder, back]) rmSync(one, { recursive: true, force: true })
})
