import type { Finish } from '@/core/finishes/finish'
import type { TestSpot } from '@/core/job/testSpot'
import type { Queryable } from '../database'

/** What a product did at a hidden place of a wheel set. */
export interface StoredTestSpot extends TestSpot {
  readonly productName: string
  readonly triedAt: Date
}

interface TestSpotRow {
  product_id: string
  finish: Finish
  product_name: string
  result: TestSpot['result']
  tried_at: Date
}

export async function listTestSpots(database: Queryable, wheelSetId: string): Promise<StoredTestSpot[]> {
  const rows = await database.query<TestSpotRow>(
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
