import type { VisitResult } from '@/core/run/visitResult'
import type { Queryable } from '../database'

export interface NewVisit {
  readonly wheelSetId: string
  readonly jobId: string | null
  readonly finishedAt: Date
  readonly headline: string
  readonly result: VisitResult
  readonly note: string
  readonly operatorSeconds: number
  readonly costMinor: number
  readonly currency: string
  readonly products: readonly {
    readonly name: string
    readonly concentrateMillilitres: number
    readonly costMinor: number
  }[]
}

export interface Visit extends NewVisit {
  readonly id: string
  readonly vehicleName: string
  readonly wheelSetName: string
}

interface VisitRow {
  id: string
  wheel_set_id: string
  job_id: string | null
  finished_at: Date
  headline: string
  result: VisitResult
  note: string
  operator_seconds: number
  cost_minor: number
  currency: string
  vehicle_name: string
  wheel_set_name: string
  products: { name: string; concentrateMillilitres: number; costMinor: number }[]
}

export async function addVisit(database: Queryable, visit: NewVisit): Promise<string> {
  const rows = await database.query<{ id: string }>(
    `insert into visit (wheel_set_id, job_id, finished_at, headline, result, note, operator_seconds, cost_minor, currency)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9) returning id`,
    [
      visit.wheelSetId,
      visit.jobId,
      visit.finishedAt,
      visit.headline,
      visit.result,
      visit.note,
      Math.round(visit.operatorSeconds),
      visit.costMinor,
      visit.currency,
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

export interface VisitPage {
  readonly visits: Visit[]
  readonly total: number
}

/** Visits, newest first, of all wheel sets or of one. */
export async function listVisits(
  database: Queryable,
  {
    wheelSetId = null,
    page = 1,
    pageSize = 25,
  }: { wheelSetId?: string | null; page?: number; pageSize?: number } = {},
): Promise<VisitPage> {
  const rows = await database.query<VisitRow & { total: number }>(
    `select visit.*, v.name as vehicle_name, s.name as wheel_set_name, count(*) over ()::integer as total,
       (select coalesce(json_agg(json_build_object('name', product_name, 'concentrateMillilitres', concentrate_millilitres,
          'costMinor', cost_minor) order by cost_minor desc, product_name), '[]')
        from visit_product where visit_id = visit.id) as products
     from visit join wheel_set s on s.id = visit.wheel_set_id join vehicle v on v.id = s.vehicle_id
     where $1::uuid is null or visit.wheel_set_id = $1
     order by visit.finished_at desc, visit.id limit $2 offset $3`,
    [wheelSetId, pageSize, (page - 1) * pageSize],
  )
  return {
    total: rows[0]?.total ?? 0,
    visits: rows.map((row) => ({
      id: row.id,
      wheelSetId: row.wheel_set_id,
      jobId: row.job_id,
      finishedAt: row.finished_at,
      headline: row.headline,
      result: row.result,
      note: row.note,
      operatorSeconds: row.operator_seconds,
      costMinor: Number(row.cost_minor),
      currency: row.currency,
      products: row.products,
      vehicleName: row.vehicle_name,
      wheelSetName: row.wheel_set_name,
    })),
  }
}
