import { message, sentences, type Said } from '@/core/message/message'
import { term } from '@/core/message/term'
import { dryingSeconds } from '@/core/operator-time/operatorTime'
import { showsEveryTouch } from '@/core/finishes/finish'
import type { Corner, Job } from '@/core/job/job'
import type { Stage, Step } from '@/core/plan/plan'
import { wheelStepId } from '@/core/plan/stepId'
import { canDry, hasCloth } from '@/core/reachability/means'
import { isHere } from '@/core/reachability/zoneReach'
import { services } from '@/core/visit-kinds/service'
import { jobStep } from './jobSteps'
import { stageSteps, type StepContext } from './stageSteps'
import { contactZones, toolsFor } from './stepTools'
import { isPutOnWet } from './wheelSteps'

/** Left wet until the whole car is washed, unless something goes on dry; in the rain, and with nothing to dry with, nothing gets dry. */
function staysWet(corner: Corner, dryWork: readonly Stage[], { job }: StepContext): boolean {
  if (!services[job.service].water || job.conditions.raining || !canDry(job)) return true
  // Nobody gets at the inner one of two wheels.
  if (!isHere('face', corner, job)) return true
  return job.methods.drying === 'leaveWet' && dryWork.length === 0
}

/** A towel drawn over a face that shows every touch leaves lines. */
const handlingWords = ({ finishes: { face } }: Corner, job: Job): Said =>
  face && showsEveryTouch(face.finish) && hasCloth(job) ? message('steps.dry.layTowel') : ''

const dryStep = (corner: Corner, dryWork: readonly Stage[], context: StepContext): Step => ({
  ...jobStep(context.job, 'dry', {
    title: message('steps.dry.title', { where: term('wheel', corner.position) }),
    detail: sentences(
      isHere('spokeBacks', corner, context.job) ? message('steps.dry.detail') : message('steps.dry.closed'),
      handlingWords(corner, context.job),
      message('steps.dry.wipeLate'),
    ),
    why: dryWork.some(({ kind }) => kind === 'protect')
      ? message('steps.dry.beforeSealant')
      : message('steps.dry.spots'),
  }),
  id: wheelStepId(corner.position, 'dry'),
  corner: corner.position,
  zones: contactZones.filter((zone) => isHere(zone, corner, context.job)),
  tools: toolsFor('dry', [], null, context.job),
  operatorSeconds: dryingSeconds(corner, context.job),
})

/** What is done on the dry wheel, when nothing wet comes any more: drying, polish, protection, dressing. */
export function finishSteps(corner: Corner, context: StepContext): Step[] {
  const here = context.stages.filter((stage) => stage.corners.includes(corner.position))
  const dryWork = here.filter(
    (stage) =>
      stage.kind === 'polish' || stage.kind === 'dress' || (stage.kind === 'protect' && !isPutOnWet(stage)),
  )
  return [
    ...(staysWet(corner, dryWork, context) ? [] : [dryStep(corner, dryWork, context)]),
    ...dryWork.flatMap((stage) => stageSteps(stage, corner, context)),
  ]
}
