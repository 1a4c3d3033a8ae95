import type { Database, Queryable } from '../database'
import { isLeftOut, quoted, tablesInOrder } from './tables'

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
  readonly also: Also
}

/** Rows that are taken at a time. */
const stride = 5000

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
    for (const { name, columns, key } of await tablesInOrder(transaction)) {
      if (isLeftOut(name)) continue
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
      tables.push({ name, rows: lines.length, json: `[\n${lines.join(',\n')}\n]\n` })
    }
    return { dataVersion: Number(version?.number ?? 0), tables, also: await also(transaction) }
  })
}
