import { withTexts } from '@/contracts/saidText'
import { message } from '@/core/message/message'
import { shopSay } from '@/i18n/shopSay'
import { randomUUID } from 'node:crypto'
import { fail, succeed, type Result } from '@/core/result'
import { replay } from '@/core/run/runState'
import { correctedUse } from '@/core/observations/correctedUse'
import { jobOutcome, type JobOutcome } from '@/core/observations/jobOutcome'
import { learntFactor } from '@/core/soils/expectedLoad'
import type { FinishInput } from '@/contracts/intake'
import { jobOf } from '@/contracts/jobFile'
import type { Database, Queryable } from '@/data/database'
import { findJob, markFinished } from '@/data/queries/jobs'
import { listRunEvents } from '@/data/queries/runEvents'
import { addLook } from '@/data/queries/looks'
import { addLayer, endStripped } from '@/data/queries/protection'
import { emptyOpenPack, moveStock } from '@/data/queries/stock'
import { rememberTestSpots } from '@/data/queries/testSpots'
import { addVisit } from '@/data/queries/visits'
import { findWheelSet } from '@/data/queries/wheelSets'
import { learnBrowningFactor } from '@/data/queries/vehicles'
import { seenAt } from './seenAt'

/** Keeps what the work taught about a wheel set and its vehicle. */
async function learnFrom(
  transaction: Queryable,
  wheelSetId: string,
  { testSpots, tyreRounds }: JobOutcome,
  now: Date,
): Promise<void> {
  await rememberTestSpots(
    transaction,
    wheelSetId,
    testSpots.map((spot) => ({ ...spot, triedAt: now })),
  )
  const set = tyreRounds && (await findWheelSet(transaction, wheelSetId))
  if (set)
    await learnBrowningFactor(
      transaction,
      set.vehicleId,
      learntFactor(set.browningFactor, tyreRounds.planned, tyreRounds.needed),
    )
}

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
    const stored = await findJob(transaction, jobId)
    if (!stored) return fail({ path: 'jobId', found: jobId, fix: message('problems.job.deleted') })
    const job = jobOf(stored.jobFile)
    if (!job.ok) return job
    const state = replay(seenAt(stored), await listRunEvents(transaction, jobId))
    if (state.clocks.length > 0) {
      const names = state.clocks.map(({ productName, corner }) => `${productName} at ${corner}`).join(', ')
      return fail({
        path: 'clocks',
        found: names,
        fix: message('problems.job.stillWet'),
      })
    }
    if (!(await markFinished(transaction, jobId, now))) {
      return fail({ path: 'jobId', found: jobId, fix: message('problems.job.inLog') })
    }
    const { wheelSetId } = stored
    const told = input.used ?? []
    const outcome = jobOutcome(job.value, state)
    const products = correctedUse(outcome.used, told)
    const visitId = await addVisit(transaction, {
      wheelSetId,
      jobId,
      finishedAt: now,
      headline: withTexts(stored.plan.headline, shopSay()),
      result: input.result,
      note: input.note,
      operatorSeconds: outcome.operatorSeconds,
      clockSeconds: outcome.clockSeconds,
      service: job.value.service,
      wash: outcome.wash,
      leftovers: input.leftovers ?? outcome.leftovers,
      costMinor: products.reduce((sum, { costMinor }) => sum + costMinor, 0),
      currency: stored.plan.currency,
      products,
    })
    for (const { id, concentrateMillilitres } of products)
      await moveStock(transaction, id, 'used', -concentrateMillilitres, now, { visitId })
    for (const { productId, isEmptied } of told)
      if (isEmptied)
        await emptyOpenPack(transaction, productId, now, { visitId, note: 'The pack was emptied' })
    for (const { position, at, grade } of outcome.beadings)
      await addLook(transaction, wheelSetId, {
        id: randomUUID(),
        positions: [position],
        at,
        beading: grade,
        release: null,
        slickness: null,
        glossUnits: null,
        afterReviving: outcome.wash.reviving,
      })
    if (outcome.stripped.length > 0) await endStripped(transaction, wheelSetId, outcome.stripped, now)
    for (const { corner, kind, productName } of outcome.applied)
      await addLayer(
        transaction,
        wheelSetId,
        { position: corner, kind, appliedAt: now, productName },
        visitId,
      )
    await learnFrom(transaction, wheelSetId, outcome, now)
    return succeed({ visitId })
  })
}
