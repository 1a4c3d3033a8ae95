import { expect, it } from 'vitest'
import { usualRegion } from '@/core/units/region'
import { overEngine } from './database'
import { applyMigration, createMigrationTable, migrate, readMigrations } from './migrate'
import { readStoredSettings } from './queries/settings'
import { emptyEngine } from './testSnapshots'

const withRegion = 20
const beforeRegions = readMigrations().filter(({ number }) => number < withRegion)

it.each([
  ['that saved settings', `'{"shopName": "Old", "equipment": {"smallestMeasureMillilitres": 2}}'`, 2],
  ['whose smallest measure makes no sense', `'{"equipment": {"smallestMeasureMillilitres": "two"}}'`, 5],
  ['that saved none', null, 5],
])('a shop of an earlier version %s stays metric', async (_, value, stepMillilitres) => {
  const engine = await emptyEngine()
  const old = overEngine(engine, 'memory')
  await createMigrationTable(old)
  for (const migration of beforeRegions)
    await old.transaction((transaction) => applyMigration(transaction, migration))
  await old.query("insert into vehicle (name, kind) values ('Old van', 'van')")
  if (value !== null) await old.query(`insert into setting (name, value) values ('shop', ${value}::jsonb)`)
  await migrate(old, readMigrations())
  expect((await readStoredSettings(old)).settings.region).toEqual({
    ...usualRegion('en'),
    jug: { system: 'metric', stepMillilitres },
  })
  await engine.close()
})

it('an empty shop of an earlier version is new', async () => {
  const engine = await emptyEngine()
  const old = overEngine(engine, 'memory')
  await migrate(old, readMigrations())
  expect(await readStoredSettings(old)).toMatchObject({ version: 0, settings: { region: null } })
  await engine.close()
})
