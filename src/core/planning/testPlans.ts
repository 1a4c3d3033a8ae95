import type { Job } from '@/core/job/job'
import type { Plan } from '@/core/plan/plan'
import { makePlan } from './makePlan'

const made = new Map<string, Plan>()

/** As text; a map has none of its own. */
const textOf = (job: Job): string =>
  JSON.stringify(job, (_, value: unknown) => (value instanceof Map ? [...value] : value))

/**
 * The plan of a job that several properties look at. Every property is given the same situations by the same seed, and making a plan
 * takes far longer than looking at it: it is made once.
 */
export function planOnce(job: Job): Plan {
  const text = textOf(job)
  const plan = made.get(text) ?? makePlan(job)
  made.set(text, plan)
  return plan
}
