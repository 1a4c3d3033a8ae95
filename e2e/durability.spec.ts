import { say } from './words'
import { spawn, spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
// The shared test, though its server is not used: so this long file starts early, beside the others.
import { expect, newFolder, startServer, test, testTime } from './server'

// The bench does it two hundred times.
test('kill -9 ten times during a run of writes loses nothing that was acknowledged', async () => {
  test.setTimeout(300_000)
  const folder = newFolder()
  const prepared = process.env.EVEN_SPOKE_TEST_DEMO ?? ''
  cpSync(prepared, folder, { recursive: true })
  const acknowledged: string[] = []
  let job = ''
  let count = 0
  for (let round = 0; round < 10; round += 1) {
    const server = await startServer(folder)
    if (!job) job = /\/jobs\/[0-9a-f-]{36}/.exec(await (await fetch(server.address)).text())?.[0] ?? ''
    const killAfter = 250 + ((round * 137) % 900)
    let alive = true
    const killed = new Promise<void>((resolve) =>
      setTimeout(
        () =>
          void server.stop('SIGKILL').then(() => {
            alive = false
            resolve()
          }),
        killAfter,
      ),
    )
    while (alive) {
      // Done and undone by turns, so that the run never ends.
      const kind = count % 2 === 0 ? 'done' : 'undone'
      const requestId = crypto.randomUUID()
      const sent = await fetch(`${server.address}/api${job}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ kind, stepId: 'lookRound', at: testTime().toISOString(), requestId }),
      }).then(
        (answer) => answer.ok,
        () => false,
      )
      if (!sent) break
      acknowledged.push(requestId)
      count += 1
    }
    await killed
  }
  expect(acknowledged.length).toBeGreaterThan(20)
  const read = spawnSync(
    process.execPath,
    ['node_modules/tsx/dist/cli.mjs', 'e2e/readRequestIds.ts', folder],
    { encoding: 'utf8', maxBuffer: 1 << 26 },
  )
  expect(read.stderr).toBe('')
  const stored = new Set(read.stdout.trim().split('\n'))
  expect(acknowledged.filter((id) => !stored.has(id))).toEqual([])
  rmSync(folder, { recursive: true, force: true })
})

/** Starts a server that is expected to refuse, and gives what it said. */
const refusedStart = (folder: string) =>
  spawnSync(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', '0'], {
    encoding: 'utf8',
    timeout: 60_000,
    env: { ...process.env, NODE_ENV: 'production', EVEN_SPOKE_DATA: folder },
  })

test('a second process on the same folder is refused and told who has it', async () => {
  const folder = newFolder()
  const first = await startServer(folder)
  const second = refusedStart(folder)
  expect(second.status).toBe(75)
  expect(second.stderr).toContain(`process ${first.process.pid}`)
  expect(second.stderr).toContain(first.address)
  expect(second.stderr).not.toContain('    at ')
  expect((await fetch(`${first.address}/api/health`)).ok).toBe(true)
  await first.stop()
  rmSync(folder, { recursive: true, force: true })
})

test('a second process on the same port ends with a sentence and leaves its folder alone', async () => {
  const [folder, other] = [newFolder(), newFolder()]
  const first = await startServer(folder)
  const second = spawnSync(process.execPath, ['scripts/server/server.mjs'], {
    encoding: 'utf8',
    timeout: 60_000,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      EVEN_SPOKE_DATA: other,
      EVEN_SPOKE_PORT: new URL(first.address).port,
    },
  })
  expect(second.status).toBe(69)
  expect(second.stderr).toContain(new URL(first.address).port)
  expect(second.stderr).not.toContain('    at ')
  expect(readdirSync(other)).not.toContain('database')
  await first.stop()
  for (const one of [folder, other]) rmSync(one, { recursive: true, force: true })
})

/** Posts a tap that counts; true when the server acknowledged it. */
const tapAt = (address: string, job: string, requestId: string): Promise<boolean> =>
  fetch(`${address}/api${job}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ kind: 'misted', stepId: 'lookRound', at: testTime().toISOString(), requestId }),
  }).then(
    (answer) => answer.ok,
    () => false,
  )

test('a suspended server keeps its folder: a second start is refused, and no tap is lost', async () => {
  const folder = newFolder()
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
  const server = await startServer(folder)
  const job = /\/jobs\/[0-9a-f-]{36}/.exec(await (await fetch(server.address)).text())?.[0] ?? ''
  const taps = Array.from({ length: 8 }, () => crypto.randomUUID())
  for (const id of taps.slice(0, 4)) expect(await tapAt(server.address, job, id)).toBe(true)
  server.process.kill('SIGSTOP')
  const second = refusedStart(folder)
  expect(second.status).toBe(75)
  expect(second.stderr).toContain(`process ${server.process.pid}`)
  server.process.kill('SIGCONT')
  for (const id of taps.slice(4)) expect(await tapAt(server.address, job, id)).toBe(true)
  await server.stop('SIGKILL')
  const again = await startServer(folder)
  const answer = await fetch(`${again.address}/api${job}/events`)
  expect(((await answer.json()) as { events: unknown[] }).events).toHaveLength(taps.length)
  await again.stop()
  expect(readdirSync(join(folder, 'copies')).length).toBeGreaterThan(0)
  rmSync(folder, { recursive: true, force: true })
})

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP', 'SIGKILL'] as const) {
  test(`the start script ends its server with it: ${signal}`, async () => {
    const folder = newFolder()
    const script = spawn(process.execPath, ['scripts/start.mjs', '--data', folder, '--port', '4877'], {
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    let said = ''
    script.stdout.on('data', (data: Buffer) => (said += data.toString()))
    await expect(() => expect(said).toMatch(/Even Spoke: http/)).toPass({ timeout: 60_000 })
    const address = /http:\S+/.exec(said)?.[0] ?? ''
    expect((await fetch(`${address}/api/health`)).ok).toBe(true)
    script.kill(signal)
    await expect(async () => {
      const answers = await fetch(`${address}/api/health`).then(
        () => true,
        () => false,
      )
      expect(answers).toBe(false)
      expect(readdirSync(join(folder, 'owners'))).toEqual([])
    }).toPass({ timeout: 20_000 })
    rmSync(folder, { recursive: true, force: true })
  })
}

test('the database folder vanishing stops the server with a text', async () => {
  const folder = newFolder()
  const server = await startServer(folder)
  const ended = new Promise((resolve) => server.process.once('exit', resolve))
  rmSync(join(folder, 'database'), { recursive: true, force: true })
  expect(await ended).toBe(75)
  expect(server.errors()).toContain(say('data.movedAway', { place: join(folder, 'database') }))
  rmSync(folder, { recursive: true, force: true })
})

test('a data folder that is a file is refused with a plain text', () => {
  const folder = newFolder()
  writeFileSync(join(folder, 'taken'), '')
  const refused = refusedStart(join(folder, 'taken'))
  expect(refused.status).toBe(73)
  expect(refused.stderr).toContain('Even Spoke can’t write to the data folder')
  expect(refused.stderr).not.toContain('    at ')
  rmSync(folder, { recursive: true, force: true })
})

test('filling the demo never empties a folder with other data', () => {
  const folder = newFolder()
  mkdirSync(join(folder, 'database'))
  writeFileSync(join(folder, 'database', 'precious'), 'x')
  const filled = spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/demo/seed.ts'], {
    encoding: 'utf8',
    env: { ...process.env, EVEN_SPOKE_DATA: folder },
  })
  expect(filled.status).toBe(70)
  expect(filled.stderr).toContain('not demo data')
  expect(readdirSync(join(folder, 'database'))).toEqual(['precious'])
  rmSync(folder, { recursive: true, force: true })
})
