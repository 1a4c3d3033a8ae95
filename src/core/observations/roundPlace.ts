import type { Job } from '@/core/job/job'
import { remainingOf } from '@/core/rescheduling/remaining'
import { urgentEffort } from '@/core/rescheduling/resume'
import { settledSteps } from '@/core/rescheduling/settledSteps'
import { limitsLost } from '@/core/rescheduling/urgent'
import type { Answer, Foam, RoundPlace } from '@/core/run/answer'
import type { RunEvent } from '@/core/run/runEvent'
import { replay } from '@/core/run/runState'
import type { PlanAsSeen } from '@/core/run/standingEvents'

/** Limits that would be lost if a run went on from these events. */
function lostAfter(
  job: Job,
  planAsSeen: PlanAsSeen,
  events: readonly RunEvent[],
  nowMilliseconds: number,
): number {
  const state = replay(planAsSeen, events)
  const { problem } = remainingOf(job, state.plan, settledSteps(state, nowMilliseconds))
  return limitsLost(problem, urgentEffort)
}

/**
 * What the person saw of a foam, with the place of the round it may bring: at once where every clock that runs can still be kept,
 * else after the rinse that is due.
 * @param tap steps that the same tap settles, before this one
 */
export function foamAnswer(
  job: Job,
  planAsSeen: PlanAsSeen,
  events: readonly RunEvent[],
  tap: readonly RunEvent[],
  last: Omit<RunEvent, 'kind' | 'answer'>,
  foam: Foam,
): Answer {
  if (foam === 'white' || foam === 'cream') return { question: 'foam', foam }
  const lost = (place: RoundPlace): number =>
    lostAfter(
      job,
      planAsSeen,
      [...events, ...tap, { ...last, kind: 'answered', answer: { question: 'foam', foam, place } }],
      last.at.getTime(),
    )
  const lostNow = lost('now')
  const isKept = lostNow === 0 || lostNow <= lost('afterRinse')
  return { question: 'foam', foam, place: isKept ? 'now' : 'afterRinse' }
}
