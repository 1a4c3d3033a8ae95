import { spawnSync } from 'node:child_process'
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
// The shared test, though its server is not used: so this long file starts early, beside the others.
import { expect, newFolder, startServer, test } from './server'

test('kill -9 twenty times during a run of writes loses nothing that was acknowledged', async () => {
  test.setTimeout(300_000)
  const folder = newFolder()
  const prepared = process.env.EVEN_SPOKE_TEST_DEMO ?? ''
  spawnSync(process.execPath, [
    '-e',
    `require('fs').cpSync(${JSON.stringify(prepared)}, ${JSON.stringify(folder)}, {recursive:true})`,
  ])
  rmSync(join(folder, 'owner.json'), { force: true })
  const acknowledged: string[] = []
  let job = ''
  let count = 0
  for (let round = 0; round < 20; round += 1) {
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
        body: JSON.stringify({ kind, stepId: 'lookRound', at: new Date().toISOString(), requestId }),
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
  expect(acknowledged.length).toBeGreaterThan(40)
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

test('a data folder that is a file is refused with a plain text', () => {
  const folder = newFolder()
  writeFileSync(join(folder, 'taken'), '')
  const refused = refusedStart(join(folder, 'taken'))
  expect(refused.status).toBe(73)
  expect(refused.stderr).toContain('cannot be written')
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
