import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import type { DueFacts, Fitting, SetVisits, ToldCure } from '@/core/forecast'
import { protectionKinds } from '@/core/protection/kinds'
import { serviceIds, type ServiceId } from '@/core/visit-kinds/service'
import { positions } from '@/core/wheel/position'
import type { Queryable } from '../../database'
import { countRow, readRow, readRows } from '../../rows'

type Ids = readonly string[] | null

const visitsRow = v.object({
  wheel_set_id: v.string(),
  service: v.nullable(oneOf(serviceIds)),
  first_at: v.date(),
  last_at: v.date(),
})

async function visitsBySet(database: Queryable, ids: Ids): Promise<Map<string, SetVisits>> {
  const rows = await readRows(
    database,
    visitsRow,
    `select wheel_set_id, service, min(finished_at) as first_at, max(finished_at) as last_at
     from visit where ($1::uuid[] is null or wheel_set_id = any($1)) group by wheel_set_id, service`,
    [ids],
  )
  const sets = new Map<string, { byService: Map<ServiceId, Date>; firstAt: Date; lastAt: Date }>()
  for (const row of rows) {
    const set = sets.get(row.wheel_set_id) ?? {
      byService: new Map<ServiceId, Date>(),
      firstAt: row.first_at,
      lastAt: row.last_at,
    }
    if (row.service) set.byService.set(row.service, row.last_at)
    if (row.first_at < set.firstAt) set.firstAt = row.first_at
    if (row.last_at > set.lastAt) set.lastAt = row.last_at
    sets.set(row.wheel_set_id, set)
  }
  return sets
}

const fittingRow = v.object({ id: v.string(), at: v.date(), torque: v.nullable(v.number()) })

async function fittingsBySet(database: Queryable, ids: Ids): Promise<Map<string, Fitting>> {
  const rows = await readRows(
    database,
    fittingRow,
    `select distinct on (id) id, at, torque from (
       select mounted_set_id as id, changed_at as at, torque_newton_metres as torque
         from wheel_change where mounted_set_id is not null
       union all
       select wheel_set_id, finished_at, null from visit where service = 'wheelsOff') f
     where ($1::uuid[] is null or id = any($1)) order by id, at desc`,
    [ids],
  )
  return new Map(rows.map(({ id, at, torque }) => [id, { at, torqueNewtonMetres: torque }]))
}

const cureRow = v.object({
  wheel_set_id: v.string(),
  position: oneOf(positions),
  kind: oneOf(protectionKinds),
  applied_at: v.date(),
  product_name: v.string(),
  cure_until: v.date(),
})

async function curesBySet(database: Queryable, ids: Ids): Promise<Map<string, ToldCure[]>> {
  const rows = await readRows(
    database,
    cureRow,
    `select wheel_set_id, position, kind, applied_at, product_name, cure_until from protection_layer
     where cure_until is not null and ended_at is null and ($1::uuid[] is null or wheel_set_id = any($1))`,
    [ids],
  )
  const sets = new Map<string, ToldCure[]>()
  for (const row of rows) {
    const own = sets.get(row.wheel_set_id) ?? []
    own.push({
      position: row.position,
      kind: row.kind,
      appliedAt: row.applied_at,
      productName: row.product_name,
      until: row.cure_until,
    })
    sets.set(row.wheel_set_id, own)
  }
  return sets
}

/**
 * What the due things of some sets depend on beside their protection.
 * @param ids null: all sets; those without anything are left out then
 */
export async function readDueFacts(database: Queryable, ids: Ids): Promise<Map<string, DueFacts>> {
  const visits = await visitsBySet(database, ids)
  const fittings = await fittingsBySet(database, ids)
  const cures = await curesBySet(database, ids)
  const known = ids ?? [...visits.keys(), ...fittings.keys(), ...cures.keys()]
  return new Map(
    known.map((id) => [
      id,
      { visits: visits.get(id) ?? null, fitting: fittings.get(id) ?? null, cures: cures.get(id) ?? [] },
    ]),
  )
}

/** How many visits there were since an instant, or ever; for what goes through the filter. */
export async function countVisits(database: Queryable, since: Date | null): Promise<number> {
  const row = await (since === null
    ? readRow(database, countRow, `select rows::int as count from table_count where name = 'visit'`)
    : readRow(database, countRow, 'select count(*)::int as count from visit where finished_at > $1', [since]))
  return row?.count ?? 0
}
