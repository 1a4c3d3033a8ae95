import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { mark, markOnce } from '@/data/queries/due/dueMarks'
import { addLayer } from '@/data/queries/protection'
import { findDue } from './due'

const gone = (key: string) => fail({ path: 'key', found: key, fix: message('problems.due.noLonger') })

/** Puts a due thing off until a day. */
export async function snooze(database: Database, key: string, until: Date, now: Date): Promise<Result<null>> {
  const item = await findDue(database, now, key)
  if (!item) return gone(key)
  if (until <= now)
    return fail({ path: 'until', found: until.toISOString(), fix: message('problems.due.futureDate') })
  await mark(database, key, item.wheelSetId, { snoozedUntil: until, doneAt: null })
  return succeed(null)
}

/**
 * Marks a due thing as done. A protection that was put on again starts anew, as a layer of its own; everything else remembers the day.
 */
export async function markDone(database: Database, key: string, now: Date): Promise<Result<null>> {
  const item = await findDue(database, now, key)
  if (!item?.canBeDone) return gone(key)
  const { again, wheelSetId } = item
  if (!again || wheelSetId === null) {
    await mark(database, key, wheelSetId, { snoozedUntil: null, doneAt: now })
    return succeed(null)
  }
  return database.transaction(async (transaction) => {
    // Two devices may tap at once; the layer is put on once.
    if (!(await markOnce(transaction, key, wheelSetId, now))) return gone(key)
    for (const position of again.positions)
      await addLayer(
        transaction,
        wheelSetId,
        { position, kind: again.protection, productName: again.productName, appliedAt: now },
        null,
      )
    return succeed(null)
  })
}
