import type { GroupChoice } from '@/core/choice/chooseForGroup'
import type { WholeChoice } from '@/core/choice/namedPlans'
import { positionsOf } from '@/core/choice/wheelGroup'
import type { Corner, Job } from '@/core/job/job'
import type { Step } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import type { RubberCandidates } from '@/core/stages/rubberCandidates'
import { buildStages, type StagedJob } from '@/core/stages/buildStages'
import { orderSteps } from '@/core/steps/orderSteps'
import { cleansWheel } from '@/core/acts/stageKind'
import { timingsOf } from './stageTimings'

/** One of the plans, built out. */
export interface Version extends StagedJob {
  readonly whole: WholeChoice
  readonly steps: Step[]
  readonly timings: readonly StageTiming[]
  readonly operatorSeconds: number
  readonly costMinor: number
}

/** Builds a choice out into stages, times and steps. */
export function versionOf(
  job: Job,
  choices: readonly GroupChoice[],
  whole: WholeChoice,
  rubber: RubberCandidates,
): Version {
  const staged = buildStages(job, choices, whole, rubber)
  // Suds go on a rinsed wheel, whatever the shop prefers for what is sprayed.
  const sprayed = ({ position }: Corner): boolean =>
    staged.stages.find(({ kind, corners }) => cleansWheel(kind) && corners.includes(position))?.delivery !==
    'bucket'
  const dry = choices
    .filter(({ startsDry }) => startsDry)
    .flatMap(({ group }) => positionsOf({ corners: group.corners.filter(sprayed) }))
  const timings = timingsOf(job, staged.stages)
  const steps = orderSteps(job, staged.stages, timings, dry)
  return {
    ...staged,
    whole,
    steps,
    timings,
    operatorSeconds: steps.reduce((sum, step) => sum + step.operatorSeconds, 0),
    costMinor: staged.stages.reduce((sum, stage) => sum + stage.costMinor, 0),
  }
}

/** What a job takes whatever its wheels get: arches, tyres, drying, protection; hand seconds and minor units. */
export function fixedCosts(
  job: Job,
  choices: readonly GroupChoice[],
  rubber: RubberCandidates,
): { seconds: number; minor: number } {
  const perGroup = choices.map(({ plans }) => plans[0] ?? { stages: [], cost: [0, 0, 0, 0] as const })
  const sum = (at: 0 | 1): number => perGroup.reduce((all, { cost }) => all + cost[at], 0)
  const version = versionOf(job, choices, { perGroup, cost: [sum(0), sum(1), 0, 0] }, rubber)
  return { seconds: version.operatorSeconds - sum(0), minor: version.costMinor - sum(1) }
}
