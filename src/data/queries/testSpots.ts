import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { finishes } from '@/core/finishes/finish'
import { testSpotResults, type TestSpot } from '@/core/job/testSpot'
import type { Queryable } from '../database'
import { readRows } from '../rows'

/** What a product did at a hidden place of a wheel set. */
export interface StoredTestSpot extends TestSpot {
  readonly productName: string
  readonly triedAt: Date
}

const testSpotRow = v.object({
  product_id: v.string(),
  finish: oneOf(finishes),
  product_name: v.string(),
  result: oneOf(testSpotResults),
  tried_at: v.date(),
})

export async function listTestSpots(database: Queryable, wheelSetId: string): Promise<StoredTestSpot[]> {
  const rows = await readRows(
    database,
    testSpotRow,
    'select product_id, finish, product_name, result, tried_at from test_spot where wheel_set_id = $1 order by tried_at desc, product_id, finish',
    [wheelSetId],
  )
  return rows.map((row) => ({
    productId: row.product_id,
    finish: row.finish,
    productName: row.product_name,
    result: row.result,
    triedAt: row.tried_at,
  }))
}

/** Remembers what was tried; the newest try of a product on a finish counts. */
export async function rememberTestSpots(
  database: Queryable,
  wheelSetId: string,
  spots: readonly StoredTestSpot[],
): Promise<void> {
  for (const { productId, finish, productName, result, triedAt } of spots)
    await database.query(
      `insert into test_spot (wheel_set_id, product_id, finish, product_name, result, tried_at)
       values ($1, $2, $3, $4, $5, $6)
       on conflict (wheel_set_id, product_id, finish)
       do update set product_name = excluded.product_name, result = excluded.result, tried_at = excluded.tried_at`,
      [wheelSetId, productId, finish, productName, result, triedAt],
    )
}
