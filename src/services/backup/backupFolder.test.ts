import { inEnglish } from '@/i18n/testEnglish'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { backUp } from './backUp'
import { backupFolderOf, chooseBackupFolder } from './backupFolder'
import { restoreBackup } from './restoreBackup'

let database: Database
let folder: string
beforeAll(async () => {
  vi.stubEnv('EVEN_SPOKE_BACKUPS', '')
  database = await openInMemory()
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-backups-'))
})
afterAll(async () => {
  vi.unstubAllEnvs()
  rmSync(folder, { recursive: true, force: true })
  await database.close()
})

describe('where backups lie', () => {
  it('is the data folder, until somebody chooses another, and again when that is taken back', async () => {
    expect(await backupFolderOf(database, '/data')).toEqual({
      path: join('/data', 'backups'),
      saidBy: 'nobody',
    })
    expect(await chooseBackupFolder(database, folder)).toMatchObject({ ok: true })
    expect(await backupFolderOf(database, '/data')).toEqual({ path: folder, saidBy: 'settings' })
    expect(await chooseBackupFolder(database, '')).toMatchObject({ ok: true })
    expect((await backupFolderOf(database, '/data')).saidBy).toBe('nobody')
  })

  it('is where the start says, whatever is chosen', async () => {
    await chooseBackupFolder(database, folder)
    vi.stubEnv('EVEN_SPOKE_BACKUPS', '/elsewhere')
    expect(await backupFolderOf(database, '/data')).toEqual({ path: '/elsewhere', saidBy: 'start' })
    vi.stubEnv('EVEN_SPOKE_BACKUPS', '')
  })

  it('stays as it is on this machine when a backup is put in place', async () => {
    await chooseBackupFolder(database, '')
    const zip = join(folder, 'shop.zip')
    await backUp(database, new Date('2026-06-01T08:00:00Z'), zip)
    await chooseBackupFolder(database, folder)
    expect(await restoreBackup(database, zip)).toMatchObject({ ok: true })
    expect((await backupFolderOf(database, '/data')).path).toBe(folder)
  })

  it.each([
    ['half a path', () => 'backups', 'full path'],
    ['a folder that is not there', () => join(folder, 'not-there'), 'Create it first'],
    [
      'a file',
      () => {
        writeFileSync(join(folder, 'file'), '')
        return join(folder, 'file')
      },
      'Choose a folder',
    ],
  ])('cannot be %s; what was chosen before stays', async (_, path, words) => {
    await chooseBackupFolder(database, folder)
    const chosen = await chooseBackupFolder(database, path())
    expect(!chosen.ok && inEnglish(chosen.problems)[0]?.fix).toContain(words)
    expect((await backupFolderOf(database, '/data')).path).toBe(folder)
  })
})
