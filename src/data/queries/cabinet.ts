import * as v from 'valibot'
import { ratings } from '@/contracts/cabinet'
import { oneOf } from '@/contracts/fields'
import { currentTime } from '@/clock'
import { deliveries, protectionWears } from '@/core/chemistry/family'
import { familyIds } from '@/core/chemistry/families'
import { longestKinds } from '@/core/chemistry/longest'
import type { Product } from '@/core/chemistry/product'
import type { Database, Queryable } from '../database'
import { readRow, readRows, wholeNumber } from '../rows'
import { countStock } from './stock'

const productRow = v.object({
  id: v.string(),
  name: v.string(),
  family: oneOf(familyIds),
  strength_from: v.number(),
  strength_to: v.number(),
  dwell_min_seconds: v.number(),
  dwell_max_seconds: v.number(),
  longest: v.nullable(oneOf(longestKinds)),
  delivery: oneOf(deliveries),
  pack_millilitres: v.number(),
  pack_price_minor: wholeNumber,
  stock_millilitres: v.number(),
  wear: v.nullable(oneOf(protectionWears)),
  contains_fluoride: v.boolean(),
  note: v.string(),
  fluoride_checked: v.boolean(),
  archived: v.boolean(),
  version: v.number(),
  ratings: v.nullable(ratings),
  packs: v.nullable(v.array(v.object({ millilitres: v.number(), priceMinor: v.number() }))),
})
type ProductRow = v.InferOutput<typeof productRow>

/** A product as it is stored; an edit must name the version it was made from. */
export interface StoredProduct extends Product {
  readonly version: number
}

const productOfRow = (row: ProductRow): StoredProduct => ({
  id: row.id,
  name: row.name,
  family: row.family,
  strength: { from: row.strength_from, to: row.strength_to },
  dwellSeconds: { min: row.dwell_min_seconds, max: row.dwell_max_seconds },
  ...(row.longest === null ? {} : { longest: row.longest }),
  delivery: row.delivery,
  ratings: row.ratings ?? {},
  packMillilitres: row.pack_millilitres,
  packPriceMinor: row.pack_price_minor,
  stockMillilitres: row.stock_millilitres,
  ...(row.wear === null ? {} : { wear: row.wear }),
  otherPacks: row.packs ?? [],
  note: row.note,
  containsFluoride: row.contains_fluoride,
  fluorideChecked: row.fluoride_checked,
  archived: row.archived,
  version: row.version,
})

const selectProduct = `
  select p.*, (select json_object_agg(soil, rating) from product_rating r where r.product_id = p.id) as ratings,
    (select json_agg(json_build_object('millilitres', millilitres, 'priceMinor', price_minor) order by number)
       from product_pack k where k.product_id = p.id) as packs
  from product p`

export async function listProducts(database: Queryable): Promise<StoredProduct[]> {
  const rows = await readRows(database, productRow, `${selectProduct} order by archived, lower(p.name), p.id`)
  return rows.map(productOfRow)
}

export async function findProduct(database: Queryable, id: string): Promise<StoredProduct | null> {
  const rows = await readRows(database, productRow, `${selectProduct} where p.id = $1`, [id])
  return rows[0] ? productOfRow(rows[0]) : null
}

/** A product of which little is left. */
export type LowStock = Pick<Product, 'id' | 'name' | 'packMillilitres' | 'stockMillilitres'>

const lowStockRow = v.pick(productRow, ['id', 'name', 'pack_millilitres', 'stock_millilitres'])

/** Products with less left than a share of their pack, the emptiest first. */
export async function listLowStock(database: Queryable, share: number): Promise<LowStock[]> {
  const rows = await readRows(
    database,
    lowStockRow,
    `select id, name, pack_millilitres, stock_millilitres from product
     where not archived and stock_millilitres < pack_millilitres * $1
     order by stock_millilitres / pack_millilitres, id`,
    [share],
  )
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    packMillilitres: row.pack_millilitres,
    stockMillilitres: row.stock_millilitres,
  }))
}

const values = (product: Product, currency: string) => [
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
  product.wear ?? null,
  product.containsFluoride,
  product.archived,
  product.note ?? '',
  product.fluorideChecked ?? false,
  product.longest ?? null,
]

async function writeDetails(database: Queryable, product: Product): Promise<void> {
  await database.query('delete from product_rating where product_id = $1', [product.id])
  for (const [soil, rating] of Object.entries(product.ratings)) {
    await database.query('insert into product_rating (product_id, soil, rating) values ($1, $2, $3)', [
      product.id,
      soil,
      rating,
    ])
  }
  await database.query('delete from product_pack where product_id = $1', [product.id])
  for (const [index, { millilitres, priceMinor }] of product.otherPacks.entries()) {
    await database.query(
      'insert into product_pack (product_id, number, millilitres, price_minor) values ($1, $2, $3, $4)',
      [product.id, index + 1, millilitres, priceMinor],
    )
  }
}

export async function addProduct(database: Queryable, product: Product, currency: string): Promise<void> {
  await database.query(
    `insert into product (id, name, family, strength_from, strength_to, dwell_min_seconds, dwell_max_seconds, delivery,
       pack_millilitres, pack_price_minor, currency, wear, contains_fluoride, archived, note, fluoride_checked, longest,
       stock_millilitres)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, 0)`,
    values(product, currency),
  )
  await writeDetails(database, product)
  await countStock(database, product.id, product.stockMillilitres, currentTime(), {
    note: '',
  })
}

export type SaveOutcome = 'saved' | 'changedMeanwhile' | 'gone'

/** Saves an edit of a product, but only over the version it was made from. Its stock is moved, never written. */
export function updateProduct(
  database: Database,
  fromVersion: number,
  product: Product,
  currency: string,
): Promise<SaveOutcome> {
  return database.transaction(async (transaction) => {
    if (await overwriteProduct(transaction, fromVersion, product, currency)) return 'saved'
    return (await findProduct(transaction, product.id)) ? 'changedMeanwhile' : 'gone'
  })
}

async function overwriteProduct(
  database: Queryable,
  fromVersion: number,
  product: Product,
  currency: string,
): Promise<boolean> {
  const rows = await database.query(
    `update product set name = $2, family = $3, strength_from = $4, strength_to = $5, dwell_min_seconds = $6,
         dwell_max_seconds = $7, delivery = $8, pack_millilitres = $9, pack_price_minor = $10, currency = $11,
         wear = $12, contains_fluoride = $13, archived = $14, note = $15, fluoride_checked = $16, longest = $17, version = version + 1
       where id = $1 and version = $18 returning id`,
    [...values(product, currency), fromVersion],
  )
  if (rows.length === 0) return false
  await writeDetails(database, product)
  return true
}

/**
 * Adds a product, or saves it over the one with its id; what points at that one goes on pointing at it. Where another amount is given
 * than is there, it was counted.
 */
export async function putProduct(database: Queryable, product: Product, currency: string): Promise<void> {
  const known = await readRow(
    database,
    v.object({ version: v.number(), stock: v.number() }),
    'select version, stock_millilitres as stock from product where id = $1 for update',
    [product.id],
  )
  if (!known) return addProduct(database, product, currency)
  await overwriteProduct(database, known.version, product, currency)
  if (known.stock !== product.stockMillilitres)
    await countStock(database, product.id, product.stockMillilitres, currentTime(), {
      note: 'From an import',
    })
}
