import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { movementKinds, type MovementKind } from '@/core/chemistry/stockMovement'
import type { Queryable } from '../database'
import { readRows } from '../rows'

/** A movement of a product's stock. */
export interface StockMovement {
  readonly id: string
  readonly at: Date
  readonly kind: MovementKind
  /** What came in; below zero: what went out. */
  readonly millilitres: number
  /** What was there after it. */
  readonly leftMillilitres: number
  readonly note: string
}

/** Where a movement comes from. */
interface MovementSource {
  /** Sent twice it is one. */
  readonly id?: string
  readonly note?: string
  readonly visitId?: string
  readonly bottleId?: string
}

/** The stock as it is after, in terms of what it was; no more is used than is there. */
type NewStock =
  | 'greatest(0, stock_millilitres + $3::float8)'
  | '$3::float8'
  | 'floor(stock_millilitres / pack_millilitres) * pack_millilitres + $3::float8'

/** Takes a movement down and moves the stock by it, both or neither; where nothing moves only a count is taken down. */
async function move(
  database: Queryable,
  productId: string,
  kind: MovementKind,
  newStock: NewStock,
  millilitres: number,
  at: Date,
  { id, note = '', visitId, bottleId }: MovementSource,
): Promise<void> {
  await database.query(
    `with before as (
       select id, stock_millilitres as was, ${newStock} as will_be from product
       where id = $1 and not exists (select 1 from stock_movement where id = $5) for update),
     moved as (
       update product p set stock_millilitres = b.will_be from before b where p.id = b.id
       returning p.id, b.will_be - b.was as difference, b.will_be)
     insert into stock_movement (id, product_id, moved_at, kind, millilitres, left_millilitres, note, visit_id, bottle_id)
     select coalesce($5::uuid, gen_random_uuid()), id, $4, $2, difference, will_be, $6, $7, $8 from moved
     where difference <> 0 or $2 = 'counted'`,
    [productId, kind, millilitres, at, id ?? null, note, visitId ?? null, bottleId ?? null],
  )
}

/** What came in, or, below zero, went out. */
export const moveStock = (
  database: Queryable,
  productId: string,
  kind: Exclude<MovementKind, 'counted'>,
  millilitres: number,
  at: Date,
  source: MovementSource = {},
): Promise<void> =>
  move(database, productId, kind, 'greatest(0, stock_millilitres + $3::float8)', millilitres, at, source)

/** What is there, as somebody counted it. */
export const countStock = (
  database: Queryable,
  productId: string,
  millilitres: number,
  at: Date,
  source: MovementSource = {},
): Promise<void> => move(database, productId, 'counted', '$3::float8', millilitres, at, source)

/** The open pack is empty: what is left is whole packs. */
export const emptyOpenPack = (
  database: Queryable,
  productId: string,
  at: Date,
  source: MovementSource = {},
): Promise<void> =>
  move(
    database,
    productId,
    'counted',
    'floor(stock_millilitres / pack_millilitres) * pack_millilitres + $3::float8',
    0,
    at,
    source,
  )

/** The last movements of a product, the newest first. */
export async function listMovements(
  database: Queryable,
  productId: string,
  most: number,
): Promise<StockMovement[]> {
  const rows = await readRows(
    database,
    v.object({
      id: v.string(),
      moved_at: v.date(),
      kind: oneOf(movementKinds),
      millilitres: v.number(),
      left_millilitres: v.number(),
      note: v.string(),
    }),
    `select id, moved_at, kind, millilitres, left_millilitres, note from stock_movement
     where product_id = $1 order by number desc limit $2`,
    [productId, most],
  )
  return rows.map((row) => ({
    id: row.id,
    at: row.moved_at,
    kind: row.kind,
    millilitres: row.millilitres,
    leftMillilitres: row.left_millilitres,
    note: row.note,
  }))
}
