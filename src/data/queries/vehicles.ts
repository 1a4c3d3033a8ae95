import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { currentTime } from '@/clock'
import { isSameName } from '@/core/wheel/vehicleName'
import { discKinds, padKinds, type Brakes } from '@/core/wheel/brakes'
import { archLiners, vehicleKinds } from '@/core/wheel/position'
import type { KnownVehicle, WheelSetInput } from '@/contracts/wheelSet'
import type { Queryable } from '../database'
import { readRows, idRow } from '../rows'
import { keepDriving } from './driving'
import { likePattern } from './likePattern'

/** What all sets of a vehicle share, as it is stored. */
export const vehicleDetailsRow = v.object({
  arch_liner: oneOf(archLiners),
  front_pads: oneOf(padKinds),
  front_discs: oneOf(discKinds),
  rear_pads: oneOf(padKinds),
  rear_discs: oneOf(discKinds),
  kilometres_per_week: v.number(),
  parked: v.nullable(oneOf(['garage', 'street'])),
})
type VehicleDetailsRow = v.InferOutput<typeof vehicleDetailsRow>

export const brakesOf = (
  row: Pick<VehicleDetailsRow, 'front_pads' | 'front_discs' | 'rear_pads' | 'rear_discs'>,
): Brakes => ({
  front: { pads: row.front_pads, discs: row.front_discs },
  rear: { pads: row.rear_pads, discs: row.rear_discs },
})

const vehicleRow = v.object({
  ...vehicleDetailsRow.entries,
  id: v.string(),
  version: v.number(),
  name: v.string(),
  kind: oneOf(vehicleKinds),
  set_names: v.array(v.string()),
})
type VehicleRow = v.InferOutput<typeof vehicleRow>

const knownVehicleOf = (row: VehicleRow): KnownVehicle => ({
  id: row.id,
  version: row.version,
  vehicle: {
    name: row.name,
    kind: row.kind,
    archLiner: row.arch_liner,
    brakes: brakesOf(row),
    kilometresPerWeek: row.kilometres_per_week,
    parked: row.parked,
  },
  setNames: row.set_names,
})

/** Vehicles with the text in their name: those of that very name first, then by name; at most so many. */
export async function listVehicles(
  database: Queryable,
  { name, most }: { readonly name: string; readonly most: number },
): Promise<KnownVehicle[]> {
  const rows = await readRows(
    database,
    vehicleRow,
    `select v.*, (select coalesce(json_agg(s.name order by lower(s.name), s.id), '[]') from wheel_set s
       where s.vehicle_id = v.id) as set_names
     from vehicle v where v.name ilike $1
     order by (lower(v.name) = lower($2)) desc, lower(v.name), v.id limit $3`,
    [likePattern(name), name, most],
  )
  return rows.map(knownVehicleOf)
}

/** Whether there is a vehicle that people would call by this name. */
export async function isNameKnown(database: Queryable, name: string): Promise<boolean> {
  const rows = await readRows(database, v.object({ name: v.string() }), 'select name from vehicle')
  return rows.some((known) => isSameName(known.name, name))
}

const vehicleDetails = ({ vehicle: { archLiner, brakes, kilometresPerWeek, parked } }: WheelSetInput) => [
  archLiner,
  brakes.front.pads,
  brakes.front.discs,
  brakes.rear.pads,
  brakes.rear.discs,
  kilometresPerWeek,
  parked,
]

/** A vehicle as a form saw it. */
export interface SeenVehicle {
  readonly id: string
  readonly version: number
}

export type UpdateOutcome = 'saved' | 'changedMeanwhile' | 'gone'

/** Writes what all sets of a vehicle share, over the version it was seen in. */
export async function updateVehicle(
  database: Queryable,
  { id, version }: SeenVehicle,
  input: WheelSetInput,
): Promise<UpdateOutcome> {
  await keepDriving(database, { id, version }, input.vehicle.kilometresPerWeek, currentTime())
  const rows = await database.query(
    `update vehicle set name = $3, kind = $4, arch_liner = $5, front_pads = $6, front_discs = $7, rear_pads = $8,
       rear_discs = $9, kilometres_per_week = $10, parked = $11, version = version + 1
     where id = $1 and version = $2 returning id`,
    [id, version, input.vehicle.name, input.vehicle.kind, ...vehicleDetails(input)],
  )
  if (rows.length > 0) return 'saved'
  const still = await database.query('select 1 from vehicle where id = $1', [id])
  return still.length > 0 ? 'changedMeanwhile' : 'gone'
}

export async function addVehicle(database: Queryable, input: WheelSetInput): Promise<string> {
  const rows = await readRows(
    database,
    idRow,
    `insert into vehicle (name, kind, arch_liner, front_pads, front_discs, rear_pads, rear_discs, kilometres_per_week,
       parked, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) returning id`,
    [input.vehicle.name, input.vehicle.kind, ...vehicleDetails(input), currentTime()],
  )
  const id = rows[0]?.id
  if (id === undefined) throw new Error('The new vehicle has no id')
  return id
}

/** Keeps what a look at the wheels taught about a vehicle. */
export async function learnDustFactor(database: Queryable, vehicleId: string, factor: number): Promise<void> {
  await database.query('update vehicle set dust_factor = $2 where id = $1', [vehicleId, factor])
}

/** Keeps what the foam of the tyres taught about a vehicle. */
export async function learnBrowningFactor(
  database: Queryable,
  vehicleId: string,
  factor: number,
): Promise<void> {
  await database.query('update vehicle set browning_factor = $2 where id = $1', [vehicleId, factor])
}
