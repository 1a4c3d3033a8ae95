import { dryingSeconds } from '@/core/effort/operatorTime'
import type { Corner } from '@/core/job/job'
import type { Stage, Step } from '@/core/plan/plan'
import { wheelStepId } from '@/core/plan/stepId'
import { canDry } from '@/core/reach/means'
import { isHere } from '@/core/reach/zoneReach'
import { services } from '@/core/visit-kinds/service'
import { positionNames } from '@/core/wheel/position'
import { jobStep } from './jobSteps'
import { stageSteps, type StepContext } from './stageSteps'
import { contactZones, toolsFor } from './stepTools'
import { isPutOnWet } from './wheelSteps'

/** Left wet until the whole car is washed, unless something goes on dry; in the rain, and with nothing to dry with, nothing gets dry. */
function staysWet(corner: Corner, dryWork: readonly Stage[], { job }: StepContext): boolean {
  if (!services[job.service].water || job.conditions.raining || !canDry(job)) return true
  return job.schools.drying === 'leaveWet' && dryWork.length === 0
}

const dryStep = (corner: Corner, { job }: StepContext): Step => ({
  ...jobStep(
    job,
    'dry',
    `Dry ${positionNames[corner.position].toLowerCase()}`,
    'Lug holes, behind the spokes and the valve first. What shows only now is wiped at once.',
    'Moisture under a sealant spoils it.',
  ),
  id: wheelStepId(corner.position, 'dry'),
  corner: corner.position,
  zones: contactZones.filter((zone) => isHere(zone, corner, job)),
  tools: toolsFor('dry', [], null, job),
  operatorSeconds: dryingSeconds(corner, job),
})

/** What is done on the dry wheel, when nothing wet comes any more: drying, polish, protection, dressing. */
export function finishSteps(corner: Corner, context: StepContext): Step[] {
  const here = context.stages.filter((stage) => stage.corners.includes(corner.position))
  const dryWork = here.filter(
    (stage) =>
      stage.kind === 'polish' || stage.kind === 'dress' || (stage.kind === 'protect' && !isPutOnWet(stage)),
  )
  return [
    ...(staysWet(corner, dryWork, context) ? [] : [dryStep(corner, context)]),
    ...dryWork.flatMap((stage) => stageSteps(stage, corner, context)),
  ]
}
