import { message } from '@/core/message/message'
import type { Plan } from '@/core/plan/plan'
import { addedSteps, insertAfter, laterAt, leftOut, withSight, withStage } from './seenPlan'
import type { Sighting } from './sighting'
import { stageAgain } from './stageAgain'

/** What still bleeds after this many applications sits too deep for them. */
const maxApplications = 3

/** Where it still bleeds, once more; where it is done, no second application. */
export function seeIron({ job, plan, step, corner, answer, settled }: Sighting<'iron'>): Plan {
  const isIron = (stageId: string | null): boolean =>
    plan.stages.some(({ id, kind }) => id === stageId && kind === 'iron')
  const planned = laterAt(plan, step.id).filter(({ stageId, id }) => isIron(stageId) && !settled.has(id))
  if (answer.iron === 'done') {
    const without = leftOut(
      plan,
      planned.map(({ id }) => id),
      settled,
    )
    return withSight(
      without,
      step.id,
      message(planned.length > 0 ? 'observations.iron.doneNoMore' : 'observations.iron.done'),
    )
  }
  if (planned.length > 0) return withSight(plan, step.id, message('observations.iron.next'))
  const applications = plan.steps.filter((one) => one.corner === step.corner && one.asks === 'iron').length
  const off = [step.stageId, ...(step.alsoStops ?? [])]
  const stage = plan.stages.find(({ id, kind }) => kind === 'iron' && off.includes(id))
  if (!stage || applications >= maxApplications)
    return withSight(plan, step.id, message('observations.iron.deep'))
  const because = message('observations.iron.again')
  const again = stageAgain(job, stage, corner, `iron-${step.corner}-again${applications}`, because)
  const booked = withStage(plan, job, again)
  return withSight(
    insertAfter(booked, step.id, addedSteps(booked, job, again, corner, because)),
    step.id,
    because,
  )
}
