import * as v from 'valibot'
import type { Queryable } from '../database'

/** One column: its name, its type as the database names it, and whether it may be empty. */
interface Column {
  readonly name: string
  readonly type: string
  readonly isNullable: boolean
}

const integer = (bits: number) =>
  v.pipe(v.number(), v.integer(), v.minValue(-(2 ** (bits - 1))), v.maxValue(2 ** (bits - 1) - 1))
const timestamp = v.pipe(
  v.string(),
  v.regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?([+-]\d\d(:?\d\d)?|Z)$/),
  v.check((text) => !Number.isNaN(Date.parse(text))),
)

/** How values of each type look as JSON. A number is a finite one: texts like NaN would be taken by the database. */
const shapes: Readonly<Record<string, v.GenericSchema>> = {
  text: v.pipe(
    v.string(),
    v.check((text) => !text.includes('\u0000')),
  ),
  uuid: v.pipe(v.string(), v.uuid()),
  boolean: v.boolean(),
  smallint: integer(16),
  integer: integer(32),
  bigint: v.pipe(v.number(), v.safeInteger()),
  'double precision': v.pipe(v.number(), v.finite()),
  real: v.pipe(v.number(), v.finite()),
  'timestamp with time zone': timestamp,
  date: v.pipe(v.string(), v.isoDate()),
  jsonb: v.unknown(),
}

function shapeOf({ type, isNullable }: Column): v.GenericSchema {
  const element = type.endsWith('[]') ? type.slice(0, -2) : null
  const shape = element === null ? shapes[type] : shapes[element] && v.array(shapes[element])
  if (!shape) throw new Error(`No contract for columns of type ${type}.`)
  return isNullable ? v.nullable(shape) : shape
}

/**
 * Returns the contract of a table's rows, as the database declares its columns. Columns a row does not have get their
 * default; columns the table does not have are refused.
 */
export async function rowContract(database: Queryable, table: string): Promise<v.GenericSchema> {
  const columns = await database.query<Column>(
    `select a.attname::text as name, format_type(a.atttypid, null) as type, not a.attnotnull as "isNullable"
     from pg_attribute a where a.attrelid = to_regclass($1) and a.attnum > 0 and not a.attisdropped and a.attgenerated = ''`,
    [`public.${table}`],
  )
  return v.strictObject(
    Object.fromEntries(columns.map((column) => [column.name, v.optional(shapeOf(column))])),
  )
}
