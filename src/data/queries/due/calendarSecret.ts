import * as v from 'valibot'
import { randomBytes } from 'node:crypto'
import type { Queryable } from '../../database'
import { readRow } from '../../rows'

const newSecret = (): string => randomBytes(24).toString('base64url')

/** The secret in the address of the calendar; made at first use. */
export async function calendarSecret(database: Queryable): Promise<string> {
  const row = await readRow(
    database,
    v.object({ secret: v.string() }),
    `insert into setting (name, value) values ('calendar', jsonb_build_object('secret', $1::text))
     on conflict (name) do update set value = setting.value returning value->>'secret' as secret`,
    [newSecret()],
  )
  if (!row) throw new Error('The calendar has no secret')
  return row.secret
}

/** Makes a new secret: who has the old address is left out from now on. */
export async function renewCalendarSecret(database: Queryable): Promise<string> {
  const secret = newSecret()
  await database.query(
    `insert into setting (name, value) values ('calendar', jsonb_build_object('secret', $1::text))
     on conflict (name) do update set value = excluded.value, changed_at = now()`,
    [secret],
  )
  return secret
}
