import { afterEach, beforeEach, expect, it } from 'vitest'
import { defaultSettings } from '@/contracts/settings'
import { usualRegion } from '@/core/units/region'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { readSettings, writeSettings } from '@/data/queries/settings'
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
