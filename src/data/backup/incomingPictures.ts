import type { PictureFile } from '@/contracts/backup'
import { incomingTable } from '../ownObjects'
import type { Database, DatabaseTransaction, Queryable } from '../database'

/** Pictures of a restore, in a table of their own until everything else is replaced too. */
export interface IncomingPictures {
  /** Puts them in the place of those that are there. */
  take(transaction: DatabaseTransaction): Promise<void>
  /** Forgets those that were not taken. */
  forget(): Promise<void>
}

/** Those of a restore that was cut off are not missed after so long. */
const oldest = "interval '1 day'"

async function forget(database: Queryable, restoreId: string): Promise<void> {
  await database.query(
    `delete from ${incomingTable} where restore_id = $1 or arrived_at < now() - ${oldest}`,
    [restoreId],
  )
  // Only an empty table that is dropped gives its room back at once.
  const [left] = await database.query(`select 1 from ${incomingTable} limit 1`)
  if (!left) await database.query(`drop table ${incomingTable}`)
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
    take: async (transaction) => {
      await transaction.script(
        'alter table photograph_file disable trigger user; delete from photograph_file',
      )
      await transaction.query(
        `insert into photograph_file (photograph_id, size, jpeg)
         select photograph_id, size, jpeg from ${incomingTable} where restore_id = $1`,
        [restoreId],
      )
      await transaction.script('alter table photograph_file enable trigger user')
    },
    forget: () => forget(database, restoreId),
  }
}

/** Forgets what a restore left that was cut off; nobody else uses a folder's database that is being opened. */
export async function forgetIncoming(database: Queryable): Promise<void> {
  const [there] = await database.query('select 1 from pg_class where oid = to_regclass($1)', [incomingTable])
  if (there) await database.query(`drop table ${incomingTable}`)
}
