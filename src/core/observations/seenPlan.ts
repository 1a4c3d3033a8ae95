import { message, type Said } from '@/core/message/message'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Corner, Job } from '@/core/job/job'
import { takesOff, type Plan, type SequenceEntry, type Stage, type Step } from '@/core/plan/plan'
import { timingsOf } from '@/core/planning/stageTimings'
import { stageSteps } from '@/core/steps/stageSteps'
import { jobStep } from '@/core/steps/jobSteps'
import { wheelStepId } from '@/core/plan/stepId'
import type { Position } from '@/core/wheel/position'
import type { Act } from '@/core/acts/act'

/** A stage with a price and amount, put into the plan's books. */
export function withStage(plan: Plan, job: Job, stage: Stage): Plan {
  const product = job.cabinet.find(({ id }) => id === stage.productId)
  const known = plan.amounts.some(({ productId }) => productId === stage.productId)
  return {
    ...plan,
    stages: [...plan.stages, stage],
    timings: [...plan.timings, ...timingsOf(job, [stage])],
    amounts:
      known || !product
        ? plan.amounts
        : [
            ...plan.amounts,
            {
              productId: product.id,
              productName: product.name,
              concentrateMillilitres: 0,
              stockMillilitres: product.stockMillilitres,
              shortMillilitres: 0,
              costMinor: 0,
            },
          ],
  }
}

/** Acts that a spot takes less of than a wheel. */
const smaller: readonly Act[] = ['spray', 'agitate', 'wipe', 'dry']

/** A stage on a spot: worked in one go, in a part of the time, and seen at the look that follows. */
export function spotSteps(plan: Plan, job: Job, stage: Stage, corner: Corner, because: Said): Step[] {
  const whole = {
    ...plan,
    timings: plan.timings.map((one) => (one.stageId === stage.id ? { ...one, sections: 1, mists: 0 } : one)),
  }
  const share = estimate('spotShare', job.estimates)
  return addedSteps(whole, job, stage, corner, because).map(({ asks: _, ...step }) => ({
    ...step,
    operatorSeconds: smaller.includes(step.act)
      ? Math.max(5, Math.round(step.operatorSeconds * share))
      : step.operatorSeconds,
  }))
}

/** The steps of a stage at one wheel, with what brought them into the plan. */
export function addedSteps(plan: Plan, job: Job, stage: Stage, corner: Corner, because: Said): Step[] {
  let mists = 0
  const nextMist = (): number => (mists += 1)
  const { stages, timings } = plan
  return stageSteps(stage, corner, { job, stages, timings, nextMist }).map((step) => ({
    ...step,
    addedBecause: because,
  }))
}

/** Puts steps in behind another of the same wheel, for the same hands. */
export function insertAfter(plan: Plan, anchorId: string, added: readonly Step[]): Plan {
  const at = plan.steps.findIndex(({ id }) => id === anchorId)
  return {
    ...plan,
    steps: [...plan.steps.slice(0, at + 1), ...added, ...plan.steps.slice(at + 1)],
    sequence: plan.sequence && {
      ...plan.sequence,
      entries: plan.sequence.entries.flatMap((entry) =>
        entry.stepId === anchorId ? [entry, ...entriesAfter(entry, added)] : [entry],
      ),
    },
  }
}

/** Added steps as the planned order would have them; their true times come with the order from here. */
const entriesAfter = ({ person, endSeconds }: SequenceEntry, added: readonly Step[]): SequenceEntry[] =>
  added.map(({ id }) => ({ stepId: id, person, startSeconds: endSeconds, endSeconds }))

/** The plan without some steps; those that are settled stay. */
export function leftOut(plan: Plan, stepIds: readonly string[], settled: ReadonlySet<string>): Plan {
  const gone = new Set(stepIds.filter((id) => !settled.has(id)))
  return gone.size === 0
    ? plan
    : {
        ...plan,
        steps: plan.steps.filter(({ id }) => !gone.has(id)),
        sequence: plan.sequence && {
          ...plan.sequence,
          entries: plan.sequence.entries.filter(({ stepId }) => !gone.has(stepId)),
        },
      }
}

/** The plan with a word on what was seen at a step. */
export const withSight = (plan: Plan, stepId: string, sight: Said): Plan => ({
  ...plan,
  steps: plan.steps.map((step) => (step.id === stepId ? { ...step, sight } : step)),
})

/** Steps of a wheel after one of its steps, in the order of the plan. */
export const laterAt = (plan: Plan, stepId: string): Step[] => {
  const at = plan.steps.findIndex(({ id }) => id === stepId)
  const corner = plan.steps[at]?.corner
  return plan.steps.slice(at + 1).filter((step) => step.corner === corner)
}

/** The step that takes a stage off its wheel. */
export const rinseOf = (plan: Plan, stepId: string, stageId: string): Step | undefined =>
  laterAt(plan, stepId).find((step) => takesOff(step, stageId))

/** A further look at a wheel: the second, the third, … */
export const furtherLook = (job: Job, corner: Position, number: number, like: Step): Step => ({
  ...jobStep(job, 'lookAgain', like),
  id: wheelStepId(corner, `lookAgain${number}`),
  corner,
  operatorSeconds: like.operatorSeconds,
  asks: 'look',
  addedBecause: message('observations.look.before'),
})
