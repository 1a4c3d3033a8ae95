import { afterAll, beforeAll, expect, it } from 'vitest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Database } from './database'
import { openInMemory } from './openInMemory'
import { mark } from './queries/due/dueMarks'
import { addProduct } from './queries/cabinet'

let database: Database
beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

/** Waits until something was said, in whatever order. */
async function until(isSo: () => boolean): Promise<void> {
  for (let round = 0; round < 200 && !isSo(); round += 1)
    await new Promise((resolve) => setTimeout(resolve, 25))
  expect(isSo()).toBe(true)
}

it('hears what was committed, once a transaction, and nothing of what was undone', async () => {
  const said: string[] = []
  await database.listen((change) => said.push(change))
  await database
    .transaction(async (transaction) => {
      await mark(transaction, 'undone', null, { snoozedUntil: null, doneAt: new Date() })
      throw new Error('undone')
    })
    .catch(() => undefined)
  await database.transaction(async (transaction) => {
    for (const product of starterCabinet.slice(0, 3)) await addProduct(transaction, product, 'EUR')
  })
  await until(() => said.length > 0)
  expect(said).toEqual(['stock'])
  await mark(database, 'done', null, { snoozedUntil: null, doneAt: new Date() })
  await until(() => said.length > 1)
  expect(said).toEqual(['stock', 'due'])
})
