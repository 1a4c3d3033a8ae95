import type { Corner, Job } from '@/core/job/job'
import { isFinishing } from '@/core/acts/stageKind'
import type { StageTiming } from '@/core/plan/stageTiming'
import type { Stage, Step } from '@/core/plan/plan'
import { services } from '@/core/visit-kinds/service'
import { isInner, type Position } from '@/core/wheel/position'
import { finishSteps } from './finishSteps'
import { bodySteps, closingSteps, openingSteps } from './jobSteps'
import type { StepContext } from './stageSteps'
import { inSunOrder } from './sunOrder'
import { wheelSteps } from './wheelSteps'

/**
 * The steps of a visit in the plain order: every wheel finished before the next, so that nothing can dry while another is
 * worked, then drying, protection and dressing all round. Empty where nothing is to be put on.
 */
export function orderSteps(
  job: Job,
  stages: readonly Stage[],
  timings: readonly StageTiming[],
  startsDry: readonly Position[] = [],
): Step[] {
  if (stages.length === 0) return []
  let mists = 0
  const context: StepContext = { job, stages, timings, nextMist: () => (mists += 1) }
  const corners = inSunOrder(job.corners, job.conditions)
  const worked = corners.filter((corner) => stages.some((stage) => stage.corners.includes(corner.position)))
  const cleaned = (corner: Corner): boolean =>
    stages.some((stage) => !isFinishing(stage.kind) && stage.corners.includes(corner.position))
  // Behind another wheel the water still gets to, where no tool does.
  const isRinsedOnly = ({ position }: Corner): boolean => isInner(position) && services[job.service].water
  return [
    ...openingSteps(job, stages),
    ...corners
      .filter((corner) => cleaned(corner) || isRinsedOnly(corner))
      .flatMap((corner) => wheelSteps(corner, context, startsDry.includes(corner.position))),
    ...bodySteps(job),
    ...worked.flatMap((corner) => finishSteps(corner, context)),
    ...closingSteps(job, stages),
  ]
}
