import { inEnglish } from '@/i18n/testEnglish'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Database } from '../database'
import { openInMemory } from '../openInMemory'
import { addProduct } from '../queries/cabinet'
import { problemsIn } from './wholeness'

let database: Database
beforeEach(async () => {
  database = await openInMemory()
  for (const product of starterCabinet) await addProduct(database, product, 'EUR')
})
afterEach(() => database.close())

/** Does what no program of ours does: past counts, rules and references. */
const behindItsBack = async (statement: string) => {
  for (const table of ['product', 'product_rating', 'stock_movement'])
    await database.query(`alter table ${table} disable trigger all`)
  await database.query(statement)
  for (const table of ['product', 'product_rating', 'stock_movement'])
    await database.query(`alter table ${table} enable trigger all`)
}

describe('whether the data is whole', () => {
  it('finds nothing where all is well', async () => expect(await problemsIn(database)).toEqual([]))

  it.each([
    [
      `delete from stock_movement where product_id = 'degreaser'`,
      /^stock_movement: .* rows where .* were counted$/m,
    ],
    [
      `update product set stock_millilitres = 1 where id = 'degreaser'`,
      /^stock of degreaser: 1 ml on record/m,
    ],
    [
      `update stock_movement set product_id = 'nobody' where product_id = 'degreaser'`,
      /^stock_movement: 1 row breaks the rule stock_movement_product_id_fkey$/m,
    ],
  ])('names what was done behind its back: %s', async (statement, words) => {
    await behindItsBack(statement)
    expect(inEnglish(await problemsIn(database)).join('\n')).toMatch(words)
  })

  it('names rows against a rule that came to them from elsewhere', async () => {
    await database.query('alter table product add constraint later check (pack_millilitres < 2) not valid')
    expect(inEnglish(await problemsIn(database)).join('\n')).toMatch(
      /^product: \d+ rows break the rule later$/m,
    )
  })
})
