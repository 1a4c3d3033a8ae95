import { rmSync } from 'node:fs'
import { amcheck } from '@electric-sql/pglite/contrib/amcheck'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { damageIn } from './checkDatabase'
import { overEngine } from './database'
import { applyMigration, createMigrationTable, migrate, readMigrations } from './migrate'
import { openDatabase } from './openDatabase'
import { emptyEngine, newDataFolder } from './testSnapshots'

const migrations = readMigrations()
let folder = ''
beforeEach(() => {
  folder = newDataFolder('unmigrated')
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

it('the check finds nothing wrong with sound data of any version', async () => {
  const engine = await emptyEngine({ extensions: { amcheck } })
  const database = overEngine(engine, 'memory')
  await createMigrationTable(database)
  for (const migration of migrations) {
    await database.transaction((transaction) => applyMigration(transaction, migration))
    if (migration.number === 1)
      await database.query("insert into vehicle (name, kind) values ('Old van', 'van')")
    expect({ version: migration.number, problems: await damageIn(engine) }).toEqual({
      version: migration.number,
      problems: [],
    })
  }
  await engine.close()
})

it.each([
  ['before tables counted their rows, version 1', 1, {}],
  ['before tables counted their rows, version 5', 5, {}],
  ['version 5, opened as it is', 5, { recovery: 'asItIs' }],
  ['version 11', 11, {}],
] as const)('a folder written by %s opens, migrated, with its rows', async (_, version, options) => {
  const old = await openDatabase(folder, { migrations: migrations.slice(0, version) })
  await old.query("insert into vehicle (name, kind) values ('Old van', 'van')")
  await old.close()
  const now = await openDatabase(folder, options)
  expect(await now.query('select name from vehicle')).toEqual([{ name: 'Old van' }])
  expect(await now.query('select max(number) as version from schema_migration')).toEqual([
    { version: migrations.length },
  ])
  expect(await now.query("select rows::int from table_count where name = 'vehicle'")).toEqual([{ rows: 1 }])
  await now.close()
})

it('a table of an old version that cannot be counted is still damage', async () => {
  const engine = await emptyEngine({ extensions: { amcheck } })
  const database = overEngine(engine, 'memory')
  await migrate(database, migrations)
  await database.query('drop table table_count')
  expect(await damageIn(engine)).toEqual([expect.stringContaining('table_count')])
  await engine.close()
})
