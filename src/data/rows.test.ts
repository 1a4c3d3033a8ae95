import * as v from 'valibot'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Database } from './database'
import { openInMemory } from './openInMemory'
import { findProduct } from './queries/cabinet'
import { countWheelSets, listWheelSets } from './queries/wheelSets'
import { readRow, readRows, wholeNumber } from './rows'

let database: Database
beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

describe('rows', () => {
  it('are read as their shape says, large numbers and missing ones too', async () => {
    const shape = v.object({ large: wholeNumber, missing: v.nullable(v.string()) })
    expect(
      await readRows(database, shape, 'select 9007199254740991::bigint as large, null as missing'),
    ).toEqual([{ large: 9007199254740991, missing: null }])
    expect(await readRow(database, shape, 'select 1::bigint as large, null as missing where false')).toBe(
      undefined,
    )
  })

  it.each([
    ['a number beyond what can be counted', `select 9007199254740993::bigint as large`],
    ['a text where a number has to be', `select 'many' as large`],
    ['nothing where a number has to be', 'select null as large'],
    ['no such column', 'select 1 as small'],
  ])('with %s are refused, and the column is named', async (_, text) => {
    const read = readRows(database, v.object({ large: wholeNumber }), text)
    await expect(read).rejects.toMatchObject({ name: 'DataFailure', reason: 'damaged' })
    await expect(read).rejects.toThrow(/stored value "large" is/)
  })

  it('of a product with a family that this version does not know are refused by name, not shown as something else', async () => {
    await database.query('alter table product drop constraint if exists product_family_check')
    await database.query(
      `insert into product (id, name, family, strength_from, strength_to, dwell_min_seconds, dwell_max_seconds, delivery,
         pack_millilitres, pack_price_minor, currency, stock_millilitres)
       values ('later', 'Later', 'plasma', 1, 1, 0, 60, 'trigger', 500, 900, 'EUR', 500)`,
    )
    await expect(findProduct(database, 'later')).rejects.toThrow('"family" of later is "plasma"')
    expect((await listWheelSets(database, { size: 5 })).rows).toEqual([])
    expect(await countWheelSets(database)).toBe(0)
  })
})
