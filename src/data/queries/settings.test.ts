import { afterAll, beforeAll, expect, it } from 'vitest'
import { defaultSettings } from '@/contracts/settings'
import type { Database } from '../database'
import { openInMemory } from '../openInMemory'
import { readSettings, readStoredSettings, writeSettings } from './settings'

let database: Database
beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

const store = (value: unknown) =>
  database.query(
    `insert into setting (name, value) values ('shop', $1::jsonb) on conflict (name) do update set value = excluded.value`,
    [JSON.stringify(value)],
  )

it('what cannot be read has its default, names itself, and takes nothing with it', async () => {
  await store({
    ...defaultSettings,
    shopName: 'Bay Two',
    currency: 7,
    equipment: { bucketLitres: 'many' },
    later: true,
  })
  expect(await readStoredSettings(database)).toEqual({
    settings: { ...defaultSettings, shopName: 'Bay Two' },
    unreadable: expect.arrayContaining(['currency', 'equipment', 'later']) as string[],
    version: 1,
  })
})

it.each([null, [], 'text', 12])('%j stored gives the defaults', async (value) => {
  await store(value)
  expect(await readSettings(database)).toEqual(defaultSettings)
})

it('saved from an older version they are refused, and nothing is written', async () => {
  await store(defaultSettings)
  const { version } = await readStoredSettings(database)
  expect(await writeSettings(database, { ...defaultSettings, shopName: 'First' }, version)).toBe(true)
  expect(await writeSettings(database, { ...defaultSettings, shopName: 'Second' }, version)).toBe(false)
  expect((await readSettings(database)).shopName).toBe('First')
})

it('saving keeps what could not be read beside it', async () => {
  await store({ currency: 7 })
  await writeSettings(database, { ...defaultSettings, shopName: 'Mended' })
  expect((await readStoredSettings(database)).unreadable).toEqual([])
  const kept = await database.query<{ value: unknown }>(
    `select value from setting where name like 'shop, unreadable%'`,
  )
  expect(kept).toEqual([{ value: { currency: 7 } }])
})
