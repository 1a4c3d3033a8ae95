import * as v from 'valibot'
import type { Queryable } from '../database'
import { readRow } from '../rows'

export interface WaterReading {
  readonly at: Date
  readonly beforePpm: number
  readonly afterPpm: number
}

export async function addWaterReading(database: Queryable, reading: WaterReading): Promise<void> {
  await database.query(
    `insert into water_reading (read_at, before_ppm, after_ppm) values ($1, $2, $3)
     on conflict (read_at) do update set before_ppm = excluded.before_ppm, after_ppm = excluded.after_ppm`,
    [reading.at, reading.beforePpm, reading.afterPpm],
  )
}

export async function lastWaterReading(database: Queryable): Promise<WaterReading | null> {
  const row = await readRow(
    database,
    v.object({ read_at: v.date(), before_ppm: v.number(), after_ppm: v.number() }),
    'select * from water_reading order by read_at desc limit 1',
  )
  return row ? { at: row.read_at, beforePpm: row.before_ppm, afterPpm: row.after_ppm } : null
}
