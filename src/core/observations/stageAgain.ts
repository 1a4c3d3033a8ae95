import type { Said } from '@/core/message/message'
import { millilitresAtCorner } from '@/core/operator-time/amounts'
import { stageSeconds } from '@/core/operator-time/operatorTime'
import type { Corner, Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import { workableRecipe } from '@/core/stages/recipes'
import { stageOf } from '@/core/stages/stageDraft'
import type { Escalation } from './escalation'

const priced = (stage: Stage, job: Job): Stage => {
  const product = job.cabinet.find(({ id }) => id === stage.productId)
  return product
    ? {
        ...stage,
        costMinor: Math.round(
          (stage.recipe.concentrateMillilitres * product.packPriceMinor) / product.packMillilitres,
        ),
      }
    : stage
}

/** One more round of a stage at one wheel. */
export function stageAgain(job: Job, stage: Stage, corner: Corner, id: string, why: Said): Stage {
  const product = job.cabinet.find((one) => one.id === stage.productId)
  const { from: fraction } = stage.strength
  const needed = product
    ? millilitresAtCorner(product, corner, stage.zones, job.estimates)
    : stage.recipe.totalMillilitres / Math.max(1, stage.corners.length * stage.rounds)
  return priced(
    {
      ...stage,
      id,
      corners: [corner.position],
      rounds: 1,
      recipe: workableRecipe(fraction, needed, job.equipment.smallestMeasureMillilitres),
      operatorSeconds: stageSeconds(stage.kind, 1, { ...corner, zones: stage.zones }, job, stage.family),
      why,
    },
    job,
  )
}

/** An escalation of the ladder as a stage at one wheel. */
export const escalationStage = (job: Job, escalation: Escalation, corner: Corner, id: string): Stage =>
  priced({ ...stageOf({ ...escalation, corners: [corner] }, 0, job), id }, job)
