import type { Fitting } from '@/core/due/dueSet'
import type { ServiceId } from '@/core/services/service'
import type { Queryable } from '../database'

/** When a set was visited, by what for. */
export interface SetVisits {
  readonly byService: ReadonlyMap<ServiceId, Date>
  readonly firstAt: Date
  readonly lastAt: Date
}

export async function visitsBySet(database: Queryable): Promise<Map<string, SetVisits>> {
  const rows = await database.query<{
    wheel_set_id: string
    service: ServiceId | null
    first_at: Date
    last_at: Date
  }>(
    `select wheel_set_id, service, min(finished_at) as first_at, max(finished_at) as last_at
     from visit group by wheel_set_id, service`,
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

/** The last fitting of every set that was put on by a change of wheels, or refitted after a wheels-off clean. */
export async function fittingsBySet(database: Queryable): Promise<Map<string, Fitting>> {
  const rows = await database.query<{ id: string; at: Date; torque: number | null }>(
    `select distinct on (id) id, at, torque from (
       select mounted_set_id as id, changed_at as at, torque_newton_metres as torque
         from wheel_change where mounted_set_id is not null
       union all
       select wheel_set_id, finished_at, null from visit where service = 'wheelsOff') f
     order by id, at desc`,
  )
  return new Map(rows.map(({ id, at, torque }) => [id, { at, torqueNewtonMetres: torque }]))
}

/** Layers whose cure a person gave from the label, by set, axle, kind, day and product as the forecast names them. */
export async function toldCures(database: Queryable): Promise<
  readonly {
    wheelSetId: string
    position: string
    kind: string
    appliedAt: Date
    productName: string
    until: Date
  }[]
> {
  const rows = await database.query<{
    wheel_set_id: string
    position: string
    kind: string
    applied_at: Date
    product_name: string
    cure_until: Date
  }>(
    `select wheel_set_id, position, kind, applied_at, product_name, cure_until from protection_layer
     where cure_until is not null and ended_at is null`,
  )
  return rows.map((row) => ({
    wheelSetId: row.wheel_set_id,
    position: row.position,
    kind: row.kind,
    appliedAt: row.applied_at,
    productName: row.product_name,
    until: row.cure_until,
  }))
}

/** Instants of all visits since one, for what goes through the filter. */
export async function countVisits(database: Queryable, since: Date | null): Promise<number> {
  const [row] = await database.query<{ visits: number }>(
    'select count(*)::int as visits from visit where $1::timestamptz is null or finished_at > $1',
    [since],
  )
  return row?.visits ?? 0
}
