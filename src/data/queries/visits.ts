import { readSaid, writeSaid } from '@/contracts/saidText'
import type { Said } from '@/core/message/message'
import * as v from 'valibot'
import { stayedEntry } from '@/contracts/runEvent'
import { oneOf } from '@/contracts/fields'
import { positions } from '@/core/wheel/position'
import type { Leftover } from '@/core/run/leftover'
import { visitResults, type VisitResult } from '@/core/run/visitResult'
import type { ServiceId } from '@/core/visit-kinds/service'
import type { Queryable } from '../database'
import { readRows, wholeNumber, readRow, idRow, countRow } from '../rows'
import { likePattern } from './likePattern'
import { readPage, type PageAt } from './page'

export interface NewVisit {
  readonly wheelSetId: string
  readonly jobId: string | null
  readonly finishedAt: Date
  readonly headline: Said
  readonly result: VisitResult
  readonly note: string
  readonly operatorSeconds: number
  /** From the first tap to the last, without long breaks; null where nobody tapped. */
  readonly clockSeconds?: number | null
  /** What it was for; absent: not known. */
  readonly service?: ServiceId
  /** What the wash took off the protection, and whether it let it show again; absent: not known. */
  readonly wash?: { readonly wear: number; readonly reviving: boolean }
  /** What was still there at the end; absent: nothing. */
  readonly leftovers?: readonly Leftover[]
  readonly costMinor: number
  readonly currency: string
  readonly products: readonly {
    readonly name: string
    readonly concentrateMillilitres: number
    readonly costMinor: number
  }[]
}

export interface Visit extends NewVisit {
  readonly clockSeconds: number | null
  readonly leftovers: readonly Leftover[]
  readonly id: string
  readonly vehicleName: string
  readonly wheelSetName: string
}

const leftovers = v.array(v.object({ ...stayedEntry.entries, position: oneOf(positions) }))

const visitRow = v.object({
  id: v.string(),
  wheel_set_id: v.string(),
  job_id: v.nullable(v.string()),
  finished_at: v.date(),
  headline: v.string(),
  result: oneOf(visitResults),
  note: v.string(),
  operator_seconds: v.number(),
  clock_seconds: v.nullable(v.number()),
  leftovers: leftovers,
  cost_minor: wholeNumber,
  currency: v.string(),
  vehicle_name: v.string(),
  wheel_set_name: v.string(),
  products: v.array(
    v.object({ name: v.string(), concentrateMillilitres: v.number(), costMinor: v.number() }),
  ),
})
type VisitRow = v.InferOutput<typeof visitRow>

export async function addVisit(database: Queryable, visit: NewVisit): Promise<string> {
  const rows = await readRows(
    database,
    idRow,
    `insert into visit (wheel_set_id, job_id, finished_at, headline, result, note, operator_seconds, cost_minor, currency,
       clock_seconds, leftovers, service, wear, is_reviving)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11::jsonb, $12, $13, $14) returning id`,
    [
      visit.wheelSetId,
      visit.jobId,
      visit.finishedAt,
      writeSaid(visit.headline),
      visit.result,
      visit.note,
      Math.round(visit.operatorSeconds),
      visit.costMinor,
      visit.currency,
      visit.clockSeconds == null ? null : Math.round(visit.clockSeconds),
      JSON.stringify(visit.leftovers ?? []),
      visit.service ?? null,
      visit.wash?.wear ?? null,
      visit.wash?.reviving ?? false,
    ],
  )
  const id = rows[0]?.id
  if (id === undefined) throw new Error('The new visit has no id')
  for (const product of visit.products) {
    await database.query(
      'insert into visit_product (visit_id, product_name, concentrate_millilitres, cost_minor) values ($1, $2, $3, $4)',
      [id, product.name, product.concentrateMillilitres, product.costMinor],
    )
  }
  return id
}

const visitOf = (row: VisitRow): Visit => ({
  id: row.id,
  wheelSetId: row.wheel_set_id,
  jobId: row.job_id,
  finishedAt: row.finished_at,
  headline: readSaid(row.headline),
  result: row.result,
  note: row.note,
  operatorSeconds: row.operator_seconds,
  clockSeconds: row.clock_seconds,
  leftovers: row.leftovers,
  costMinor: row.cost_minor,
  currency: row.currency,
  products: row.products,
  vehicleName: row.vehicle_name,
  wheelSetName: row.wheel_set_name,
})

/** Which visits of the log are asked for. */
export interface VisitsAsked {
  readonly wheelSetId?: string | null
  /** In the name of vehicle or set. */
  readonly search?: string
  /** None after this. */
  readonly until?: Date | null
}

const asked = `($1::uuid is null or visit.wheel_set_id = $1) and ($2::timestamptz is null or visit.finished_at <= $2)
  and ($3 = '%%' or visit.wheel_set_id in (select s.id from wheel_set s join vehicle v on v.id = s.vehicle_id
    where v.name ilike $3 or s.name ilike $3))`
const parametersOf = ({ wheelSetId = null, search = '', until = null }: VisitsAsked) => [
  wheelSetId,
  until,
  likePattern(search),
]

/** Visits, newest first. */
export function listVisits(database: Queryable, { size, after, before, ...which }: VisitsAsked & PageAt) {
  return readPage<Visit>({ size, after, before }, async (cursor, isBackward, most) => {
    const [sign, direction] = isBackward ? ['>', 'asc'] : ['<', 'desc']
    const rows = await readRows(
      database,
      visitRow,
      `select visit.*, v.name as vehicle_name, s.name as wheel_set_name,
         (select coalesce(json_agg(json_build_object('name', product_name, 'concentrateMillilitres', concentrate_millilitres,
            'costMinor', cost_minor) order by cost_minor desc, product_name), '[]')
          from visit_product where visit_id = visit.id) as products
       from (select * from visit where ${asked} and ($4::uuid is null or (finished_at, id) ${sign}
           (select finished_at, id from visit where id = $4))
         order by finished_at ${direction}, id ${direction} limit $5) visit
       join wheel_set s on s.id = visit.wheel_set_id join vehicle v on v.id = s.vehicle_id
       order by visit.finished_at ${direction}, visit.id ${direction}`,
      [...parametersOf(which), cursor, most],
    )
    return rows.map(visitOf)
  })
}

/** How many visits there are of those asked for; counted up to a bound. */
export async function countVisitsUpTo(
  database: Queryable,
  bound: number,
  which: VisitsAsked = {},
): Promise<number> {
  const row = await readRow(
    database,
    countRow,
    `select count(*)::integer as count from (select 1 from visit where ${asked} limit $4) v`,
    [...parametersOf(which), bound],
  )
  return row?.count ?? 0
}

/** What stayed on a wheel set at its last visit. */
export async function lastLeftovers(database: Queryable, wheelSetId: string): Promise<readonly Leftover[]> {
  const rows = await readRows(
    database,
    v.object({ leftovers: leftovers }),
    'select leftovers from visit where wheel_set_id = $1 order by finished_at desc, id limit 1',
    [wheelSetId],
  )
  return rows[0]?.leftovers ?? []
}

/** What was long ago costs and takes something else today: so many of the last visits count. */
const visitsThatCount = 400

/** What one application of a product has cost, the mean of the last visits, minor units; by name. */
export async function costOfApplications(database: Queryable): Promise<Map<string, number>> {
  const rows = await readRows(
    database,
    v.object({ product_name: v.string(), cost: v.number() }),
    `select product_name, avg(cost_minor)::float8 as cost
     from (select id from visit order by finished_at desc, id desc limit $1) v
     cross join lateral (select * from visit_product where visit_id = v.id offset 0) p
     where cost_minor > 0 group by product_name`,
    [visitsThatCount],
  )
  return new Map(rows.map((row) => [row.product_name, row.cost]))
}

/** How long visits of some services have taken, the mean of the last ones in minutes. */
export async function minutesByService(
  database: Queryable,
  services: readonly ServiceId[],
): Promise<Map<string, number>> {
  const rows = await readRows(
    database,
    v.object({ service: v.string(), minutes: v.number() }),
    `select service, avg(coalesce(clock_seconds, operator_seconds))::float8 / 60 as minutes
     from (select * from visit order by finished_at desc, id desc limit $2) visit
     where service = any($1) group by service`,
    [services, visitsThatCount],
  )
  return new Map(rows.map((row) => [row.service, row.minutes]))
}

/** As the table takes it, characters. */
const longestNote = 2000

/**
 * Adds lines to the note of a job's visit; lines that it has already are left out, so that sent twice they stand once.
 * @returns `gone` if there is no such visit, `full` if the note has no room for them; nothing is written then
 */
export async function addToVisitNote(
  database: Queryable,
  jobId: string,
  lines: readonly string[],
): Promise<'saved' | 'gone' | 'full'> {
  const visit = await readRow(
    database,
    v.object({ id: v.string(), note: v.string() }),
    'select id, note from visit where job_id = $1 order by finished_at desc limit 1 for update',
    [jobId],
  )
  if (!visit) return 'gone'
  const known = visit.note.split('\n')
  const note = [
    ...known.filter((line) => line !== ''),
    ...lines.filter((line) => !known.includes(line)),
  ].join('\n')
  if (note.length > longestNote) return 'full'
  await database.query('update visit set note = $2 where id = $1', [visit.id, note])
  return 'saved'
}
