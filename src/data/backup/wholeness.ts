import { message, type Message } from '@/core/message/message'
import type { Queryable } from '../database'
import { ownObjects } from '../ownObjects'
import { isLeftOut, quoted, tablesInOrder } from './tables'

/** Rows of every table that a backup holds, counted one by one. */
export async function countedRows(database: Queryable): Promise<Map<string, number>> {
  const counts = new Map<string, number>()
  for (const { name } of await tablesInOrder(database)) {
    if (isLeftOut(name)) continue
    const [row] = await database.query<{ rows: number }>(`select count(*)::int as rows from ${quoted(name)}`)
    counts.set(name, row?.rows ?? 0)
  }
  return counts
}

async function miscounted(database: Queryable, counts: ReadonlyMap<string, number>): Promise<Message[]> {
  const kept = await database.query<{ name: string; rows: number }>(
    'select name, rows::int as rows from table_count',
  )
  return kept.flatMap(({ name, rows }) => {
    const found = counts.get(name)
    return found === undefined || found === rows
      ? []
      : [message('data.check.counted', { table: name, found, rows })]
  })
}

interface Rule {
  readonly name: string
  readonly table: string
  /** Counts the rows that break it. */
  readonly count: string
}

/** Checks and references as queries; the database held them when rows were written, this holds what is there now. */
async function rulesOf(database: Queryable): Promise<Rule[]> {
  const checks = await database.query<{ name: string; table: string; expression: string }>(
    `select c.conname::text as name, t.relname::text as table, pg_get_expr(c.conbin, c.conrelid) as expression
     from pg_constraint c join pg_class t on t.oid = c.conrelid
     where c.contype = 'c' and t.relnamespace = 'public'::regnamespace and t.relname = any ($1)`,
    [ownObjects().tables],
  )
  const references = await database.query<{
    name: string
    table: string
    other: string
    own: string[]
    theirs: string[]
  }>(
    `select c.conname::text as name, t.relname::text as table, o.relname::text as other,
       (select array_agg(a.attname::text order by k.at) from unnest(c.conkey) with ordinality k(num, at)
         join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k.num) as own,
       (select array_agg(a.attname::text order by k.at) from unnest(c.confkey) with ordinality k(num, at)
         join pg_attribute a on a.attrelid = c.confrelid and a.attnum = k.num) as theirs
     from pg_constraint c join pg_class t on t.oid = c.conrelid join pg_class o on o.oid = c.confrelid
     where c.contype = 'f' and t.relnamespace = 'public'::regnamespace and t.relname = any ($1)`,
    [ownObjects().tables],
  )
  return [
    ...checks.map(({ name, table, expression }) => ({
      name,
      table,
      count: `select count(*)::int as broken from ${quoted(table)} where not (${expression})`,
    })),
    ...references.map(({ name, table, other, own, theirs }) => ({
      name,
      table,
      count: `select count(*)::int as broken from ${quoted(table)} t where ${own.map((column) => `t.${quoted(column)} is not null`).join(' and ')}
        and not exists (select 1 from ${quoted(other)} o where ${own.map((column, at) => `o.${quoted(theirs[at] ?? '')} = t.${quoted(column)}`).join(' and ')})`,
    })),
  ]
}

async function brokenRules(database: Queryable): Promise<Message[]> {
  const problems: Message[] = []
  for (const { name, table, count } of await rulesOf(database)) {
    const [row] = await database.query<{ broken: number }>(count)
    if (row && row.broken > 0)
      problems.push(message('data.check.rule', { table, count: row.broken, rule: name }))
  }
  return problems
}

/** Products whose movements do not add up to what is there. */
async function unbalanced(database: Queryable): Promise<Message[]> {
  const rows = await database.query<{ id: string; stock: number; moved: number }>(
    `select p.id, p.stock_millilitres as stock, coalesce(sum(m.millilitres), 0) as moved
     from product p left join stock_movement m on m.product_id = p.id
     group by p.id having abs(p.stock_millilitres - coalesce(sum(m.millilitres), 0)) > 1e-3 order by p.id`,
  )
  return rows.map(({ id, stock, moved }) =>
    message('data.check.stock', { id, stock: { millilitres: stock }, moved: { millilitres: moved } }),
  )
}

/** What is wrong with the data by its own counts, rules and ledger, a line each; none where all is well. */
export async function problemsIn(database: Queryable): Promise<Message[]> {
  return [
    ...(await miscounted(database, await countedRows(database))),
    ...(await brokenRules(database)),
    ...(await unbalanced(database)),
  ]
}
