import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { lookGrade } from '@/contracts/protection'
import type { LayerFacts, LookFacts, WashFacts } from '@/core/protection/setHistory'
import type { LookGrade } from '@/core/protection/record'
import { beads, protectionKinds } from '@/core/protection/kinds'
import { positions, vehicleKinds, axleOf, type Axle, type Position } from '@/core/wheel/position'
import { discKinds, padKinds, discFactors, padFactors } from '@/core/wheel/brakes'
import type { NamedSetFacts } from '@/core/forecast'
import type { Queryable } from '../../database'
import { idRow, readRows, readValue, wholeNumber } from '../../rows'

const setRow = v.object({
  id: v.string(),
  name: v.string(),
  season: v.nullable(oneOf(['winter', 'summer'])),
  vehicle_id: v.string(),
  vehicle_name: v.string(),
  vehicle_kind: oneOf(vehicleKinds),
  parked: v.nullable(oneOf(['garage', 'street'])),
  front_pads: oneOf(padKinds),
  front_discs: oneOf(discKinds),
  rear_pads: oneOf(padKinds),
  rear_discs: oneOf(discKinds),
  kilometres_per_week: v.number(),
  dust_factor: v.number(),
  created_at: v.date(),
  is_only_set: v.boolean(),
})

/** Rows as short lists, times in milliseconds: thousands of them are read at once. */
const layerEntry = v.tuple([
  v.string(),
  oneOf(protectionKinds),
  v.string(),
  v.number(),
  v.nullable(v.number()),
  v.number(),
])
type LayerEntry = v.InferOutput<typeof layerEntry>
const timedEntry = v.tuple([v.number(), v.number()])
const changeEntry = v.tuple([v.number(), v.nullable(v.string())])
const packedRow = v.object({ id: v.string(), entries: v.string() })

const milliseconds = (column: string): string => `(date_part('epoch', ${column}) * 1000)::bigint`

/**
 * Layers of a set, each with its wheels. Those that are gone tell something only where somebody looked, or where they lay over a
 * coating.
 */
const layersQuery = `
  select wheel_set_id as id, json_agg(json_build_array(positions, kind, product_name, applied, ended, coats)) as entries
  from (select wheel_set_id, string_agg(position, ' ') as positions, kind, product_name,
          ${milliseconds('applied_at')} as applied, ${milliseconds('ended_at')} as ended, max(coats) as coats
        from protection_layer
        where ($1::uuid[] is null or wheel_set_id = any($1))
          and (ended_at is null or kind = 'coatingTopper'
               or kind = any($2) and wheel_set_id in
                 (select wheel_set_id from look where $1::uuid[] is null or wheel_set_id = any($1)))
        group by wheel_set_id, applied_at, ended_at, kind, product_name) g
  group by wheel_set_id`

/** A list as one text: half the time of a list of lists. Nothing in it may hold the signs that part it. */
const packed = (columns: readonly string[], order: string): string =>
  `string_agg(concat_ws(',', ${columns.map((column) => `coalesce((${column})::text, '')`).join(', ')}), ';' order by ${order})`
const unpacked = (entries: string): string[][] => entries.split(';').map((entry) => entry.split(','))

const washesQuery = `
  select wheel_set_id as id,
    ${packed([milliseconds('finished_at'), 'wear', 'is_reviving'], 'finished_at, id')} as entries
  from visit where ($1::uuid[] is null or wheel_set_id = any($1)) group by wheel_set_id`

const looksQuery = `
  select wheel_set_id as id,
    ${packed([milliseconds('seen_at'), `array_to_string(positions, ' ')`, 'beading', 'release', 'slickness', 'is_after_reviving'], 'seen_at, id')} as entries
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
    entry: v.GenericSchema<unknown, Entry>,
    text: string,
    more: readonly (readonly string[])[] = [],
  ): Promise<Map<string, Entry[]>> => {
    const shape = v.object({ id: v.string(), entries: v.array(entry) })
    const rows = await readRows(database, shape, text, [ids, ...more])
    return new Map(rows.map(({ id, entries }) => [id, entries]))
  }
  const sets = await readRows(database, setRow, setsQuery, [ids])
  const layers = await gathered(layerEntry, layersQuery, [protectionKinds.filter(beads)])
  const packedBySet = async <Entry>(text: string, entryOf: (fields: string[]) => Entry) =>
    new Map(
      (await readRows(database, packedRow, text, [ids])).map(({ id, entries }) => [
        id,
        unpacked(entries).map(entryOf),
      ]),
    )
  const washes = await packedBySet(washesQuery, washOf)
  const looks = await packedBySet(looksQuery, lookOf)
  const readings = await gathered(timedEntry, byVehicle('odometer_reading', 'read_at', 'kilometres'))
  const told = await gathered(timedEntry, byVehicle('driving_change', 'from_at', 'kilometres_per_week'))
  const changes = await gathered(changeEntry, byVehicle('wheel_change', 'changed_at', 'mounted_set_id'))
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
      layers: (layers.get(row.id) ?? []).flatMap(layersOf),
      washes: washes.get(row.id) ?? [],
      looks: looks.get(row.id) ?? [],
    }
  })
}

const axles: readonly Axle[] = ['front', 'rear']
const positionsOf = (text: string): Position[] => readValue(v.array(oneOf(positions)), text.split(' '))

/** What is on both axles wears at each in its own way. */
function layersOf([text, kind, productName, applied, ended, coats]: LayerEntry): LayerFacts[] {
  const positions = positionsOf(text)
  return axles.flatMap((axle): LayerFacts[] => {
    const own = positions.filter((position) => axleOf(position) === axle)
    return own.length === 0
      ? []
      : [
          {
            axle,
            positions: own,
            kind,
            productName,
            appliedAt: new Date(applied),
            endedAt: ended === null ? null : new Date(ended),
            coats,
          },
        ]
  })
}

/** PostgreSQL's texts of numbers that may be missing, and of yes and no. */
const numberOf = (text: string | undefined): number | null => (text ? Number(text) : null)
const gradeOf = (text: string | undefined): LookGrade | null =>
  readValue(v.nullable(lookGrade), numberOf(text))
const isYes = (text: string | undefined): boolean => text === 'true'

const washOf = ([at, wear, reviving]: string[]): WashFacts => ({
  at: new Date(Number(at)),
  wear: numberOf(wear),
  reviving: isYes(reviving),
})

const lookOf = ([at, positions = '', beading, release, slickness, afterReviving]: string[]): LookFacts => ({
  at: new Date(Number(at)),
  positions: positionsOf(positions),
  beading: gradeOf(beading) ?? 0,
  release: gradeOf(release),
  slickness: gradeOf(slickness),
  afterReviving: isYes(afterReviving),
})

/** Numbers of the last changes that were seen, by set. */
export type SeenChanges = ReadonlyMap<string, number>

/** Changes get their number before they are committed: one that was overtaken by so few others is seen as well. */
const overtakenAtMost = 200

/**
 * Sets whose protection has changed since a number, the number of the last change, and what to give next time.
 * @param seen what this gave the last time
 */
export async function changedSets(
  database: Queryable,
  since: number,
  seen: SeenChanges,
): Promise<{ readonly ids: readonly string[]; readonly number: number; readonly seen: SeenChanges }> {
  const rows = await readRows(
    database,
    v.object({ wheel_set_id: v.string(), number: wholeNumber }),
    'select wheel_set_id, number from protection_change where number > $1 order by number',
    [since - overtakenAtMost],
  )
  const changes = rows.map((row): [string, number] => [row.wheel_set_id, row.number])
  return {
    ids: changes.filter(([id, number]) => seen.get(id) !== number).map(([id]) => id),
    number: Math.max(since, changes.at(-1)?.[1] ?? since),
    seen: new Map(changes.slice(-overtakenAtMost)),
  }
}

export async function listSetIds(database: Queryable): Promise<string[]> {
  const rows = await readRows(database, idRow, 'select id from wheel_set order by id')
  return rows.map(({ id }) => id)
}
