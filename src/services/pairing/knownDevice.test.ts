import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { addPairedDevice, revokePairedDevice } from '@/data/queries/pairedDevices'
import { knownDevice } from './knownDevice'
import { hashOf } from './secrets'

let database: Database
beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

it('a device that is put out is out within a second, though the clock is set back an hour meanwhile', async () => {
  const now = new Date('2026-06-10T09:00:00Z')
  const token = 'a token of the phone'
  await addPairedDevice(database, { name: 'Phone', tokenHash: hashOf(token), role: 'bay' })
  const known = await knownDevice(database, token, now)
  const anHourBefore = new Date(now.getTime() - 3_600_000)
  await revokePairedDevice(database, known?.id ?? '', anHourBefore)
  const began = performance.now()
  let device = await knownDevice(database, token, anHourBefore)
  while (device && performance.now() - began < 2000) {
    await new Promise((resolve) => setImmediate(resolve))
    device = await knownDevice(database, token, anHourBefore)
  }
  expect(device).toBeNull()
  expect(performance.now() - began).toBeLessThan(1000)
})
