// Adds many wheel sets with three years of records to a data folder: `tsx bench/addSets.ts FOLDER SETS`. Prints JSON last: the ids of
// the sets by their number, and a product as its form would send it.
import { productToFile } from '@/services/jobs/planJob'
import { openDatabase } from '@/data/openDatabase'
import { listProducts } from '@/data/queries/cabinet'
import { fillBigShop } from './bigShop'

const [folder = '', sets = '2000'] = process.argv.slice(2)
const database = await openDatabase(folder)
await fillBigShop(database, Number(sets), new Date())
await database.query('vacuum analyze')
const rows = await database.query<{ id: string }>(
  `select md5('s' || i)::uuid as id from generate_series(0, ${Number(sets)}) i order by i`,
)
const [product] = await listProducts(database)
await database.close()
console.log(
  JSON.stringify({
    sets: rows.map(({ id }) => id),
    product: product && { version: product.version, file: productToFile(product) },
  }),
)
