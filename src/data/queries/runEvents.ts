import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { answerInput } from '@/contracts/runEvent'
import { runEventKinds, type RunEvent } from '@/core/run/runEvent'
import type { Queryable } from '../database'
import { instant, readRow, readRows } from '../rows'

export const eventRow = v.object({
  kind: oneOf(runEventKinds),
  step_id: v.string(),
  at: instant,
  person: v.nullable(v.number()),
  answer: v.nullable(answerInput),
})
export type EventRow = v.InferOutput<typeof eventRow>

export const eventOfRow = ({ kind, step_id, at, person, answer }: EventRow): RunEvent => ({
  kind,
  stepId: step_id,
  at,
  ...(person === null ? {} : { person }),
  ...(answer === null ? {} : { answer }),
})

export async function listRunEvents(database: Queryable, jobId: string): Promise<RunEvent[]> {
  const rows = await readRows(
    database,
    eventRow,
    'select kind, step_id, at, person, answer from run_event where job_id = $1 order by sequence',
    [jobId],
  )
  return rows.map(eventOfRow)
}

/** A tap with what it leads to, worked out over the job as it was read. */
export interface NewTap {
  readonly event: RunEvent
  /** The same id twice counts once, so a tap may be sent again after a dropped connection. */
  readonly requestId: string
  /** Of the job as it was read. */
  readonly rowVersion: string
  /** How many steps of the job are settled after it. */
  readonly settledCount: number
}

/** What came of a tap; where it is not `stored`, nothing was written. `overtaken`: the job was changed since it was read. */
export type Appended =
  | { readonly kind: 'stored'; readonly rowVersion: string }
  | { readonly kind: 'storedBefore' | 'ofAnotherJob' | 'closed' | 'gone' | 'overtaken' }

const appendedRow = v.object({
  row_version: v.nullable(v.string()),
  sent_for: v.nullable(v.string()),
  is_there: v.boolean(),
  is_open: v.boolean(),
})

/** Appends a tap in one statement: over a slow line every question costs a person's time. */
export async function appendRunEvent(
  database: Queryable,
  jobId: string,
  { event, requestId, rowVersion, settledCount }: NewTap,
): Promise<Appended> {
  const row = await readRow(
    database,
    appendedRow,
    `with touched as (
       update job set started_at = coalesce(started_at, $2), settled_count = $3
       where id = $1 and finished_at is null and xmin::text = $4
         and not exists (select from run_event where request_id = $5)
       returning id, xmin::text as row_version),
     stored as (
       insert into run_event (job_id, sequence, kind, step_id, at, person, answer, request_id)
       select id, (select coalesce(max(sequence), 0) + 1 from run_event where job_id = $1), $6, $7, $2, $8, $9::jsonb, $5
       from touched)
     select (select row_version from touched) as row_version,
       (select job_id::text from run_event where request_id = $5) as sent_for,
       exists (select from job where id = $1) as is_there,
       exists (select from job where id = $1 and finished_at is null) as is_open`,
    [
      jobId,
      event.at,
      settledCount,
      rowVersion,
      requestId,
      event.kind,
      event.stepId,
      event.person ?? null,
      event.answer ? JSON.stringify(event.answer) : null,
    ],
  )
  if (!row) throw new Error('a statement without an answer')
  if (row.row_version !== null) return { kind: 'stored', rowVersion: row.row_version }
  if (row.sent_for !== null) return { kind: row.sent_for === jobId ? 'storedBefore' : 'ofAnotherJob' }
  if (!row.is_there) return { kind: 'gone' }
  return { kind: row.is_open ? 'overtaken' : 'closed' }
}

/** Writes the taps of a job that was worked elsewhere, all at once. */
export async function storeRunEvents(
  database: Queryable,
  jobId: string,
  events: readonly RunEvent[],
): Promise<void> {
  await database.query(
    `with stored as (
       insert into run_event (job_id, sequence, kind, step_id, at, person, answer, request_id)
       select $1, e.sequence, e.kind, e.step_id, e.at, e.person, e.answer, gen_random_uuid()
       from json_to_recordset($2::json)
         as e(sequence integer, kind text, step_id text, at timestamptz, person smallint, answer jsonb)
       returning at)
     update job set started_at = (select min(at) from stored) where id = $1`,
    [
      jobId,
      JSON.stringify(
        events.map(({ kind, stepId, at, person, answer }, index) => ({
          sequence: index + 1,
          kind,
          step_id: stepId,
          at,
          person: person ?? null,
          answer: answer ?? null,
        })),
      ),
    ],
  )
}
