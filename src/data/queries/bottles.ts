import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { familyIds, type FamilyId } from '@/core/chemistry/families'
import type { Queryable } from '../database'
import { readRows } from '../rows'

/** A bottle that was mixed. */
export interface Bottle {
  readonly id: string
  readonly productName: string
  readonly family: FamilyId
  /** Share of concentrate in it. */
  readonly fraction: number
  readonly totalMillilitres: number
  readonly mixedAt: Date
  readonly mixedBy: string
  readonly emptiedAt: Date | null
}

const bottleRow = v.object({
  id: v.string(),
  product_name: v.string(),
  family: oneOf(familyIds),
  fraction: v.number(),
  total_millilitres: v.number(),
  mixed_at: v.date(),
  mixed_by: v.string(),
  emptied_at: v.nullable(v.date()),
})
type BottleRow = v.InferOutput<typeof bottleRow>

const bottleOfRow = (row: BottleRow): Bottle => ({
  id: row.id,
  productName: row.product_name,
  family: row.family,
  fraction: row.fraction,
  totalMillilitres: row.total_millilitres,
  mixedAt: row.mixed_at,
  mixedBy: row.mixed_by,
  emptiedAt: row.emptied_at,
})

export async function addBottle(
  database: Queryable,
  id: string,
  bottle: Omit<Bottle, 'id' | 'emptiedAt'> & { readonly productId: string },
): Promise<string> {
  await database.query(
    `insert into bottle (id, product_id, product_name, family, fraction, total_millilitres, mixed_at, mixed_by)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [
      id,
      bottle.productId,
      bottle.productName,
      bottle.family,
      bottle.fraction,
      bottle.totalMillilitres,
      bottle.mixedAt,
      bottle.mixedBy,
    ],
  )
  return id
}

export async function listFullBottles(database: Queryable): Promise<Bottle[]> {
  const rows = await readRows(
    database,
    bottleRow,
    'select * from bottle where emptied_at is null order by mixed_at desc, id',
  )
  return rows.map(bottleOfRow)
}

export async function findBottle(database: Queryable, id: string): Promise<Bottle | null> {
  const rows = await readRows(database, bottleRow, 'select * from bottle where id = $1', [id])
  return rows[0] ? bottleOfRow(rows[0]) : null
}

export async function emptyBottle(database: Queryable, id: string, at: Date): Promise<void> {
  await database.query(
    'update bottle set emptied_at = greatest($2, mixed_at) where id = $1 and emptied_at is null',
    [id, at],
  )
}
