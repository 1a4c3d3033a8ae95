import { secondsOfAct, type WorkedWheel } from '@/core/operator-time/operatorTime'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import type { Act } from '@/core/acts/act'

/** Hand time of an act of a stage, seconds; what is sprayed as one comes to it is part of the brushing. */
export const secondsWorked = (
  act: Act,
  { kind, family, zones }: Pick<Stage, 'kind' | 'family' | 'zones'>,
  at: WorkedWheel,
  timing: Pick<StageTiming, 'isStaggered'> | undefined,
  job: Job,
): number =>
  secondsOfAct(act, kind, { ...at, zones }, job, family) +
  (act === 'agitate' && timing?.isStaggered ? estimate('secondsSpray', job.estimates) : 0)
