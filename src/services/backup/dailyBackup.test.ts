import { mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { backupTrouble, DailyBackup } from './dailyBackup'
import { markBackupFolder } from './knownFolders'

let shop: Database
let folder: string
let elsewhere: string
beforeEach(async () => {
  shop = await openInMemory()
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-daily-'))
  elsewhere = join(folder, 'other-disk')
  mkdirSync(elsewhere)
  markBackupFolder(elsewhere)
  vi.stubEnv('EVEN_SPOKE_BACKUPS', elsewhere)
})
afterEach(async () => {
  vi.unstubAllEnvs()
  await shop.close()
  rmSync(folder, { recursive: true, force: true })
})

/** Two looks: the first finds out whether somebody is writing. */
async function lookTwice(daily: DailyBackup): Promise<void> {
  for (let time = 0; time < 2; time += 1) await daily.look(shop, folder)
}
const madeIn = (path: string): string[] => readdirSync(path).filter((name) => name.endsWith('.zip'))

it('reports trouble while its disk is missing, and stops once it works again', async () => {
  const daily = new DailyBackup()
  await lookTwice(daily)
  expect(backupTrouble()).toBeNull()
  expect(madeIn(elsewhere)).toHaveLength(1)
  rmSync(elsewhere, { recursive: true })
  vi.spyOn(process.stderr, 'write').mockReturnValue(true)
  await lookTwice(daily)
  expect(backupTrouble()).toContain(elsewhere)
  // An empty folder in its place is another disk, or none.
  mkdirSync(elsewhere)
  await lookTwice(daily)
  expect(backupTrouble()).toContain(elsewhere)
  expect(madeIn(elsewhere)).toEqual([])
  markBackupFolder(elsewhere)
  await lookTwice(daily)
  expect(backupTrouble()).toBeNull()
  expect(madeIn(elsewhere)).toHaveLength(1)
})
