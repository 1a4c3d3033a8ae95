import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { lockFolder } from './folderLock'

let folder = ''
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-lock-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const hold = `import { lockFolder } from '@/data/folderLock'
await lockFolder(process.env.FOLDER, () => undefined)
console.log('held')
setInterval(() => undefined, 1000)`

/** Another process that holds the folder. */
async function holder() {
  const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', hold], {
    env: { ...process.env, FOLDER: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise((resolve) => child.stdout.once('data', resolve))
  return child
}

it('names the process that has the folder, and takes it over once that was killed', async () => {
  const child = await holder()
  await expect(lockFolder(folder, () => undefined)).rejects.toMatchObject({
    reason: 'locked',
    exitCode: 75,
    message: expect.stringContaining(`process ${child.pid} `),
  })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  child.kill('SIGKILL')
  await ended
  const lock = await lockFolder(folder, () => undefined)
  await lock.release()
})

it('can be taken again after it was given back', async () => {
  for (let round = 0; round < 3; round += 1) await (await lockFolder(folder, () => undefined)).release()
})
