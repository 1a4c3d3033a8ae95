import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { photographSizes, type PhotographSize } from '@/contracts/photograph'
import { positions, type Position } from '@/core/wheel/position'
import type { DatabaseTransaction, Queryable } from '../database'
import { readRows, readRow } from '../rows'
import { readPage, type PageAt } from './page'

/** What is said of a photograph; the pictures themselves are read one by one. */
export interface Photograph {
  readonly id: string
  /** In which job it was taken; null: outside one. */
  readonly jobId: string | null
  /** Empty: of the whole set. */
  readonly positions: readonly Position[]
  readonly takenAt: Date
  /** Of the whole picture. */
  readonly widthPixels: number
  readonly heightPixels: number
}

/** A photograph as JPEG files, by size. */
export type Pictures = Readonly<Record<PhotographSize, Uint8Array>>

const photographRow = v.object({
  id: v.string(),
  job_id: v.nullable(v.string()),
  positions: v.array(oneOf(positions)),
  taken_at: v.date(),
  width_pixels: v.number(),
  height_pixels: v.number(),
})
type PhotographRow = v.InferOutput<typeof photographRow>

const photographOf = (row: PhotographRow): Photograph => ({
  id: row.id,
  jobId: row.job_id,
  positions: row.positions,
  takenAt: row.taken_at,
  widthPixels: row.width_pixels,
  heightPixels: row.height_pixels,
})

/** Keeps a photograph with its pictures. Sent twice it is kept once. A job that is not there, or of another set, leaves it to the set. */
export async function addPhotograph(
  transaction: DatabaseTransaction,
  wheelSetId: string,
  photograph: Photograph,
  pictures: Pictures,
): Promise<void> {
  const rows = await transaction.query(
    `insert into photograph (id, wheel_set_id, job_id, positions, taken_at, width_pixels, height_pixels, size_bytes)
     values ($1, $2, (select id from job where id = $3 and wheel_set_id = $2), $4, $5, $6, $7, $8) on conflict (id) do nothing returning id`,
    [
      photograph.id,
      wheelSetId,
      photograph.jobId,
      photograph.positions,
      photograph.takenAt,
      photograph.widthPixels,
      photograph.heightPixels,
      pictures.whole.byteLength + pictures.small.byteLength,
    ],
  )
  if (rows.length === 0) return
  for (const size of photographSizes) await addPicture(transaction, photograph.id, size, pictures[size])
}

/** Puts one picture to a photograph that is there. */
export async function addPicture(
  database: Queryable,
  photographId: string,
  size: PhotographSize,
  jpeg: Uint8Array,
): Promise<void> {
  await database.query('insert into photograph_file (photograph_id, size, jpeg) values ($1, $2, $3)', [
    photographId,
    size,
    jpeg,
  ])
}

/** Photographs of a wheel set, the latest first. */
export function listPhotographs(database: Queryable, wheelSetId: string, { size, after, before }: PageAt) {
  return readPage<Photograph>({ size, after, before }, async (cursor, isBackward, most) => {
    const [sign, direction] = isBackward ? ['>', 'asc'] : ['<', 'desc']
    const rows = await readRows(
      database,
      photographRow,
      `select * from photograph where wheel_set_id = $1 and ($2::uuid is null or (taken_at, id) ${sign}
         (select taken_at, id from photograph where id = $2))
       order by taken_at ${direction}, id ${direction} limit $3`,
      [wheelSetId, cursor, most],
    )
    return rows.map(photographOf)
  })
}

export async function findPhotograph(
  database: Queryable,
  wheelSetId: string,
  id: string,
): Promise<Photograph | null> {
  const row = await readRow(
    database,
    photographRow,
    'select * from photograph where id = $1 and wheel_set_id = $2',
    [id, wheelSetId],
  )
  return row ? photographOf(row) : null
}

/** A picture as a JPEG file; null where there is none. */
export async function readPicture(
  database: Queryable,
  photographId: string,
  size: PhotographSize,
): Promise<Uint8Array | null> {
  const row = await readRow(
    database,
    v.object({ jpeg: v.instance(Uint8Array) }),
    'select jpeg from photograph_file where photograph_id = $1 and size = $2',
    [photographId, size],
  )
  return row?.jpeg ?? null
}

/** How many photographs there are, and what their pictures take. */
export interface PhotographCount {
  readonly count: number
  readonly bytes: number
  /** Of the first one; null: there is none. */
  readonly oldestAt: Date | null
}

/** All photographs, or those taken before an instant. */
export async function countPhotographs(
  database: Queryable,
  before: Date | null = null,
): Promise<PhotographCount> {
  const row = await readRow(
    database,
    v.object({ count: v.number(), bytes: v.number(), oldest: v.nullable(v.date()) }),
    `select count(*)::int as count, coalesce(sum(size_bytes), 0)::float8 as bytes, min(taken_at) as oldest
     from photograph where $1::timestamptz is null or taken_at < $1`,
    [before],
  )
  return { count: row?.count ?? 0, bytes: row?.bytes ?? 0, oldestAt: row?.oldest ?? null }
}

export async function removePhotographsBefore(database: Queryable, before: Date): Promise<void> {
  await database.query('delete from photograph where taken_at < $1', [before])
}

export async function removePhotograph(database: Queryable, wheelSetId: string, id: string): Promise<void> {
  await database.query('delete from photograph where id = $1 and wheel_set_id = $2', [id, wheelSetId])
}

/** The photographs of the same set that were taken next before and after one; null where there is none. */
export async function photographsBeside(
  database: Queryable,
  wheelSetId: string,
  id: string,
): Promise<{ readonly olderId: string | null; readonly newerId: string | null }> {
  const row = await readRow(
    database,
    v.object({ older: v.nullable(v.string()), newer: v.nullable(v.string()) }),
    `select
       (select p.id from photograph p where p.wheel_set_id = $1 and (p.taken_at, p.id) < (of.taken_at, of.id)
         order by p.taken_at desc, p.id desc limit 1) as older,
       (select p.id from photograph p where p.wheel_set_id = $1 and (p.taken_at, p.id) > (of.taken_at, of.id)
         order by p.taken_at, p.id limit 1) as newer
     from photograph of where of.id = $2`,
    [wheelSetId, id],
  )
  return { olderId: row?.older ?? null, newerId: row?.newer ?? null }
}

/** Whether an id belongs to a photo of another set. */
export async function isPhotographOfAnotherSet(
  database: Queryable,
  wheelSetId: string,
  id: string,
): Promise<boolean> {
  const rows = await database.query('select 1 from photograph where id = $1 and wheel_set_id <> $2', [
    id,
    wheelSetId,
  ])
  return rows.length > 0
}
