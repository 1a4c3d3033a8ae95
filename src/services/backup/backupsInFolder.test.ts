import { existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { readBackup } from '@/pool/backup/readBackup'
import { hasBackupOf, listBackups, makeBackupIn } from './backupsInFolder'
import { markBackupFolder, requireBackupFolder } from './knownFolders'

const now = new Date('2026-11-29T10:00:00Z')
let shop: Database
beforeAll(async () => {
  shop = await openInMemory()
})
afterAll(() => shop.close())

let root = ''
beforeEach(() => {
  root = mkdtempSync(join(tmpdir(), 'even-spoke-daily-'))
})
afterEach(() => rmSync(root, { recursive: true, force: true }))

describe('the daily backup', () => {
  it('is whole, and counts as the day’s', async () => {
    expect(hasBackupOf(root, now)).toBe(false)
    const name = await makeBackupIn(root, shop, now)
    expect(await readBackup(join(root, name))).toMatchObject({ ok: true })
    expect(hasBackupOf(root, now)).toBe(true)
    expect(readdirSync(root)).toEqual([name])
  })

  it.each([
    ['empty', ''],
    ['cut short', 'PK and some of a zip'],
  ])('is made again where a file of that name is %s', async (_, content) => {
    const old = 'even-spoke-2026-11-29T08-00-00.zip'
    writeFileSync(join(root, old), content)
    expect(hasBackupOf(root, now)).toBe(false)
    const name = await makeBackupIn(root, shop, now)
    expect(listBackups(root)[0]?.name).toBe(name)
    expect(hasBackupOf(root, now)).toBe(true)
  })

  it('does not fall behind one that was made while the clock was a year ahead', async () => {
    const future = await makeBackupIn(root, shop, new Date('2027-11-29T10:00:00Z'))
    const name = await makeBackupIn(root, shop, now)
    expect(listBackups(root).map((one) => one.name)).toEqual([name, future])
  })

  it('leaves nothing behind when it cannot be written', async () => {
    const missing = join(root, 'not-there')
    await expect(makeBackupIn(missing, shop, now)).rejects.toThrow(/ENOENT/)
    expect(readdirSync(root)).toEqual([])
  })
})

describe('the folder of the backups', () => {
  const dataFolder = () => join(root, 'data')
  beforeEach(() => mkdirSync(dataFolder()))

  it('inside the data folder is made', () => {
    const own = join(dataFolder(), 'backups')
    requireBackupFolder(own, dataFolder(), true)
    expect(existsSync(own)).toBe(true)
  })

  it('on a disk that is not connected any more is not made on this one', () => {
    const [disk, taken] = [join(root, 'disk'), join(root, 'taken')]
    const folder = join(disk, 'backups')
    mkdirSync(folder, { recursive: true })
    requireBackupFolder(folder, dataFolder(), false)
    requireBackupFolder(folder, dataFolder(), false)
    renameSync(disk, taken)
    expect(() => requireBackupFolder(folder, dataFolder(), false)).toThrow('Connect its disk')
    expect(existsSync(disk)).toBe(false)
    // The place where it is connected is an empty folder of this disk.
    mkdirSync(folder, { recursive: true })
    expect(() => requireBackupFolder(folder, dataFolder(), false)).toThrow('Connect its disk')
    expect(readdirSync(folder)).toEqual([])
    rmSync(disk, { recursive: true })
    renameSync(taken, disk)
    requireBackupFolder(folder, dataFolder(), false)
    // Another disk in its place is taken once somebody chooses it again.
    rmSync(disk, { recursive: true })
    mkdirSync(folder, { recursive: true })
    markBackupFolder(folder)
    requireBackupFolder(folder, dataFolder(), false)
  })
})
