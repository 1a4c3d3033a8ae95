import type { Said } from '@/core/message/message'
import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { positions } from '@/core/wheel/position'
import { finishZones } from '@/core/wheel/zone'
import { conditions, finishes } from '@/core/finishes/finish'
import { randomUUID } from 'node:crypto'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import { readStoredJob } from '@/contracts/storedJob'
import { readSaid } from '@/contracts/saidText'
import { readStoredPlan } from '@/contracts/storedPlan'
import type { RunEvent } from '@/core/run/runEvent'
import type { Queryable } from '../database'
import { readRows } from '../rows'
import { eventOfRow, eventRow } from './runEvents'

export interface StoredJob {
  readonly id: string
  readonly wheelSetId: string
  readonly jobFile: JobFile
  readonly plan: PlanFile
  readonly plannedFor: Date | null
  readonly createdAt: Date
  readonly startedAt: Date | null
  readonly finishedAt: Date | null
  /** Another one after every change of the row. */
  readonly rowVersion: string
}

const jobRow = v.object({
  id: v.string(),
  wheel_set_id: v.string(),
  job_file: v.unknown(),
  plan_file: v.unknown(),
  planned_for: v.nullable(v.date()),
  created_at: v.date(),
  started_at: v.nullable(v.date()),
  finished_at: v.nullable(v.date()),
  row_version: v.string(),
})
type JobRow = v.InferOutput<typeof jobRow>

const jobOfRow = (row: JobRow): StoredJob => ({
  id: row.id,
  wheelSetId: row.wheel_set_id,
  jobFile: readStoredJob(row.job_file),
  plan: readStoredPlan(row.plan_file),
  plannedFor: row.planned_for,
  createdAt: row.created_at,
  startedAt: row.started_at,
  finishedAt: row.finished_at,
  rowVersion: row.row_version,
})

export async function storeJob(
  database: Queryable,
  job: { id?: string; wheelSetId: string; jobFile: JobFile; planFile: PlanFile; plannedFor: Date | null },
): Promise<string> {
  const id = job.id ?? randomUUID()
  await database.query(
    'insert into job (id, wheel_set_id, job_file, plan_file, planned_for) values ($1, $2, $3::jsonb, $4::jsonb, $5)',
    [id, job.wheelSetId, JSON.stringify(job.jobFile), JSON.stringify(job.planFile), job.plannedFor],
  )
  return id
}

/** Puts another plan in the place of one that was not begun and not changed since it was read; says whether it could. */
export async function replacePlan(
  database: Queryable,
  { id, rowVersion }: Pick<StoredJob, 'id' | 'rowVersion'>,
  jobFile: JobFile,
  planFile: PlanFile,
): Promise<boolean> {
  const rows = await database.query(
    `update job set job_file = $2::jsonb, plan_file = $3::jsonb
     where id = $1 and started_at is null and xmin::text = $4 returning id`,
    [id, JSON.stringify(jobFile), JSON.stringify(planFile), rowVersion],
  )
  return rows.length > 0
}

export async function findJob(database: Queryable, id: string): Promise<StoredJob | null> {
  const rows = await readRows(
    database,
    jobRow,
    'select *, xmin::text as row_version from job where id = $1',
    [id],
  )
  return rows[0] ? jobOfRow(rows[0]) : null
}

export async function jobExists(database: Queryable, id: string): Promise<boolean> {
  return (await database.query('select from job where id = $1', [id])).length > 0
}

/** The loads and conditions last planned for a wheel set; the default of the next intake. */
export async function latestJobFile(database: Queryable, wheelSetId: string): Promise<JobFile | null> {
  const rows = await readRows(
    database,
    v.object({ job_file: v.unknown() }),
    'select job_file from job where wheel_set_id = $1 order by created_at desc limit 1',
    [wheelSetId],
  )
  return rows[0] ? readStoredJob(rows[0].job_file) : null
}

export interface OpenJob {
  readonly id: string
  readonly wheelSetId: string
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly headline: Said
  readonly operatorSeconds: number
  readonly plannedFor: Date | null
  readonly startedAt: Date | null
  /** Share of the steps settled, 0 to 1. */
  readonly progress: number
  /** The first of the wheels, to tell the job by. */
  readonly firstCorner: v.InferOutput<typeof cornerShown>
}

/** What a list shows of a wheel. Jobs of earlier versions have it too; what they may not have is left alone. */
const cornerShown = v.looseObject({
  position: oneOf(positions),
  tyreCode: v.string(),
  rimWidthInches: v.number(),
  spokeCount: v.number(),
  spokeWidthMillimetres: v.number(),
  spokeDepthMillimetres: v.number(),
  openness: v.optional(v.number()),
  hardwarePieces: v.optional(v.number()),
  finishes: v.array(
    v.object({ zone: oneOf(finishZones), finish: oneOf(finishes), condition: oneOf(conditions) }),
  ),
})

const openJobRow = v.object({
  id: v.string(),
  wheel_set_id: v.string(),
  vehicle_name: v.string(),
  wheel_set_name: v.string(),
  headline: v.string(),
  operator_seconds: v.number(),
  planned_for: v.nullable(v.date()),
  started_at: v.nullable(v.date()),
  step_count: v.number(),
  settled_count: v.number(),
  first_corner: cornerShown,
})

/** All jobs not finished yet: running ones first, then by the time they are planned for. */
export async function listOpenJobs(database: Queryable): Promise<OpenJob[]> {
  const rows = await readRows(
    database,
    openJobRow,
    `select j.id, j.wheel_set_id, v.name as vehicle_name, s.name as wheel_set_name, j.headline, j.operator_seconds,
       j.planned_for, j.started_at, j.step_count, j.first_corner, j.settled_count
     from job j join wheel_set s on s.id = j.wheel_set_id join vehicle v on v.id = s.vehicle_id
     where j.finished_at is null
     order by (j.started_at is null), j.planned_for nulls last, j.created_at desc`,
  )
  return rows.map((row) => ({
    id: row.id,
    wheelSetId: row.wheel_set_id,
    vehicleName: row.vehicle_name,
    wheelSetName: row.wheel_set_name,
    headline: readSaid(row.headline),
    operatorSeconds: row.operator_seconds,
    plannedFor: row.planned_for,
    startedAt: row.started_at,
    progress: row.step_count > 0 ? Math.min(1, row.settled_count / row.step_count) : 0,
    firstCorner: row.first_corner,
  }))
}

/** Says whether it was written: a job that was begun keeps its hour. */
export async function setPlannedFor(database: Queryable, id: string, at: Date | null): Promise<boolean> {
  const rows = await database.query(
    'update job set planned_for = $2 where id = $1 and started_at is null returning id',
    [id, at],
  )
  return rows.length > 0
}

export async function discardJob(database: Queryable, id: string): Promise<void> {
  await database.query('delete from job where id = $1 and started_at is null', [id])
}

const finishedJobRow = v.object({ ...jobRow.entries, events: v.array(eventRow) })

/** The last finished jobs with their taps, the newest first. */
export async function listFinishedJobs(
  database: Queryable,
  most: number,
): Promise<{ readonly job: StoredJob; readonly events: readonly RunEvent[] }[]> {
  const rows = await readRows(
    database,
    finishedJobRow,
    `select j.*, j.xmin::text as row_version, (select coalesce(json_agg(json_build_object('kind', e.kind, 'step_id', e.step_id, 'at', e.at, 'person', e.person, 'answer', e.answer)
         order by e.sequence), '[]') from run_event e where e.job_id = j.id) as events
     from job j where j.finished_at is not null
     order by j.finished_at desc, j.id limit $1`,
    [most],
  )
  return rows.map((row) => ({
    job: jobOfRow(row),
    events: row.events.map(eventOfRow),
  }))
}

export async function markFinished(database: Queryable, jobId: string, at: Date): Promise<boolean> {
  const rows = await database.query(
    `update job set started_at = coalesce(started_at, $2), finished_at = $2
     where id = $1 and finished_at is null returning id`,
    [jobId, at],
  )
  return rows.length > 0
}
