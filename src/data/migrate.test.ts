import { rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { openInMemory } from './openInMemory'
import { openDatabase } from './openDatabase'
import { migrate, readMigrations, type Migration } from './migrate'
import { newDataFolder } from './testSnapshots'

const extra = (sql: string, number = readMigrations().length + 1): Migration => ({
  number,
  name: `${number}_test.sql`,
  sql,
  checksum: `sum of ${sql}`,
})

describe('migrations', () => {
  it('are numbered without a gap', () => {
    expect(readMigrations().map(({ number }) => number)).toEqual(
      readMigrations().map((_, index) => index + 1),
    )
  })

  it('run once each', async () => {
    const database = await openInMemory()
    await migrate(database, readMigrations())
    const rows = await database.query('select number from schema_migration')
    expect(rows).toHaveLength(readMigrations().length)
    await database.close()
  })

  it('leave nothing behind when one fails half-way', async () => {
    const database = await openInMemory()
    const broken = extra('create table half (id integer); create table half (id integer);')
    await expect(migrate(database, [...readMigrations(), broken])).rejects.toThrow()
    expect(await database.query("select to_regclass('half') as found")).toEqual([{ found: null }])
    await database.close()
  })

  it('refuse data from a newer program', async () => {
    const database = await openInMemory()
    await migrate(database, [...readMigrations(), extra('create table future (id integer)')])
    await expect(migrate(database, readMigrations())).rejects.toMatchObject({ reason: 'newerDatabase' })
    await database.close()
  })

  it('refuse a released file that was edited', async () => {
    const database = await openInMemory()
    const edited = readMigrations().map((one) => ({ ...one, checksum: 'other' }))
    await expect(migrate(database, edited)).rejects.toMatchObject({ reason: 'changedMigration' })
    await database.close()
  })
})

describe('the data folder', () => {
  let folder = ''
  beforeEach(() => {
    folder = newDataFolder()
  })
  afterEach(() => rmSync(folder, { recursive: true, force: true }))

  it('keeps what was written, over closing and opening', async () => {
    const first = await openDatabase(folder)
    await first.query("insert into vehicle (name, kind) values ($1, 'car')", [`O'Dell "x" 🛞 گاری`])
    await first.close()
    const second = await openDatabase(folder)
    expect(await second.query('select name from vehicle')).toEqual([{ name: `O'Dell "x" 🛞 گاری` }])
    await second.close()
  })

  it('gives its lock back when opening fails, and says so with an exit code', async () => {
    const database = await openDatabase(folder)
    await database.close()
    const older = readMigrations().slice(0, -1)
    await expect(openDatabase(folder, { migrations: older })).rejects.toMatchObject({
      reason: 'newerDatabase',
      exitCode: 78,
    })
    const again = await openDatabase(folder)
    await again.close()
  })

  it('is refused when it cannot be a folder', async () => {
    writeFileSync(join(folder, 'file'), '')
    await expect(openDatabase(join(folder, 'file'))).rejects.toMatchObject({
      reason: 'unwritable',
      exitCode: 73,
    })
  })
})
