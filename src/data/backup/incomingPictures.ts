import type { PictureFile } from '@/contracts/backup'
import { incomingTable } from '../ownObjects'
import type { Database, DatabaseTransaction, Queryable } from '../database'
import { quoted } from './tables'

/** Pictures of a restore, in a table of their own until everything else is replaced too. */
export interface IncomingPictures {
  /** Puts them in the place of those that are there. */
  take(transaction: DatabaseTransaction): Promise<void>
  /** Forgets those that were not taken. */
  forget(): Promise<void>
}

/** Those of a restore that was cut off are not missed after so long. */
const oldest = "interval '1 day'"

const isThere = async (database: Queryable): Promise<boolean> =>
  (await database.query('select 1 from pg_class where oid = to_regclass($1)', [incomingTable])).length > 0

async function forget(database: Queryable, restoreId: string): Promise<void> {
  if (!(await isThere(database))) return
  await database.query(
    `delete from ${incomingTable} where restore_id = $1 or arrived_at < now() - ${oldest}`,
    [restoreId],
  )
  // Only an empty table that is dropped gives its room back at once.
  const [left] = await database.query(`select 1 from ${incomingTable} limit 1`)
  if (!left) await database.query(`drop table ${incomingTable}`)
}

/** What makes a table of pictures the one of this version: its rules and triggers, as statements. */
async function rulesOf(transaction: DatabaseTransaction): Promise<string[]> {
  const constraints = await transaction.query<{ name: string; rule: string }>(
    `select conname::text as name, pg_get_constraintdef(oid) as rule from pg_constraint
     where conrelid = to_regclass('photograph_file') and contype in ('p', 'c', 'f') order by contype = 'p' desc, conname`,
  )
  const triggers = await transaction.query<{ rule: string }>(
    `select pg_get_triggerdef(oid) as rule from pg_trigger where tgrelid = to_regclass('photograph_file') and not tgisinternal`,
  )
  return [
    ...constraints.map(
      ({ name, rule }) => `alter table photograph_file add constraint ${quoted(name)} ${rule}`,
    ),
    ...triggers.map(({ rule }) => rule),
  ]
}

/** Puts the pictures of a restore in the place of those that are there. No picture is copied: the table itself takes the place. */
async function take(transaction: DatabaseTransaction, restoreId: string): Promise<void> {
  const rules = await rulesOf(transaction)
  await transaction.query(`delete from ${incomingTable} where restore_id <> $1`, [restoreId])
  await transaction.script(
    `drop table photograph_file;
     alter table ${incomingTable} drop column restore_id, drop column arrived_at;
     alter table ${incomingTable} rename to photograph_file;
     ${rules.join(';\n')}`,
  )
}

/**
 * Writes the pictures of a restore one by one, while pages and taps go on in between: they are most of what a backup holds, and a
 * folder's database does one thing at a time.
 */
export async function receivePictures(
  database: Database,
  pictures: AsyncIterable<PictureFile>,
): Promise<IncomingPictures> {
  const restoreId = crypto.randomUUID()
  await database.query(
    `create table if not exists ${incomingTable} (restore_id uuid not null, arrived_at timestamptz not null default now(),
       photograph_id uuid not null, size text not null, jpeg bytea not null)`,
  )
  await database.query(`alter table ${incomingTable} alter column jpeg set storage external`)
  try {
    for await (const { photographId, size, jpeg } of pictures)
      await database.query(
        `insert into ${incomingTable} (restore_id, photograph_id, size, jpeg) values ($1, $2, $3, $4)`,
        [restoreId, photographId, size, jpeg],
      )
  } catch (error) {
    await forget(database, restoreId).catch(() => undefined)
    throw error
  }
  return {
    take: (transaction) => take(transaction, restoreId),
    forget: () => forget(database, restoreId),
  }
}

/** Forgets what a restore left that was cut off; nobody else uses a folder's database that is being opened. */
export async function forgetIncoming(database: Queryable): Promise<void> {
  if (await isThere(database)) await database.query(`drop table ${incomingTable}`)
}
