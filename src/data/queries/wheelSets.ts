import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { randomUUID } from 'node:crypto'
import { conditions, finishes } from '@/core/finishes/finish'
import type { Brakes } from '@/core/wheel/brakes'
import {
  positions,
  vehicleKinds,
  inWalkingOrder,
  type ArchLiner,
  type VehicleKind,
} from '@/core/wheel/position'
import { finishZones } from '@/core/wheel/zone'
import type { WheelEntry, WheelSetInput } from '@/contracts/wheelSet'
import type { Database, Queryable } from '../database'
import { readRows, readRow, idRow, countRow } from '../rows'
import { likePattern } from './likePattern'
import {
  addVehicle,
  brakesOf,
  updateVehicle,
  type SeenVehicle,
  type UpdateOutcome,
  vehicleDetailsRow,
} from './vehicles'
import { readPage, type Page, type PageAt } from './page'

export interface WheelSet {
  readonly id: string
  readonly vehicleId: string
  readonly vehicleName: string
  readonly vehicleKind: VehicleKind
  readonly archLiner: ArchLiner
  readonly brakes: Brakes
  readonly kilometresPerWeek: number
  /** Null: not said. */
  readonly parked: 'garage' | 'street' | null
  /** Null: in use all year. */
  readonly season: 'winter' | 'summer' | null
  /** Learnt from the vehicle's visits; 1 is as the house expects. */
  readonly dustFactor: number
  /** How slowly the tyres of this vehicle give up their browning against the house's expectation. */
  readonly browningFactor: number
  /** Counts the saves of what all sets of the vehicle share. */
  readonly vehicleVersion: number
  readonly name: string
  readonly note: string
  /** Counts the saves; an edit must name the version it started from. */
  readonly version: number
  readonly wheels: readonly WheelEntry[]
  readonly lastVisitAt: Date | null
}

const wheelRow = v.object({
  position: oneOf(positions),
  tyre_code: v.string(),
  rim_width_inches: v.number(),
  spoke_count: v.number(),
  spoke_width_millimetres: v.number(),
  spoke_depth_millimetres: v.number(),
  openness: v.nullable(v.number()),
  hardware_pieces: v.number(),
  finishes: v.array(
    v.object({
      zone: oneOf(finishZones),
      finish: oneOf(finishes),
      condition: oneOf(conditions),
    }),
  ),
})
type WheelRow = v.InferOutput<typeof wheelRow>

const wheelSetRow = v.object({
  ...vehicleDetailsRow.entries,
  id: v.string(),
  vehicle_id: v.string(),
  vehicle_name: v.string(),
  vehicle_kind: oneOf(vehicleKinds),
  season: v.nullable(oneOf(['winter', 'summer'])),
  dust_factor: v.number(),
  browning_factor: v.number(),
  vehicle_version: v.number(),
  name: v.string(),
  note: v.string(),
  version: v.number(),
  wheels: v.array(wheelRow),
  last_visit_at: v.nullable(v.date()),
})
type WheelSetRow = v.InferOutput<typeof wheelSetRow>

const selectWheelSet = `
  select s.id, s.vehicle_id, v.name as vehicle_name, v.kind as vehicle_kind,
    v.arch_liner, v.front_pads, v.front_discs, v.rear_pads, v.rear_discs, v.kilometres_per_week, v.parked, v.dust_factor, v.browning_factor, v.version as vehicle_version, s.name, s.note,
    s.season, s.version,
    (select max(finished_at) from visit where visit.wheel_set_id = s.id) as last_visit_at,
    (select coalesce(json_agg(json_build_object(
        'position', w.position, 'tyre_code', w.tyre_code, 'rim_width_inches', w.rim_width_inches,
        'spoke_count', w.spoke_count, 'spoke_width_millimetres', w.spoke_width_millimetres,
        'spoke_depth_millimetres', w.spoke_depth_millimetres, 'openness', w.openness,
        'hardware_pieces', w.hardware_pieces,
        'finishes', (select coalesce(json_agg(json_build_object('zone', f.zone, 'finish', f.finish, 'condition', f.condition)
            order by f.zone), '[]') from wheel_finish f where f.wheel_set_id = w.wheel_set_id and f.position = w.position)
      )), '[]') from wheel w where w.wheel_set_id = s.id) as wheels
  from wheel_set s join vehicle v on v.id = s.vehicle_id`

const wheelOf = (row: WheelRow): WheelEntry => ({
  position: row.position,
  tyreCode: row.tyre_code,
  rimWidthInches: row.rim_width_inches,
  spokeCount: row.spoke_count,
  spokeWidthMillimetres: row.spoke_width_millimetres,
  spokeDepthMillimetres: row.spoke_depth_millimetres,
  ...(row.openness === null ? {} : { openness: row.openness }),
  hardwarePieces: row.hardware_pieces,
  finishes: row.finishes,
})

const wheelSetOf = (row: WheelSetRow): WheelSet => ({
  id: row.id,
  vehicleId: row.vehicle_id,
  vehicleName: row.vehicle_name,
  vehicleKind: row.vehicle_kind,
  archLiner: row.arch_liner,
  brakes: brakesOf(row),
  kilometresPerWeek: row.kilometres_per_week,
  parked: row.parked,
  season: row.season,
  dustFactor: row.dust_factor,
  browningFactor: row.browning_factor,
  vehicleVersion: row.vehicle_version,
  name: row.name,
  note: row.note,
  version: row.version,
  wheels: inWalkingOrder(row.wheels.map(wheelOf)),
  lastVisitAt: row.last_visit_at,
})

const setOrder = 'lower(v.name), lower(s.name), s.id'

/** Wheel sets whose vehicle or set name contains the text, by vehicle and set name. */
export function listWheelSets(
  database: Queryable,
  { search = '', ...at }: PageAt & { search?: string },
): Promise<Page<WheelSet>> {
  return readPage(at, async (cursor, isBackward, most) => {
    const chosen = await readRows(
      database,
      idRow,
      `select s.id from wheel_set s join vehicle v on v.id = s.vehicle_id
       where (v.name ilike $1 or s.name ilike $1) and ($2::uuid is null or (${setOrder}) ${isBackward ? '<' : '>'}
         (select ${setOrder} from wheel_set s join vehicle v on v.id = s.vehicle_id where s.id = $2))
       order by ${setOrder.replaceAll(',', isBackward ? ' desc,' : ',')}${isBackward ? ' desc' : ''} limit $3`,
      [likePattern(search), cursor, most],
    )
    const ids = chosen.map(({ id }) => id)
    const rows = await readRows(
      database,
      wheelSetRow,
      `${selectWheelSet} where s.id = any($1::uuid[]) order by array_position($1::uuid[], s.id)`,
      [ids],
    )
    return rows.map(wheelSetOf)
  })
}

/** How many wheel sets have the text in their vehicle's or their own name. */
export async function countWheelSets(database: Queryable, search = ''): Promise<number> {
  const row = await readRow(
    database,
    countRow,
    `select count(*)::integer as count from wheel_set s join vehicle v on v.id = s.vehicle_id
     where v.name ilike $1 or s.name ilike $1`,
    [likePattern(search)],
  )
  return row?.count ?? 0
}

export async function findWheelSet(database: Queryable, id: string): Promise<WheelSet | null> {
  const rows = await readRows(database, wheelSetRow, `${selectWheelSet} where s.id = $1`, [id])
  return rows[0] ? wheelSetOf(rows[0]) : null
}

/** The sets of a vehicle, by name. */
export async function setsOfVehicle(
  database: Queryable,
  vehicleId: string,
): Promise<readonly { readonly id: string; readonly name: string; readonly season: WheelSet['season'] }[]> {
  return database.query(
    'select id, name, season from wheel_set where vehicle_id = $1 order by lower(name), id',
    [vehicleId],
  )
}

export async function hasWheelSets(database: Queryable): Promise<boolean> {
  return (await database.query('select 1 from wheel_set limit 1')).length > 0
}

async function writeWheels(
  database: Queryable,
  wheelSetId: string,
  wheels: readonly WheelEntry[],
): Promise<void> {
  // Positions that stay keep their row, and with it their protection.
  await database.query('delete from wheel where wheel_set_id = $1 and not (position = any($2))', [
    wheelSetId,
    wheels.map(({ position }) => position),
  ])
  await database.query(
    `insert into wheel (wheel_set_id, position, tyre_code, rim_width_inches, spoke_count, spoke_width_millimetres,
       spoke_depth_millimetres, openness, hardware_pieces)
     select $1, w.* from json_to_recordset($2::json) as w("position" text, "tyreCode" text, "rimWidthInches" float8,
       "spokeCount" integer, "spokeWidthMillimetres" float8, "spokeDepthMillimetres" float8, "openness" float8,
       "hardwarePieces" integer)
     on conflict (wheel_set_id, position) do update set tyre_code = excluded.tyre_code,
       rim_width_inches = excluded.rim_width_inches, spoke_count = excluded.spoke_count,
       spoke_width_millimetres = excluded.spoke_width_millimetres,
       spoke_depth_millimetres = excluded.spoke_depth_millimetres, openness = excluded.openness,
       hardware_pieces = excluded.hardware_pieces`,
    [wheelSetId, JSON.stringify(wheels)],
  )
  await database.query('delete from wheel_finish where wheel_set_id = $1', [wheelSetId])
  const finishes = wheels.flatMap((wheel) =>
    wheel.finishes.map((finish) => ({ position: wheel.position, ...finish })),
  )
  await database.query(
    `insert into wheel_finish (wheel_set_id, position, zone, finish, condition)
     select $1, f.* from json_to_recordset($2::json) as f("position" text, zone text, finish text, condition text)`,
    [wheelSetId, JSON.stringify(finishes)],
  )
}

/** Undoes a transaction whose outcome is not `saved`, and gives that outcome. */
class NotSaved extends Error {
  constructor(readonly outcome: Exclude<UpdateOutcome, 'saved'>) {
    super(outcome)
  }
}

async function allOrNothing(
  database: Database,
  work: (transaction: Queryable) => Promise<UpdateOutcome>,
): Promise<UpdateOutcome> {
  try {
    return await database.transaction(async (transaction) => {
      const outcome = await work(transaction)
      if (outcome !== 'saved') throw new NotSaved(outcome)
      return outcome
    })
  } catch (error) {
    if (error instanceof NotSaved) return error.outcome
    throw error
  }
}

/**
 * Stores a new wheel set.
 * @param id of the new set, chosen by the form: sent twice it is stored once
 * @param owner the known vehicle it belongs to, which takes over what was entered of the vehicle; null for a new one
 */
export function createWheelSet(
  database: Database,
  id: string,
  input: WheelSetInput,
  owner: SeenVehicle | null = null,
): Promise<UpdateOutcome> {
  return allOrNothing(database, async (transaction) => {
    if ((await transaction.query('select 1 from wheel_set where id = $1', [id])).length > 0) return 'saved'
    if (owner) {
      const outcome = await updateVehicle(transaction, owner, input)
      if (outcome !== 'saved') return outcome
    }
    await transaction.query(
      'insert into wheel_set (id, vehicle_id, name, note, season) values ($1, $2, $3, $4, $5)',
      [id, owner?.id ?? (await addVehicle(transaction, input)), input.name, input.note, input.season],
    )
    await writeWheels(transaction, id, input.wheels)
    return 'saved'
  })
}

/** Stores a new wheel set under an id made here, and gives it; for what is written at once and not by a form. */
export async function addWheelSet(
  database: Database,
  input: WheelSetInput,
  owner: SeenVehicle | null = null,
): Promise<string> {
  const id = randomUUID()
  const outcome = await createWheelSet(database, id, input, owner)
  if (outcome !== 'saved') throw new Error(`The new wheel set was not stored: ${outcome}`)
  return id
}

/** Saves an edit, but only over the versions of set and vehicle that it was made from. */
export function updateWheelSet(
  database: Database,
  id: string,
  from: { readonly version: number; readonly vehicleVersion: number },
  input: WheelSetInput,
): Promise<UpdateOutcome> {
  return allOrNothing(database, async (transaction) => {
    const rows = await readRows(
      transaction,
      v.object({ vehicle_id: v.string() }),
      `update wheel_set set name = $3, note = $4, season = $5, version = version + 1, changed_at = now()
       where id = $1 and version = $2 returning vehicle_id`,
      [id, from.version, input.name, input.note, input.season],
    )
    const vehicleId = rows[0]?.vehicle_id
    if (vehicleId === undefined) {
      const still = await transaction.query('select 1 from wheel_set where id = $1', [id])
      return still.length > 0 ? 'changedMeanwhile' : 'gone'
    }
    const outcome = await updateVehicle(transaction, { id: vehicleId, version: from.vehicleVersion }, input)
    if (outcome === 'saved') await writeWheels(transaction, id, input.wheels)
    return outcome
  })
}
