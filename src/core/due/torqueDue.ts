import { message } from '@/core/message/message'
import { estimate } from '@/core/estimates/houseEstimates'
import { addDays, type DueItem, type DueMarks } from './dueItem'
import type { DueContext, DueSet } from './dueSet'

/** Where nobody drives, or nobody says so, days. House estimate. */
const longestDays = 14
/** Later it has been done long ago, or nobody minds. */
const forgottenDays = 120
/** So long after the last kilometre for it, it is no re-torque any more but a check at the next chance. House estimate. */
const missedDays = 7

/** Nuts are checked again once the wheels have settled: by the odometer where it is read, else by days of usual driving. */
export function torqueDue(set: DueSet, marks: DueMarks, { now, overrides }: DueContext): DueItem[] {
  const { lastFitting: fitting, facts } = set
  if (!fitting || !set.isMounted) return []
  const key = `torqueCheck ${facts.id} ${fitting.at.getTime()}`
  if (marks.get(key)?.doneAt || now > addDays(fitting.at, forgottenDays)) return []
  const [from, until] = [
    estimate('torqueFirstKilometres', overrides),
    estimate('torqueLastKilometres', overrides),
  ]
  const reached = (kilometres: number): Date => {
    const before = [...facts.readings].reverse().find(({ at }) => at <= fitting.at)
    const later = facts.readings.find(
      (reading) => reading.at > fitting.at && before && reading.kilometres - before.kilometres >= kilometres,
    )
    const days = set.kilometresPerWeek > 0 ? (kilometres * 7) / set.kilometresPerWeek : longestDays
    const usual = addDays(fitting.at, Math.min(longestDays, days))
    return later && later.at < usual ? later.at : usual
  }
  const isMissed = now > addDays(reached(until), missedDays)
  return [
    {
      key,
      kind: 'torqueCheck',
      wheelSetId: facts.id,
      what: message('due.items.torque.what', {
        known: String(fitting.torqueNewtonMetres !== null),
        newtonMetres: { newtonMetres: fitting.torqueNewtonMetres ?? 0 },
      }),
      why: message(isMissed ? 'due.items.torque.missed' : 'due.items.torque.why', {
        from: { kilometres: from },
        until: { kilometres: until },
      }),
      at: reached(from),
      band: { from: reached(from), until: reached(until) },
      sureness: 'sure',
      remedy: { kind: 'none' },
      canBeDone: true,
      ...(isMissed ? { isMissed } : {}),
    },
  ]
}
