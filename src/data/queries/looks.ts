import type { LookGrade } from '@/core/protection/record'
import type { Position } from '@/core/wheel/position'
import type { Queryable } from '../database'

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

interface LookRow {
  id: string
  positions: Position[]
  seen_at: Date
  beading: LookGrade
  release: LookGrade | null
  slickness: LookGrade | null
  gloss_units: number | null
  is_after_reviving: boolean
}

/** The looks at a set, the latest first. */
export async function listLooks(database: Queryable, wheelSetId: string, most = 200): Promise<StoredLook[]> {
  const rows = await database.query<LookRow>(
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
