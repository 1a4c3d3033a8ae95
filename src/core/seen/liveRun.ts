import type { Job } from '@/core/job/job'
import type { Plan } from '@/core/plan/plan'
import type { RunEvent } from '@/core/run/runEvent'
import { replay, type RunState } from '@/core/run/runState'
import { planAsSeen } from './planAsSeen'

/** The state of a run with all that was seen at it: the same in the browser and on the server. */
export const liveRun = (job: Job, plan: Plan, events: readonly RunEvent[], person?: number): RunState =>
  replay(planAsSeen(job, plan), events, person)
