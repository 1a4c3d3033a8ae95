import { pictureTable, type PictureFile } from '@/contracts/backup'
import type { Database, Queryable } from '../database'
import { dumpPictures } from './pictures'
import type { Restored } from './restore'
import { isLeftOut, quoted, tablesInOrder, type Table } from './tables'

/** The rows of one table as JSON, a row a line. */
export interface DumpedTable {
  readonly name: string
  readonly rows: number
  readonly json: string
}

export interface Dump<Also> {
  /** Number of the last migration. */
  readonly dataVersion: number
  readonly tables: readonly DumpedTable[]
  readonly pictures: readonly PictureFile[]
  readonly also: Also
}

/** What was dumped, as it is put in place again. */
export const restorable = ({ dataVersion, tables, pictures }: Dump<unknown>): Restored => ({
  dataVersion,
  tables: tables.map(({ name, json }) => ({ name, rows: JSON.parse(json) as unknown[] })),
  pictures,
})

/** Rows that are taken at a time. */
const stride = 5000

/** Every row as JSON, in the order of the table's key. */
async function linesOf(transaction: Queryable, { name, columns, key }: Table): Promise<string[]> {
  const order = key.length > 0 ? ` order by ${key.map(quoted).join(', ')}` : ''
  await transaction.query(
    `declare dumped no scroll cursor for
     select row_to_json(r)::text as row from (select ${columns.map(quoted).join(', ')} from ${quoted(name)}${order}) r`,
  )
  const lines: string[] = []
  for (;;) {
    const rows = await transaction.query<{ row: string }>(`fetch ${stride} from dumped`)
    for (const { row } of rows) lines.push(row)
    if (rows.length < stride) break
  }
  await transaction.query('close dumped')
  return lines
}

/**
 * Everything that is stored, as of one instant.
 * @param also what else is read of the same instant
 */
export function dump<Also>(database: Database, also: (at: Queryable) => Promise<Also>): Promise<Dump<Also>> {
  return database.transaction(async (transaction) => {
    await transaction.query('set transaction isolation level repeatable read, read only')
    const [version] = await transaction.query<{ number: number }>(
      'select max(number) as number from schema_migration',
    )
    const tables: DumpedTable[] = []
    let pictures: readonly PictureFile[] = []
    for (const table of await tablesInOrder(transaction)) {
      const { name } = table
      if (isLeftOut(name)) continue
      if (name === pictureTable) {
        pictures = await dumpPictures(transaction)
        continue
      }
      const lines = await linesOf(transaction, table)
      tables.push({ name, rows: lines.length, json: `[\n${lines.join(',\n')}\n]\n` })
    }
    return {
      dataVersion: Number(version?.number ?? 0),
      tables,
      pictures,
      also: await also(transaction),
    }
  })
}
