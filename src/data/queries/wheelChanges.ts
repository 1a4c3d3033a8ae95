import * as v from 'valibot'
import type { Queryable } from '../database'
import { readRows, readRow } from '../rows'

export interface StoredWheelChange {
  readonly id: string
  readonly at: Date
  readonly mountedSetId: string | null
  readonly storedWhere: string
  readonly torqueNewtonMetres: number | null
}

const changeRow = v.object({
  id: v.string(),
  changed_at: v.date(),
  mounted_set_id: v.nullable(v.string()),
  stored_where: v.string(),
  torque_newton_metres: v.nullable(v.number()),
})

/** The changes of wheels of a vehicle, in order of time. */
export async function listWheelChanges(database: Queryable, vehicleId: string): Promise<StoredWheelChange[]> {
  const rows = await readRows(
    database,
    changeRow,
    'select * from wheel_change where vehicle_id = $1 order by changed_at',
    [vehicleId],
  )
  return rows.map((row) => ({
    id: row.id,
    at: row.changed_at,
    mountedSetId: row.mounted_set_id,
    storedWhere: row.stored_where,
    torqueNewtonMetres: row.torque_newton_metres,
  }))
}

export async function addWheelChange(
  database: Queryable,
  vehicleId: string,
  change: StoredWheelChange,
): Promise<void> {
  await database.query(
    `insert into wheel_change (id, vehicle_id, changed_at, mounted_set_id, stored_where, torque_newton_metres)
     values ($1, $2, $3, $4, $5, $6) on conflict (id) do nothing`,
    [change.id, vehicleId, change.at, change.mountedSetId, change.storedWhere, change.torqueNewtonMetres],
  )
}

/** Takes the last change of a vehicle back. */
export async function removeLastWheelChange(
  database: Queryable,
  vehicleId: string,
  id: string,
): Promise<void> {
  await database.query(
    `delete from wheel_change where id = $2 and vehicle_id = $1
       and changed_at = (select max(changed_at) from wheel_change where vehicle_id = $1)`,
    [vehicleId, id],
  )
}

export async function addTyreReading(
  database: Queryable,
  wheelSetId: string,
  at: Date,
  dateCode: string,
  treadMillimetres: number | null,
): Promise<void> {
  await database.query(
    `insert into tyre_reading (wheel_set_id, read_at, date_code, tread_millimetres) values ($1, $2, $3, $4)
     on conflict (wheel_set_id, read_at) do update set date_code = excluded.date_code,
       tread_millimetres = excluded.tread_millimetres`,
    [wheelSetId, at, dateCode, treadMillimetres],
  )
}

export interface TyreReading {
  readonly at: Date
  readonly dateCode: string
  readonly treadMillimetres: number | null
}

export async function lastTyreReading(database: Queryable, wheelSetId: string): Promise<TyreReading | null> {
  const row = await readRow(
    database,
    v.object({ read_at: v.date(), date_code: v.string(), tread_millimetres: v.nullable(v.number()) }),
    'select * from tyre_reading where wheel_set_id = $1 order by read_at desc limit 1',
    [wheelSetId],
  )
  return row ? { at: row.read_at, dateCode: row.date_code, treadMillimetres: row.tread_millimetres } : null
}
