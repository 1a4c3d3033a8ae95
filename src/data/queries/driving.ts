import * as v from 'valibot'
import type { OdometerReading } from '@/core/protection/drivenBy'
import type { Queryable } from '../database'
import { readRows } from '../rows'

/** The readings of a vehicle's odometer, in order of time. */
export async function listReadings(database: Queryable, vehicleId: string): Promise<OdometerReading[]> {
  const rows = await readRows(
    database,
    v.object({ read_at: v.date(), kilometres: v.number() }),
    'select read_at, kilometres from odometer_reading where vehicle_id = $1 order by read_at',
    [vehicleId],
  )
  return rows.map((row) => ({ at: row.read_at, kilometres: row.kilometres }))
}

export async function addReading(
  database: Queryable,
  vehicleId: string,
  { at, kilometres }: OdometerReading,
): Promise<void> {
  await database.query(
    `insert into odometer_reading (vehicle_id, read_at, kilometres) values ($1, $2, $3)
     on conflict (vehicle_id, read_at) do update set kilometres = excluded.kilometres`,
    [vehicleId, at, kilometres],
  )
}

/**
 * Keeps what a week's driving was before it is told anew, so that the past stays as it was.
 * @param vehicle as it was when the form was opened; one that was saved meanwhile is left alone
 */
export async function keepDriving(
  database: Queryable,
  vehicle: { readonly id: string; readonly version: number },
  kilometresPerWeek: number,
  now: Date,
): Promise<void> {
  await database.query(
    `insert into driving_change (vehicle_id, from_at, kilometres_per_week)
     select id, from_at, per_week from vehicle, lateral (values
       (created_at, kilometres_per_week), ($4::timestamptz, $3::float8)) told (from_at, per_week)
     where id = $1 and version = $2 and kilometres_per_week <> $3 and (per_week = $3 or from_at < $4)
     on conflict (vehicle_id, from_at) do update set kilometres_per_week =
       case when excluded.from_at = $4 then excluded.kilometres_per_week else driving_change.kilometres_per_week end`,
    [vehicle.id, vehicle.version, kilometresPerWeek, now],
  )
}
