import { message } from '@/core/message/message'
import * as v from 'valibot'
import type { Parameter, Queryable } from './database'
import { DataFailure } from './dataFailure'

/** Whole numbers: servers send large ones as text. */
export const wholeNumber = v.pipe(
  v.union([v.number(), v.string(), v.bigint()]),
  v.transform(Number),
  v.safeInteger(),
)

/** An instant: a column has a date, JSON a text. */
export const instant = v.pipe(
  v.union([v.date(), v.string()]),
  v.transform((at) => new Date(at)),
  v.date(),
)

export const idRow = v.object({ id: v.string() })
export const countRow = v.object({ count: v.number() })

/** Whose value it is where a row has an id. */
const idOf = (row: unknown): string | null => {
  const id = typeof row === 'object' && row !== null && 'id' in row ? row.id : undefined
  return typeof id === 'string' ? id : null
}

/**
 * Checks what was read from the database.
 * @throws DataFailure that names the column and the value, where it is none of this version
 */
export function readValue<Row>(shape: v.GenericSchema<unknown, Row>, row: unknown): Row {
  const read = v.safeParse(shape, row)
  if (read.success) return read.output
  const [issue] = read.issues
  throw new DataFailure(
    'damaged',
    message('data.unreadableValue', {
      name: v.getDotPath(issue) ?? '',
      id: idOf(row) ?? 'none',
      found: issue.received,
    }),
  )
}

/** Runs a query and checks each of its rows like `readValue`. */
export async function readRows<Row>(
  database: Queryable,
  shape: v.GenericSchema<unknown, Row>,
  text: string,
  parameters: readonly Parameter[] = [],
): Promise<Row[]> {
  const rows = await database.query<unknown>(text, parameters)
  return rows.map((row) => readValue(shape, row))
}

/** Like `readRows`, of a query that has one row or none. */
export async function readRow<Row>(
  database: Queryable,
  shape: v.GenericSchema<unknown, Row>,
  text: string,
  parameters: readonly Parameter[] = [],
): Promise<Row | undefined> {
  const [row] = await readRows(database, shape, text, parameters)
  return row
}
