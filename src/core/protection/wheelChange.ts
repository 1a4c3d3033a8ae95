import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { Stored } from './record'

/** The wheels of a vehicle are changed: one set goes on, what was on comes off. */
export interface WheelChange {
  readonly at: Date
  /** Null: the vehicle stands on stands, or leaves without. */
  readonly mountedSetId: string | null
}

/** Before every record. */
const always = new Date(0)

/**
 * When a set was stored, from all changes of its vehicle: one set is on at a time, so that two can never be. Before the first change
 * a set that then came on was stored, if the vehicle has another; without any change a set counts as in use.
 * @param changes in order of time
 * @param isOnlySet the vehicle has no other
 */
export function storedPeriods(setId: string, changes: readonly WheelChange[], isOnlySet: boolean): Stored[] {
  const periods: Stored[] = []
  let since: Date | null = !isOnlySet && changes[0]?.mountedSetId === setId ? always : null
  for (const { at, mountedSetId } of changes) {
    if (mountedSetId === setId && since) {
      periods.push({ from: since, to: at })
      since = null
    } else if (mountedSetId !== setId) since ??= at
  }
  return since ? [...periods, { from: since, to: null }] : periods
}

/** Whether a set is in storage at an instant. */
export const isStoredAt = (
  setId: string,
  changes: readonly WheelChange[],
  isOnlySet: boolean,
  at: Date,
): boolean =>
  storedPeriods(setId, changes, isOnlySet).some(({ from, to }) => from <= at && (to === null || at < to))

/** Whether a change can be taken down: not in times to come, and not before one that is known. */
export function checkWheelChange(at: Date, changes: readonly WheelChange[], now: Date): Result<null> {
  const last = changes.at(-1)
  if (at > now)
    return fail({ path: 'at', found: at.toISOString(), fix: message('problems.wheelChange.future') })
  if (last && at <= last.at)
    return fail({
      path: 'at',
      found: at.toISOString(),
      fix: message('problems.wheelChange.later'),
    })
  return succeed(null)
}
