import { pictureTable, type PictureFile } from '@/contracts/backup'
import type { PhotographSize } from '@/contracts/photograph'
import type { Database, Queryable } from '../database'
import { isLeftOut, quoted, tablesInOrder, type Table } from './tables'

/** A picture without its bytes. */
export type PictureName = Omit<PictureFile, 'jpeg'>

/** Everything that is stored as of one instant, read piece by piece: little of it is held at a time. */
export interface DumpReader {
  /** Number of the last migration. */
  readonly dataVersion: number
  /** Tables that are read as rows, each after those it refers to. */
  readonly tables: readonly string[]
  readonly pictures: readonly PictureName[]
  /** The rows of a table as JSON, one text a row, in the order of the table's key. One table at a time. */
  rowsOf(table: string): AsyncGenerator<readonly string[]>
  picture(of: PictureName): Promise<Uint8Array>
  /** Other reads of the same instant. */
  readonly at: Queryable
}

/** Rows that are read at a time. */
const strideRows = 2000

async function* rowsOf(transaction: Queryable, { name, columns, key }: Table): AsyncGenerator<string[]> {
  const order = key.length > 0 ? ` order by ${key.map(quoted).join(', ')}` : ''
  await transaction.query(
    `declare dumped no scroll cursor for
     select row_to_json(r)::text as row from (select ${columns.map(quoted).join(', ')} from ${quoted(name)}${order}) r`,
  )
  for (;;) {
    const rows = await transaction.query<{ row: string }>(`fetch ${strideRows} from dumped`)
    yield rows.map(({ row }) => row)
    if (rows.length < strideRows) break
  }
  await transaction.query('close dumped')
}

async function listPictures(transaction: Queryable): Promise<PictureName[]> {
  const rows = await transaction.query<{ photograph_id: string; size: PhotographSize }>(
    'select photograph_id, size from photograph_file order by photograph_id, size',
  )
  return rows.map(({ photograph_id, size }) => ({ photographId: photograph_id, size }))
}

async function readPicture(transaction: Queryable, { photographId, size }: PictureName): Promise<Uint8Array> {
  const [row] = await transaction.query<{ jpeg: Uint8Array }>(
    'select jpeg from photograph_file where photograph_id = $1 and size = $2',
    [photographId, size],
  )
  if (!row) throw new Error(`The ${size} picture of photograph ${photographId} is missing.`)
  return row.jpeg
}

/**
 * Reads everything that is stored, as of one instant.
 * @param work may read until it resolves
 */
export function dump<T>(database: Database, work: (reader: DumpReader) => Promise<T>): Promise<T> {
  return database.transaction(async (transaction) => {
    await transaction.query('set transaction isolation level repeatable read, read only')
    const [version] = await transaction.query<{ number: number }>(
      'select max(number) as number from schema_migration',
    )
    const all = await tablesInOrder(transaction)
    const tables = new Map(
      all
        .filter(({ name }) => !isLeftOut(name) && name !== pictureTable)
        .map((table) => [table.name, table] as const),
    )
    return work({
      dataVersion: Number(version?.number ?? 0),
      tables: [...tables.keys()],
      pictures: all.some(({ name }) => name === pictureTable) ? await listPictures(transaction) : [],
      rowsOf: (name) => {
        const table = tables.get(name)
        if (!table) throw new Error(`There is no table ${name} to dump.`)
        return rowsOf(transaction, table)
      },
      picture: (of) => readPicture(transaction, of),
      at: transaction,
    })
  })
}
