import * as v from 'valibot'
import type { Queryable } from '../database'
import { readRow } from '../rows'

/** How the machine itself is guarded, and whether the shop's network is let in. */
export interface Desk {
  readonly passphraseHash: string | null
  readonly isOpenToNetwork: boolean
}

export async function readDesk(database: Queryable): Promise<Desk> {
  const row = await readRow(
    database,
    v.object({ passphrase_hash: v.nullable(v.string()), is_open_to_network: v.boolean() }),
    'select passphrase_hash, is_open_to_network from desk',
  )
  return {
    passphraseHash: row?.passphrase_hash ?? null,
    isOpenToNetwork: row?.is_open_to_network ?? false,
  }
}

export async function keepOpenToNetwork(database: Queryable, isOpen: boolean): Promise<void> {
  await database.query('update desk set is_open_to_network = $1', [isOpen])
}

/** A changed passphrase ends every sitting at the desk. */
export async function keepPassphrase(database: Queryable, hash: string | null): Promise<void> {
  await database.query('delete from desk_session')
  await database.query('update desk set passphrase_hash = $1', [hash])
}

export async function addDeskSession(database: Queryable, tokenHash: string): Promise<void> {
  await database.query('insert into desk_session (token_hash) values ($1)', [tokenHash])
}

export async function hasDeskSession(database: Queryable, tokenHash: string): Promise<boolean> {
  const rows = await database.query('select 1 from desk_session where token_hash = $1', [tokenHash])
  return rows.length > 0
}

/** Where this machine puts its backups; empty: where they lie by themselves. */
export async function readBackupFolder(database: Queryable): Promise<string> {
  const row = await readRow(
    database,
    v.object({ backup_folder: v.string() }),
    'select backup_folder from desk',
  )
  return row?.backup_folder ?? ''
}

export async function keepBackupFolder(database: Queryable, folder: string): Promise<void> {
  await database.query('update desk set backup_folder = $1', [folder])
}
