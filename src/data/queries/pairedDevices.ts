import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import type { Queryable } from '../database'
import { readRows, readRow } from '../rows'
import { deviceRoles, type DeviceRole } from '@/access-control/roles'

/** A phone or tablet that was let in. */
export interface PairedDevice {
  readonly id: string
  readonly name: string
  readonly role: DeviceRole
  readonly pairedAt: Date
  readonly lastSeenAt: Date | null
  readonly revokedAt: Date | null
}

const deviceRow = v.object({
  id: v.string(),
  name: v.string(),
  role: oneOf(deviceRoles),
  paired_at: v.date(),
  last_seen_at: v.nullable(v.date()),
  revoked_at: v.nullable(v.date()),
})
type DeviceRow = v.InferOutput<typeof deviceRow>

const deviceOf = (row: DeviceRow): PairedDevice => ({
  id: row.id,
  name: row.name,
  role: row.role,
  pairedAt: row.paired_at,
  lastSeenAt: row.last_seen_at,
  revokedAt: row.revoked_at,
})
const columns = 'id, name, role, paired_at, last_seen_at, revoked_at'

/** Those that are in first, then those that were put out. */
export async function listPairedDevices(database: Queryable): Promise<PairedDevice[]> {
  const rows = await readRows(
    database,
    deviceRow,
    `select ${columns} from paired_device order by revoked_at is not null, lower(name), paired_at limit 200`,
  )
  return rows.map(deviceOf)
}

export async function findPairedDevice(database: Queryable, tokenHash: string): Promise<PairedDevice | null> {
  const row = await readRow(
    database,
    deviceRow,
    `select ${columns} from paired_device where token_hash = $1`,
    [tokenHash],
  )
  return row ? deviceOf(row) : null
}

export async function addPairedDevice(
  database: Queryable,
  device: { readonly name: string; readonly role: DeviceRole; readonly tokenHash: string },
): Promise<void> {
  await database.query('insert into paired_device (name, role, token_hash) values ($1, $2, $3)', [
    device.name,
    device.role,
    device.tokenHash,
  ])
}

export async function revokePairedDevice(database: Queryable, id: string, now: Date): Promise<void> {
  await database.query('update paired_device set revoked_at = $2 where id = $1 and revoked_at is null', [
    id,
    now,
  ])
}

export async function noteSeen(database: Queryable, id: string, now: Date): Promise<void> {
  await database.query('update paired_device set last_seen_at = $2 where id = $1', [id, now])
}

/** The code that lets one device in; a new one takes the place of the last. */
export async function keepPairingCode(
  database: Queryable,
  code: { readonly hash: string; readonly role: DeviceRole; readonly expiresAt: Date },
): Promise<void> {
  await database.query(
    `insert into pairing_code (code_hash, role, expires_at) values ($1, $2, $3)
     on conflict (is_single) do update set code_hash = $1, role = $2, expires_at = $3`,
    [code.hash, code.role, code.expiresAt],
  )
}

/** The hash of the code that lets a device in now; null: there is none. */
export async function openPairingCode(database: Queryable, now: Date): Promise<string | null> {
  const row = await readRow(
    database,
    v.object({ code_hash: v.string() }),
    'select code_hash from pairing_code where expires_at > $1',
    [now],
  )
  return row?.code_hash ?? null
}

/** Uses the code up. Null: it is another, over, or was used. */
export async function usePairingCode(
  database: Queryable,
  hash: string,
  now: Date,
): Promise<DeviceRole | null> {
  const row = await readRow(
    database,
    v.object({ role: oneOf(deviceRoles) }),
    'delete from pairing_code where code_hash = $1 and expires_at > $2 returning role',
    [hash, now],
  )
  return row?.role ?? null
}
