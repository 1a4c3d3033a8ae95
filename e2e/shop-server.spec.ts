import { say } from './words'
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
  execFileSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/data-commands/move.ts', ...args], {
    env: { ...process.env, EVEN_SPOKE_DATA: folder },
    encoding: 'utf8',
  })

/** A PostgreSQL server that can be stopped and started. */
interface Postgres {
  readonly url: string
  start(): void
  end(): void
  stop(): void
}
const { startPostgres } = (await import('../scripts/lib/postgres.mjs' as string)) as {
  startPostgres(): Promise<Postgres | null>
}

const restarts = 10
/** How long the database server is gone each time. */
const awayMilliseconds = 1500
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** What became of the taps of one device. */
class Taps {
  readonly stored: string[] = []
  readonly otherStatuses = new Set<number>()

  constructor(private readonly events: string) {}

  /** Sends taps one after the other, each until it is stored, as a phone does. */
  async sendUntil(isOver: () => boolean): Promise<void> {
    while (!isOver()) {
      const requestId = randomUUID()
      await this.send(
        JSON.stringify({ kind: 'misted', stepId: 'lookRound', at: testTime().toISOString(), requestId }),
      )
      this.stored.push(requestId)
      await pause(20)
    }
  }

  private async send(body: string): Promise<void> {
    for (;;) {
      const { status } = await fetch(this.events, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body,
      })
      if (status === 200) return
      this.otherStatuses.add(status)
      await pause(200)
    }
  }
}

/** Waits until every device has had another tap stored. */
async function allGoOn(devices: readonly Taps[]): Promise<void> {
  const before = devices.map(({ stored }) => stored.length)
  await expect
    .poll(() => devices.every(({ stored }, at) => stored.length > (before[at] ?? 0)), { timeout: 60_000 })
    .toBe(true)
}

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
  await page.getByRole('link', { name: say('today.planJob') }).click()
  await page.getByLabel(say('intake.airCelsius')).fill('18')
  await page.getByRole('button', { name: say('intake.plan') }).click()
  await page.getByRole('link', { name: say('plan.head.start') }).click()
  await workThrough(page, () => page.locator('.run-acts [data-best]').click())
  await page.getByRole('button', { name: say('bay.finish.save') }).click()
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

test('while the database server is stopped and started nothing is lost, nothing is stored twice, and nobody gets a failure', async () => {
  test.skip(postgres === '', 'There is no PostgreSQL server here; npm test installs one where it may.')
  test.setTimeout(300_000)
  const own = await startPostgres()
  if (!own) throw new Error('There is no PostgreSQL server.')
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  expect(move(folder, '--to', own.url)).toContain('counts compared')
  const servers = await Promise.all(
    Array.from({ length: together }, () => startServer(folder, false, { EVEN_SPOKE_DATABASE_URL: own.url })),
  )
  const [first] = servers as [AppServer]
  const job = /\/jobs\/[0-9a-f-]{36}/.exec(await (await fetch(first.address)).text())?.[0] ?? ''
  const eventsOf = async () =>
    ((await (await fetch(`${first.address}/api${job}/events`)).json()) as { events: unknown[] }).events.length
  const before = await eventsOf()
  let isOver = false
  const devices = servers.map(({ address }) => new Taps(`${address}/api${job}/events`))
  const tapping = devices.map((device) => device.sendUntil(() => isOver))
  const pages: number[] = []
  for (let time = 0; time < restarts; time += 1) {
    await allGoOn(devices)
    own.end()
    const page = fetch(`${first.address}/wheels`).then(async (answer) => {
      pages.push(answer.status)
      return answer.text()
    })
    await pause(awayMilliseconds)
    own.start()
    expect(await page).toMatch(/Wheel sets|Just a moment/)
  }
  await allGoOn(devices)
  isOver = true
  await Promise.all(tapping)
  const stored = devices.flatMap((device) => device.stored)
  expect(
    devices.flatMap(({ otherStatuses }) => [...otherStatuses]).filter((status) => status !== 503),
  ).toEqual([])
  expect(pages.filter((status) => status !== 200 && status !== 503)).toEqual([])
  expect(new Set(stored).size).toBeGreaterThan(restarts * together)
  expect(await eventsOf()).toBe(before + stored.length)
  await Promise.all(servers.map((server) => server.stop()))
  own.stop()
  rmSync(folder, { recursive: true, force: true })
})
