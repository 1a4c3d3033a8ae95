import * as v from 'valibot'
import { startOfDay } from '@/contracts/day'
import type { DueMark, DueMarks, Reminder } from '@/core/due'
import type { Queryable } from '../../database'
import { readRows } from '../../rows'

const markRow = v.object({
  key: v.string(),
  snoozed_until: v.nullable(v.date()),
  done_at: v.nullable(v.date()),
})

export async function listMarks(database: Queryable): Promise<DueMarks> {
  const rows = await readRows(database, markRow, 'select key, snoozed_until, done_at from due_mark')
  return new Map(
    rows.map((row): [string, DueMark] => [row.key, { snoozedUntil: row.snoozed_until, doneAt: row.done_at }]),
  )
}

/** Puts something off, or marks it as done; either takes the place of what was marked before. */
export async function mark(
  database: Queryable,
  key: string,
  wheelSetId: string | null,
  { snoozedUntil, doneAt }: DueMark,
): Promise<void> {
  await database.query(
    `insert into due_mark (key, wheel_set_id, snoozed_until, done_at) values ($1, $2, $3, $4)
     on conflict (key) do update set snoozed_until = excluded.snoozed_until,
       done_at = coalesce(excluded.done_at, due_mark.done_at)`,
    [key, wheelSetId, snoozedUntil, doneAt],
  )
}

/** Marks something as done that may be done once only; false where somebody did it before. */
export async function markOnce(
  database: Queryable,
  key: string,
  wheelSetId: string | null,
  doneAt: Date,
): Promise<boolean> {
  const rows = await database.query(
    `insert into due_mark (key, wheel_set_id, snoozed_until, done_at) values ($1, $2, null, $3)
     on conflict (key) do update set snoozed_until = null, done_at = excluded.done_at
       where due_mark.done_at is null returning key`,
    [key, wheelSetId, doneAt],
  )
  return rows.length > 0
}

/** Takes back what was marked last: putting off leaves what was done before; else what was done is taken back. */
export async function unmark(database: Queryable, key: string, now: Date): Promise<void> {
  const putOff = await database.query(
    `update due_mark set snoozed_until = null where key = $1 and snoozed_until > $2 returning key`,
    [key, now],
  )
  if (putOff.length === 0) await database.query('delete from due_mark where key = $1', [key])
}

export async function addReminder(
  database: Queryable,
  reminder: Reminder & { readonly dueDay: string },
): Promise<void> {
  await database.query(
    `insert into reminder (id, wheel_set_id, about, due_on, repeat_days) values ($1, $2, $3, $4::date, $5)
     on conflict (id) do nothing`,
    [reminder.id, reminder.wheelSetId, reminder.about, reminder.dueDay, reminder.repeatDays],
  )
}

export async function listReminders(database: Queryable): Promise<Reminder[]> {
  const rows = await readRows(
    database,
    v.object({
      id: v.string(),
      wheel_set_id: v.nullable(v.string()),
      about: v.string(),
      due_day: v.string(),
      repeat_days: v.nullable(v.number()),
    }),
    `select id, wheel_set_id, about, to_char(due_on, 'YYYY-MM-DD') as due_day, repeat_days
     from reminder where ended_at is null`,
  )
  return rows.map((row) => ({
    id: row.id,
    wheelSetId: row.wheel_set_id,
    about: row.about,
    dueOn: startOfDay(row.due_day),
    repeatDays: row.repeat_days,
  }))
}
