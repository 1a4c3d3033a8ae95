import { spawn, type ChildProcess } from 'node:child_process'
import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test as base, type Browser, type Page } from '@playwright/test'
import { shiftClocks, testTime } from './testClock'

const root = process.cwd()

const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() =>
        typeof address === 'object' && address ? resolve(address.port) : reject(new Error('no port')),
      )
    })
  })

export interface AppServer {
  readonly address: string
  /** Where the shop's network would come in; open only where it was let in. */
  readonly networkAddress: string
  readonly folder: string
  readonly process: ChildProcess
  /** Everything the server wrote to its error output. */
  errors(): string
  stop(signal?: NodeJS.Signals): Promise<void>
}

/**
 * Starts the built application on a data folder.
 * @param lan whether the shop's network is let in; it is this machine alone here
 */
export async function startServer(
  folder: string,
  lan = false,
  more: Readonly<Record<string, string>> = {},
): Promise<AppServer> {
  const port = Number(more.EVEN_SPOKE_PORT ?? (await freePort()))
  const lanPort = await freePort()
  const address = `http://127.0.0.1:${port}`
  const child = spawn(process.execPath, ['scripts/server/server.mjs'], {
    cwd: root,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      EVEN_SPOKE_DATA: folder,
      EVEN_SPOKE_ADDRESS: address,
      EVEN_SPOKE_PORT: String(port),
      EVEN_SPOKE_LAN: lan ? '1' : '',
      EVEN_SPOKE_LAN_PORT: String(lanPort),
      EVEN_SPOKE_LAN_HOST: '127.0.0.1',
      ...more,
    },
    stdio: ['ignore', 'ignore', 'pipe'],
  })
  let errors = ''
  child.stderr?.on('data', (data: Buffer) => (errors += data.toString()))
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  const deadline = Date.now() + 60_000
  for (;;) {
    if (child.exitCode !== null) throw new Error(`The server ended with ${child.exitCode}: ${errors}`)
    if (Date.now() > deadline) throw new Error(`The server did not answer: ${errors}`)
    const up = await fetch(`${address}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    )
    if (up) break
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  return {
    address,
    networkAddress: `https://127.0.0.1:${lanPort}`,
    folder,
    process: child,
    errors: () => errors,
    stop: async (signal = 'SIGTERM') => {
      child.kill(signal)
      await ended
    },
  }
}

export const newFolder = (): string => mkdtempSync(join(tmpdir(), 'even-spoke-test-'))

/** What a page asked for and did not get yet, and what it complained of; said where a test fails. */
function follow(page: Page): () => Promise<string> {
  const open = new Map<object, string>()
  const said: string[] = []
  page.on('request', (request) => open.set(request, `${request.method()} ${request.url()}`))
  page.on('requestfinished', (request) => open.delete(request))
  page.on('requestfailed', (request) => {
    open.delete(request)
    said.push(`failed: ${request.url()} ${request.failure()?.errorText}`)
  })
  page.on('response', (answer) => {
    if (answer.status() >= 400) said.push(`${answer.status()}: ${answer.url()}`)
  })
  page.on('console', (message) => said.push(`console: ${message.text()}`))
  page.on('pageerror', (error) => said.push(`error: ${error.message}`))
  return async () => {
    const text = await page
      .locator('main')
      .innerText({ timeout: 2000 })
      .catch(() => 'nothing can be read')
    const waiting = [...open.values()].slice(-10).map((one) => `waits for: ${one}`)
    return [`at ${page.url()}`, ...waiting, ...said.slice(-20), text.slice(0, 500)].join('\n')
  }
}

const recordedHeaders = ['content-type', 'next-action', 'next-router-state-tree', 'rsc', 'accept']

/** Writes what a page sends into the file of `RECORD_REQUESTS`, a line each. */
function record(page: Page): void {
  const file = process.env.RECORD_REQUESTS
  if (!file) return
  page.on('request', (request) => {
    const url = new URL(request.url())
    if (!url.protocol.startsWith('http') || url.pathname.startsWith('/_next/')) return
    const sent = request.headers()
    const headers = Object.fromEntries(
      recordedHeaders.flatMap((name) => (sent[name] === undefined ? [] : [[name, sent[name]]])),
    )
    const body = request.postDataBuffer()?.toString('base64') ?? null
    appendFileSync(
      file,
      `${JSON.stringify({ method: request.method(), path: `${url.pathname}${url.search}`, headers, body })}\n`,
    )
  })
}

/** Has a page wait until it hears taps wherever it goes: before that a click is lost. */
function goWhenLive(page: Page): void {
  const live = () =>
    page
      .waitForFunction(() => document.documentElement.dataset.live === 'true', undefined, { timeout: 5000 })
      .catch(() => undefined)
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)]
  page.goto = async (...where) => {
    const answer = await goto(...where)
    await live()
    return answer
  }
  page.reload = async (...how) => {
    const answer = await reload(...how)
    await live()
    return answer
  }
}

/** A server and the test file it is for: the next file begins with a fresh one. */
interface FileServer {
  readonly file: string
  readonly server: AppServer
}

async function startForFile(file: string, data: 'demo' | 'empty'): Promise<FileServer> {
  const folder = newFolder()
  const prepared = process.env.EVEN_SPOKE_TEST_DEMO
  if (data === 'demo') {
    if (!prepared) throw new Error('EVEN_SPOKE_TEST_DEMO names no demo data; run the tests with `npm test`.')
    cpSync(prepared, folder, { recursive: true })
  }
  return { file, server: await startServer(folder) }
}

async function endServer({ server }: FileServer): Promise<void> {
  await server.stop()
  rmSync(server.folder, { recursive: true, force: true })
}

interface Fixtures {
  server: AppServer
}
interface WorkerFixtures {
  data: 'demo' | 'empty'
  serverFor: (file: string) => Promise<AppServer>
  browser: Browser
}

/** Tests of one file share a server: `demo` copies the demo data made once for the run, `empty` starts with nothing. */
export const test = base.extend<Fixtures, WorkerFixtures>({
  browser: [
    async ({ browser }, provide) => {
      shiftClocks(browser)
      await provide(browser)
    },
    { scope: 'worker' },
  ],
  data: ['demo', { option: true, scope: 'worker' }],
  serverFor: [
    async ({ data }, provide) => {
      let current: FileServer | null = null
      await provide(async (file) => {
        if (current?.file !== file) {
          if (current) await endServer(current)
          current = null
          current = await startForFile(file, data)
        }
        return current.server
      })
      if (current) await endServer(current)
    },
    { scope: 'worker' },
  ],
  server: async ({ serverFor }, provide, info) => provide(await serverFor(info.file)),
  context: async ({ context }, provide) => {
    context.on('page', goWhenLive)
    await provide(context)
  },
  page: async ({ page }, provide, info) => {
    const tell = follow(page)
    record(page)
    const broken: string[] = []
    page.on('console', (message) => {
      if (/Content Security Policy/i.test(message.text())) broken.push(message.text())
    })
    await provide(page)
    // Whatever a test is of: what a page may load is never broken.
    expect(broken).toEqual([])
    if (info.status !== info.expectedStatus) console.log(await tell())
  },
  baseURL: async ({ server }, provide) => provide(server.address),
})

export { testTime }
export { expect } from '@playwright/test'
