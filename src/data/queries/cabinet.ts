import type { Delivery, Rating, Ratings } from '@/core/chemistry/family'
import type { FamilyId } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import type { Tool } from '@/core/tools/tool'
import type { Queryable } from '../database'

interface ProductRow {
  id: string
  name: string
  family: FamilyId
  strength_from: number
  strength_to: number
  dwell_min_seconds: number
  dwell_max_seconds: number
  delivery: Delivery
  pack_millilitres: number
  pack_price_minor: number
  stock_millilitres: number
  ratings: Record<string, Rating> | null
}

const productOfRow = (row: ProductRow): Product => ({
  id: row.id,
  name: row.name,
  family: row.family,
  strength: { from: row.strength_from, to: row.strength_to },
  dwellSeconds: { min: row.dwell_min_seconds, max: row.dwell_max_seconds },
  delivery: row.delivery,
  ratings: (row.ratings ?? {}) as Ratings,
  packMillilitres: row.pack_millilitres,
  packPriceMinor: Number(row.pack_price_minor),
  stockMillilitres: row.stock_millilitres,
})

export async function listProducts(database: Queryable): Promise<Product[]> {
  const rows = await database.query<ProductRow>(
    `select p.*, (select json_object_agg(soil, rating) from product_rating r where r.product_id = p.id) as ratings
     from product p order by lower(p.name), p.id`,
  )
  return rows.map(productOfRow)
}

/** A product of which little is left. */
export type LowStock = Pick<Product, 'id' | 'name' | 'packMillilitres' | 'stockMillilitres'>

/** Products with less left than a share of their pack, the emptiest first. */
export async function listLowStock(database: Queryable, share: number): Promise<LowStock[]> {
  const rows = await database.query<ProductRow>(
    `select id, name, pack_millilitres, stock_millilitres from product
     where stock_millilitres < pack_millilitres * $1 order by stock_millilitres / pack_millilitres, id`,
    [share],
  )
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    packMillilitres: row.pack_millilitres,
    stockMillilitres: row.stock_millilitres,
  }))
}

export async function addProduct(database: Queryable, product: Product, currency: string): Promise<void> {
  await database.query(
    `insert into product (id, name, family, strength_from, strength_to, dwell_min_seconds, dwell_max_seconds, delivery,
       pack_millilitres, pack_price_minor, currency, stock_millilitres)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
    [
      product.id,
      product.name,
      product.family,
      product.strength.from,
      product.strength.to,
      product.dwellSeconds.min,
      product.dwellSeconds.max,
      product.delivery,
      product.packMillilitres,
      product.packPriceMinor,
      currency,
      product.stockMillilitres,
    ],
  )
  for (const [soil, rating] of Object.entries(product.ratings)) {
    await database.query('insert into product_rating (product_id, soil, rating) values ($1, $2, $3)', [
      product.id,
      soil,
      rating,
    ])
  }
}

/** Takes used concentrate off the stock; never below nothing. */
export async function takeFromStock(
  database: Queryable,
  productId: string,
  millilitres: number,
): Promise<void> {
  await database.query(
    'update product set stock_millilitres = greatest(0, stock_millilitres - $2) where id = $1',
    [productId, millilitres],
  )
}

interface ToolRow {
  id: string
  name: string
  kind: Tool['kind']
  stiffness: Tool['stiffness']
  diameter_millimetres: number
  squeezed_millimetres: number
  reach_millimetres: number
  state: Tool['state']
}

export async function listTools(database: Queryable): Promise<Tool[]> {
  const rows = await database.query<ToolRow>('select * from tool order by lower(name), id')
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    kind: row.kind,
    stiffness: row.stiffness,
    diameterMillimetres: row.diameter_millimetres,
    squeezedMillimetres: row.squeezed_millimetres,
    reachMillimetres: row.reach_millimetres,
    state: row.state,
  }))
}

export async function addTool(database: Queryable, tool: Tool): Promise<void> {
  await database.query(
    `insert into tool (id, name, kind, stiffness, diameter_millimetres, squeezed_millimetres, reach_millimetres, state)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [
      tool.id,
      tool.name,
      tool.kind,
      tool.stiffness,
      tool.diameterMillimetres,
      tool.squeezedMillimetres,
      tool.reachMillimetres,
      tool.state,
    ],
  )
}
