import * as v from 'valibot'
import { lookGrade } from '@/contracts/protection'
import { oneOf } from '@/contracts/fields'
import type { LookGrade } from '@/core/protection/record'
import { positions, type Position } from '@/core/wheel/position'
import type { Queryable } from '../database'
import { readRows } from '../rows'

/** A look as it was entered. */
export interface StoredLook {
  readonly id: string
  readonly positions: readonly Position[]
  readonly at: Date
  readonly beading: LookGrade
  readonly release: LookGrade | null
  readonly slickness: LookGrade | null
  readonly glossUnits: number | null
  readonly afterReviving: boolean
}

/** Keeps a look. Sent twice it is kept once. */
export async function addLook(database: Queryable, wheelSetId: string, look: StoredLook): Promise<void> {
  await database.query(
    `insert into look (id, wheel_set_id, positions, seen_at, beading, release, slickness, gloss_units, is_after_reviving)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9) on conflict (id) do nothing`,
    [
      look.id,
      wheelSetId,
      look.positions,
      look.at,
      look.beading,
      look.release,
      look.slickness,
      look.glossUnits,
      look.afterReviving,
    ],
  )
}

const lookRow = v.object({
  id: v.string(),
  positions: v.array(oneOf(positions)),
  seen_at: v.date(),
  beading: lookGrade,
  release: v.nullable(lookGrade),
  slickness: v.nullable(lookGrade),
  gloss_units: v.nullable(v.number()),
  is_after_reviving: v.boolean(),
})

/** The looks at a set, the latest first. */
export async function listLooks(database: Queryable, wheelSetId: string, most = 200): Promise<StoredLook[]> {
  const rows = await readRows(
    database,
    lookRow,
    'select * from look where wheel_set_id = $1 order by seen_at desc, id limit $2',
    [wheelSetId, most],
  )
  return rows.map((row) => ({
    id: row.id,
    positions: row.positions,
    at: row.seen_at,
    beading: row.beading,
    release: row.release,
    slickness: row.slickness,
    glossUnits: row.gloss_units,
    afterReviving: row.is_after_reviving,
  }))
}

export async function removeLook(database: Queryable, wheelSetId: string, id: string): Promise<void> {
  await database.query('delete from look where id = $1 and wheel_set_id = $2', [id, wheelSetId])
}
