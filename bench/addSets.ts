// Adds many wheel sets with three years of records to a data folder: `tsx bench/addSets.ts FOLDER SETS`.
import { openDatabase } from '@/data/openDatabase'
import { fillBigShop } from './bigShop'

const [folder = '', sets = '2000'] = process.argv.slice(2)
const database = await openDatabase(folder)
await fillBigShop(database, Number(sets), new Date())
await database.query('vacuum analyze')
await database.close()
