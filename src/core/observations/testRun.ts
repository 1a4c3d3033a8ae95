import { questionOf } from '@/core/cards/cardsOf'
import type { Job } from '@/core/job/job'
import { stepsLeft } from '@/core/rescheduling/stepsLeft'
import type { Plan, Step } from '@/core/plan/plan'
import type { Answer } from '@/core/run/answer'
import type { RunEvent } from '@/core/run/runEvent'
import { replay, type RunState } from '@/core/run/runState'
import { planAsSeen } from './planAsSeen'

export const start = new Date('2026-05-04T08:00:00Z')

export interface Worked {
  readonly events: readonly RunEvent[]
  readonly state: RunState
}

/**
 * Works a plan to its end as its list says, answering what is asked.
 * @param say the answer at a step; null: it is only done
 */
export function workedThrough(
  job: Job,
  plan: Plan,
  say: (step: Step, state: RunState) => Answer | null,
  most = 600,
): Worked {
  const seen = planAsSeen(job, plan)
  const events: RunEvent[] = []
  let at = start.getTime()
  for (let count = 0; count < most; count += 1) {
    const state = replay(seen, events)
    const [step] = stepsLeft(state.plan, state, null, null)
    if (!step) break
    const wait = state.clocks.find(
      ({ corner, stageId }) => corner === step.corner && stageId === step.stageId && !step.startsDwell,
    )
    const ready = wait ? wait.startedAt.getTime() + wait.minSeconds * 1000 : at
    at = Math.max(at, ready) + step.operatorSeconds * 1000
    const answer = questionOf(step) ? say(step, state) : null
    events.push({
      stepId: step.id,
      at: new Date(at),
      ...(answer ? { kind: 'answered', answer } : { kind: 'done' }),
    })
  }
  return { events, state: replay(seen, events) }
}

/** What was seen where everything is well. */
export const allWell = (step: Step): Answer | null => {
  const question = questionOf(step)
  switch (question) {
    case 'foam':
      return { question, foam: 'white' }
    case 'iron':
      return { question, iron: 'done' }
    case 'look':
      return { question, stayed: [] }
    case 'testSpot':
      return { question, spot: 'fine' }
    case null:
      return null
    default:
      return question satisfies never
  }
}
