import { afterEach, beforeEach, expect, it } from 'vitest'
import { PGlite } from '@electric-sql/pglite'
import { defaultSettings } from '@/contracts/settings'
import { usualRegion } from '@/core/units/region'
import { overEngine, type Database } from '@/data/database'
import { applyMigration, createMigrationTable, migrate, readMigrations } from '@/data/migrate'
import { openInMemory } from '@/data/openInMemory'
import { readSettings, readStoredSettings, writeSettings } from '@/data/queries/settings'
import { shopLanguage } from '@/i18n/shopLanguage'
import { keepGuessedRegion } from './keepGuessedRegion'

let database: Database
beforeEach(async () => {
  database = await openInMemory()
})
afterEach(() => database.close())

it('a new shop keeps what its browser suggests, with the money that belongs to it', async () => {
  await keepGuessedRegion(database, usualRegion('en-US'))
  expect(await readSettings(database)).toEqual({
    ...defaultSettings,
    region: usualRegion('en-US'),
    currency: 'USD',
  })
  expect(shopLanguage()).toBe('en-US')
})

it('what the shop chose is not guessed over', async () => {
  await writeSettings(database, { ...defaultSettings, region: usualRegion('en-GB'), currency: 'CHF' })
  await keepGuessedRegion(database, usualRegion('en-US'))
  expect(await readSettings(database)).toMatchObject({ region: { english: 'en-GB' }, currency: 'CHF' })
})

it('a shop that is not new keeps its money', async () => {
  await writeSettings(database, { ...defaultSettings, currency: 'CHF' })
  await keepGuessedRegion(database, usualRegion('en-US'))
  expect(await readSettings(database)).toMatchObject({ region: { english: 'en-US' }, currency: 'CHF' })
})

const withRegion = 20
const beforeRegions = readMigrations().filter(({ number }) => number < withRegion)

it.each([
  ['that saved settings', `'{"shopName": "Old", "equipment": {"smallestMeasureMillilitres": 2}}'`, 2],
  ['whose smallest measure makes no sense', `'{"equipment": {"smallestMeasureMillilitres": "two"}}'`, 5],
  ['that saved none', null, 5],
])('a shop of an earlier version %s stays metric', async (_, value, stepMillilitres) => {
  const engine = await PGlite.create()
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
  const engine = await PGlite.create()
  const old = overEngine(engine, 'memory')
  await migrate(old, readMigrations())
  expect(await readStoredSettings(old)).toMatchObject({ version: 0, settings: { region: null } })
  await engine.close()
})
