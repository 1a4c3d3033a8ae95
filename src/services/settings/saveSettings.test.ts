import { afterAll, beforeAll, expect, it } from 'vitest'
import { defaultSettings, type Settings } from '@/contracts/settings'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { readSettings } from '@/data/queries/settings'
import { saveSettings } from './saveSettings'

let database: Database
beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

const changed = (part: Partial<Settings>): Settings => ({ ...defaultSettings, ...part })

it('what several people change at once comes together, each setting by itself', async () => {
  const parts: Partial<Settings>[] = [
    { shopName: 'Bay three' },
    { currency: 'USD' },
    { salt: 'much' },
    { estimates: { q10: 2 } },
  ]
  const saved = await Promise.all(parts.map((part) => saveSettings(database, defaultSettings, changed(part))))
  expect(saved.every(({ ok }) => ok)).toBe(true)
  expect(await readSettings(database)).toEqual(changed(Object.assign({}, ...parts) as Partial<Settings>))
})

it('the same setting is refused at its field with what it is now, and nothing else goes in with it', async () => {
  const before = await readSettings(database)
  const refused = await saveSettings(
    database,
    defaultSettings,
    changed({ shopName: 'Other', winterMonths: [12] }),
  )
  expect(refused).toMatchObject({ ok: false, problems: [{ path: 'shopName', found: 'Bay three' }] })
  expect(await readSettings(database)).toEqual(before)
})
