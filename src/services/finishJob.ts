import { familyOf } from '@/core/chemistry/families'
import { fail, succeed, type Result } from '@/core/result'
import { runState } from '@/core/run/runState'
import type { FinishInput } from '@/contracts/intake'
import type { Database } from '@/data/database'
import { takeFromStock } from '@/data/queries/cabinet'
import { findJob, listRunEvents, markFinished } from '@/data/queries/jobs'
import { addLayer, endStripped } from '@/data/queries/protection'
import { addVisit } from '@/data/queries/visits'

/**
 * Ends a job: writes the visit, takes what was used off the stock, ends stripped protection and starts what was put on.
 * All of it or nothing. Only stages of which a step was really done count.
 */
export function finishJob(
  database: Database,
  jobId: string,
  input: FinishInput,
  now: Date,
): Promise<Result<{ visitId: string }>> {
  return database.transaction(async (transaction) => {
    const job = await findJob(transaction, jobId)
    if (!job) return fail({ path: 'jobId', found: jobId, mend: 'This job is gone.' })
    const state = runState(job.plan, await listRunEvents(transaction, jobId))
    if (state.clocks.length > 0) {
      const names = state.clocks.map(({ productName, corner }) => `${productName} at ${corner}`).join(', ')
      return fail({ path: 'clocks', found: names, mend: 'Chemistry is still on a wheel. Rinse it first.' })
    }
    if (!(await markFinished(transaction, jobId, now))) {
      return fail({ path: 'jobId', found: jobId, mend: 'This job is already in the log.' })
    }
    const doneSteps = job.plan.steps.filter((step) => state.settled.get(step.id)?.as === 'done')
    const doneStages = job.plan.stages.filter((stage) => doneSteps.some((step) => step.stageId === stage.id))
    const products = job.plan.amounts.flatMap((amount) => {
      const stages = doneStages.filter((stage) => stage.productId === amount.productId)
      if (stages.length === 0) return []
      return [
        {
          id: amount.productId,
          name: amount.productName,
          concentrateMillilitres: stages.reduce((sum, { recipe }) => sum + recipe.concentrateMillilitres, 0),
          costMinor: stages.reduce((sum, stage) => sum + stage.costMinor, 0),
        },
      ]
    })
    const visitId = await addVisit(transaction, {
      wheelSetId: job.wheelSetId,
      jobId,
      finishedAt: now,
      headline: job.plan.headline,
      result: input.result,
      note: input.note,
      operatorSeconds: doneSteps.reduce((sum, step) => sum + step.operatorSeconds, 0),
      costMinor: products.reduce((sum, { costMinor }) => sum + costMinor, 0),
      currency: job.plan.currency,
      products,
    })
    for (const { id, concentrateMillilitres } of products)
      await takeFromStock(transaction, id, concentrateMillilitres)
    for (const stage of doneStages) {
      const family = familyOf(stage.family)
      // What the product itself does goes before what its family does.
      const own = job.jobFile.cabinet?.find(({ id }) => id === stage.productId)?.wear
      if (
        family.purpose !== 'clean' ||
        (own ?? family.wear) !== 'strips' ||
        stage.kind === 'tyre' ||
        stage.kind === 'arch'
      )
        continue
      const corners = stage.corners.filter((corner) =>
        doneSteps.some((step) => step.stageId === stage.id && step.corner === corner),
      )
      await endStripped(transaction, job.wheelSetId, corners, now)
    }
    for (const { corner, kind, productId } of job.plan.protections) {
      const stage = doneStages.find((candidate) => candidate.productId === productId)
      const applied = stage && doneSteps.some((step) => step.stageId === stage.id && step.corner === corner)
      if (!applied) continue
      await addLayer(
        transaction,
        job.wheelSetId,
        { position: corner, kind, appliedAt: now, productName: stage.productName },
        visitId,
      )
    }
    return succeed({ visitId })
  })
}
