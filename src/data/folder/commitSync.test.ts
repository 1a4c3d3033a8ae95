import { mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { CommitSync } from './commitSync'

let folder = ''
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-sync-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const logFile = (name: string): string => {
  const path = join(folder, name)
  writeFileSync(path, 'log')
  return path
}

it.each([
  ['renamed', (path: string) => renameSync(path, `${path}-recycled`)],
  ['deleted', (path: string) => rmSync(path)],
])('a log file that is %s while it is being synced is not opened by its old name', async (_, take) => {
  const failures: unknown[] = []
  const sync = new CommitSync()
  sync.onFailure = (error) => failures.push(error)
  const [first, second] = [logFile('000000010000000000000001'), logFile('000000010000000000000002')]
  sync.wrote(first)
  const running = sync.settled()
  sync.leaves(first)
  take(first)
  sync.wrote(second)
  sync.syncNow()
  await running
  sync.wrote(second)
  await sync.settled()
  expect(failures).toEqual([])
  expect(sync.isClean).toBe(true)
  sync.close()
})
