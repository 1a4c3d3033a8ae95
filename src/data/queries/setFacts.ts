import type { LayerFacts, LookFacts, SetFacts, WashFacts } from '@/core/protection/setFacts'
import type { LookGrade } from '@/core/protection/record'
import { beads, protectionKinds, type ProtectionKind } from '@/core/protection/kinds'
import type { Axle, Position, VehicleKind } from '@/core/wheel/position'
import { discFactors, padFactors, type DiscKind, type PadKind } from '@/core/wheel/brakes'
import type { Queryable } from '../database'

/** A set with everything its protection depends on, and what it is called. */
export interface NamedSetFacts extends SetFacts {
  readonly vehicleId: string
  readonly vehicleName: string
  readonly vehicleKind: VehicleKind
  readonly setName: string
}

interface SetRow {
  id: string
  name: string
  season: 'winter' | 'summer' | null
  vehicle_id: string
  vehicle_name: string
  vehicle_kind: VehicleKind
  parked: 'garage' | 'street' | null
  front_pads: PadKind
  front_discs: DiscKind
  rear_pads: PadKind
  rear_discs: DiscKind
  kilometres_per_week: number
  dust_factor: number
  created_at: Date
  is_only_set: boolean
}

/** Rows as short lists, times in milliseconds: thousands of them are read at once. */
interface Gathered<Entry> {
  id: string
  entries: Entry[]
}
type LayerEntry = [Axle, Position[], ProtectionKind, string, number, number | null, number]
type WashEntry = [number, number | null, boolean]
type LookEntry = [number, Position[], LookGrade, LookGrade | null, LookGrade | null, boolean]
type TimedEntry = [number, number]
type ChangeEntry = [number, string | null]

const milliseconds = (column: string): string => `(extract(epoch from ${column}) * 1000)::float8`

/** Layers nobody looked at and that are gone tell nothing. */
const layersQuery = `
  select wheel_set_id as id, json_agg(json_build_array(axle, positions, kind, product_name, applied, ended, coats)) as entries
  from (select wheel_set_id, axle, json_agg(position) as positions, kind, product_name,
          ${milliseconds('applied_at')} as applied, ${milliseconds('ended_at')} as ended, max(coats) as coats
        from (select *, case when position like 'front%' then 'front' else 'rear' end as axle from protection_layer) l
        where ($1::uuid[] is null or wheel_set_id = any($1))
          and (ended_at is null or kind = any($2) and exists (select 1 from look k
               where k.wheel_set_id = l.wheel_set_id and k.seen_at between l.applied_at and l.ended_at))
        group by wheel_set_id, axle, kind, product_name, applied_at, ended_at) g
  group by wheel_set_id`

const washesQuery = `
  select wheel_set_id as id,
    json_agg(json_build_array(${milliseconds('finished_at')}, wear, is_reviving) order by finished_at, id) as entries
  from visit where ($1::uuid[] is null or wheel_set_id = any($1)) group by wheel_set_id`

const looksQuery = `
  select wheel_set_id as id,
    json_agg(json_build_array(${milliseconds('seen_at')}, positions, beading, release, slickness, is_after_reviving)
      order by seen_at, id) as entries
  from look where ($1::uuid[] is null or wheel_set_id = any($1)) group by wheel_set_id`

const byVehicle = (table: string, time: string, value: string): string => `
  select vehicle_id as id, json_agg(json_build_array(${milliseconds(time)}, ${value}) order by ${time}) as entries
  from ${table} where ($1::uuid[] is null or vehicle_id in (select vehicle_id from wheel_set where id = any($1)))
  group by vehicle_id`

const setsQuery = `
  select s.id, s.name, s.season, s.vehicle_id, v.name as vehicle_name, v.kind as vehicle_kind, v.parked, v.front_pads,
    v.front_discs, v.rear_pads, v.rear_discs, v.kilometres_per_week, v.dust_factor, v.created_at,
    not exists (select 1 from wheel_set o where o.vehicle_id = s.vehicle_id and o.id <> s.id) as is_only_set
  from wheel_set s join vehicle v on v.id = s.vehicle_id
  where ($1::uuid[] is null or s.id = any($1)) order by lower(v.name), lower(s.name), s.id`

/**
 * Everything the protection of all sets, or of some, depends on.
 * @param ids null: all
 */
export async function readSetFacts(
  database: Queryable,
  ids: readonly string[] | null,
): Promise<NamedSetFacts[]> {
  const gathered = async <Entry>(
    text: string,
    more: readonly (readonly string[])[] = [],
  ): Promise<Map<string, Entry[]>> => {
    const rows = await database.query<Gathered<Entry>>(text, [ids, ...more])
    return new Map(rows.map(({ id, entries }) => [id, entries]))
  }
  const sets = await database.query<SetRow>(setsQuery, [ids])
  const layers = await gathered<LayerEntry>(layersQuery, [protectionKinds.filter(beads)])
  const washes = await gathered<WashEntry>(washesQuery)
  const looks = await gathered<LookEntry>(looksQuery)
  const readings = await gathered<TimedEntry>(byVehicle('odometer_reading', 'read_at', 'kilometres'))
  const told = await gathered<TimedEntry>(byVehicle('driving_change', 'from_at', 'kilometres_per_week'))
  const changes = await gathered<ChangeEntry>(byVehicle('wheel_change', 'changed_at', 'mounted_set_id'))
  return sets.map((row): NamedSetFacts => {
    const driving = told.get(row.vehicle_id) ?? []
    return {
      id: row.id,
      vehicleId: row.vehicle_id,
      vehicleName: row.vehicle_name,
      vehicleKind: row.vehicle_kind,
      setName: row.name,
      parked: row.parked,
      season: row.season,
      isOnlySet: row.is_only_set,
      dustFactor: {
        front: padFactors[row.front_pads] * discFactors[row.front_discs] * row.dust_factor,
        rear: padFactors[row.rear_pads] * discFactors[row.rear_discs] * row.dust_factor,
      },
      told:
        driving.length > 0
          ? driving.map(([from, kilometresPerWeek]) => ({ from: new Date(from), kilometresPerWeek }))
          : [{ from: row.created_at, kilometresPerWeek: row.kilometres_per_week }],
      readings: (readings.get(row.vehicle_id) ?? []).map(([at, kilometres]) => ({
        at: new Date(at),
        kilometres,
      })),
      changes: (changes.get(row.vehicle_id) ?? []).map(([at, mountedSetId]) => ({
        at: new Date(at),
        mountedSetId,
      })),
      layers: (layers.get(row.id) ?? []).map(layerOf),
      washes: (washes.get(row.id) ?? []).map(([at, wear, reviving]): WashFacts => ({
        at: new Date(at),
        wear,
        reviving,
      })),
      looks: (looks.get(row.id) ?? []).map(lookOf),
    }
  })
}

const layerOf = ([axle, positions, kind, productName, applied, ended, coats]: LayerEntry): LayerFacts => ({
  axle,
  positions,
  kind,
  productName,
  appliedAt: new Date(applied),
  endedAt: ended === null ? null : new Date(ended),
  coats,
})

const lookOf = ([at, positions, beading, release, slickness, afterReviving]: LookEntry): LookFacts => ({
  at: new Date(at),
  positions,
  beading,
  release,
  slickness,
  afterReviving,
})

/** Sets whose protection has changed since a number, and the number of the last change. */
export async function changedSets(
  database: Queryable,
  since: number,
): Promise<{ readonly ids: readonly string[]; readonly number: number }> {
  const rows = await database.query<{ wheel_set_id: string; number: number }>(
    'select wheel_set_id, number from protection_change where number > $1 order by number',
    [since],
  )
  return { ids: rows.map((row) => row.wheel_set_id), number: Number(rows.at(-1)?.number ?? since) }
}
