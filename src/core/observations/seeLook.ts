import { message, sentences, type Message } from '@/core/message/message'
import { term } from '@/core/message/term'
import type { Plan, Stage, Step } from '@/core/plan/plan'
import type { Stayed } from '@/core/run/answer'
import { isFinishing, isOnRubber, type StageKind } from '@/core/acts/stageKind'
import { nextRung, type Escalation } from './escalation'
import { addedSteps, furtherLook, insertAfter, spotSteps, withSight, withStage } from './seenPlan'
import type { Sighting } from './sighting'
import { escalationStage } from './stageAgain'

/** What drips first, then the trade's order on the wheel. */
const inOrder: readonly StageKind[] = ['arch', 'tyre', 'wash', 'waterless', 'iron', 'mineral', 'tar']

export const stayedText = ({ zone, soil }: Stayed): Message =>
  message('observations.look.stayed', { soil: term('soil', soil), zone: term('zone', zone) })

/** Stages that were at a zone of a wheel before a step. */
function triedAt(plan: Plan, step: Step, zone: Stayed['zone']): Stage[] {
  const at = plan.steps.findIndex(({ id }) => id === step.id)
  const here = plan.steps.slice(0, at).filter(({ corner }) => corner === step.corner)
  return plan.stages.filter(
    ({ id, kind, zones }) =>
      !isFinishing(kind) && zones.includes(zone) && here.some(({ stageId }) => stageId === id),
  )
}

const sameUse = (a: Escalation, b: Escalation): boolean =>
  a.kind === b.kind && a.product.id === b.product.id && a.fraction === b.fraction

/** Spots that want the same are one stage. */
function joined(escalations: readonly Escalation[]): Escalation[] {
  return escalations
    .reduce<Escalation[]>((all, escalation) => {
      const at = all.findIndex((one) => sameUse(one, escalation))
      const known = all[at]
      if (!known) return [...all, escalation]
      const zones = [...new Set([...known.zones, ...escalation.zones])]
      const tools = [
        ...known.tools,
        ...escalation.tools.filter(({ tool }) => !known.tools.some((one) => one.tool === tool)),
      ]
      return all.with(at, { ...known, zones, tools, why: sentences(known.why, escalation.why) })
    }, [])
    .sort((a, b) => inOrder.indexOf(a.kind) - inOrder.indexOf(b.kind))
}

/** What stayed gets the next escalation at once, and another look after it. */
export function seeLook({ job, plan, step, corner, answer }: Sighting<'look'>): Plan {
  const { stayed } = answer
  if (stayed.length === 0) return withSight(plan, step.id, message('observations.look.clean'))
  const found = stayed.map((one) => ({
    one,
    escalation: nextRung(job, { corner, ...one, tried: triedAt(plan, step, one.zone) }),
  }))
  const escalations = joined(found.flatMap(({ escalation }) => (escalation ? [escalation] : [])))
  const kept = found.filter(({ escalation }) => escalation === null).map(({ one }) => stayedText(one))
  const said = sentences(
    ...escalations.map(({ why }) => why),
    kept.length > 0 && message('observations.look.noneStronger', { places: kept }),
  )
  if (escalations.length === 0) return withSight(plan, step.id, said)
  const looks = plan.steps.filter((one) => one.corner === step.corner && one.asks === 'look').length
  const booked = escalations.map((escalation, at) =>
    escalationStage(job, escalation, corner, `${escalation.kind}-${step.corner}-look${looks}-${at + 1}`),
  )
  const withAll = booked.reduce((all, stage) => withStage(all, job, stage), plan)
  const steps = booked.flatMap((stage) =>
    (isOnRubber(stage.kind) ? addedSteps : spotSteps)(withAll, job, stage, corner, stage.why),
  )
  const look = furtherLook(job, corner.position, looks + 1, step)
  return withSight(insertAfter(withAll, step.id, [...steps, look]), step.id, said)
}
