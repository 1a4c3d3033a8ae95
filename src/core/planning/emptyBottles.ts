import { message } from '@/core/message/message'
import type { Job } from '@/core/job/job'
import type { Plan, ProductAmount, Shortfall } from '@/core/plan/plan'

/** What is left in no bottle is not planned with, unless the person insists. */
export const withoutBottles = (job: Job, ids: ReadonlySet<string>): Job => ({
  ...job,
  cabinet: job.cabinet.filter(({ id }) => !ids.has(id) || job.wishes.pinned.includes(id)),
})

/** Products of which a plan takes more than there is. */
export const shortOf = ({ amounts }: Plan): ProductAmount[] =>
  amounts.filter(({ shortMillilitres }) => shortMillilitres > 0)

const millilitres = (amount: number) => ({ millilitres: Math.ceil(amount) })

/** Bottles that are too empty and have no substitute. */
export const sayShort = (plan: Plan): Shortfall[] =>
  shortOf(plan).map(({ productId, productName, concentrateMillilitres, stockMillilitres }) => ({
    corners: plan.stages.filter((stage) => stage.productId === productId).flatMap(({ corners }) => corners),
    text:
      stockMillilitres === 0
        ? message('reasons.stock.empty', {
            product: productName,
            needed: millilitres(concentrateMillilitres),
          })
        : message('reasons.stock.runsOut', {
            product: productName,
            left: millilitres(stockMillilitres),
            needed: millilitres(concentrateMillilitres),
          }),
    fix: message('reasons.stock.getMore'),
  }))

/** Bottles that were too empty and were replaced. */
export const sayReplaced = (wanted: Plan, made: Plan): Shortfall[] =>
  shortOf(wanted)
    .filter(({ productId }) => !made.stages.some((stage) => stage.productId === productId))
    .map(({ productName, stockMillilitres, productId }) => ({
      corners: wanted.stages
        .filter((stage) => stage.productId === productId)
        .flatMap(({ corners }) => corners),
      text:
        stockMillilitres === 0
          ? message('reasons.stock.emptyReplaced', { product: productName })
          : message('reasons.stock.lowReplaced', {
              product: productName,
              left: millilitres(stockMillilitres),
            }),
      fix: message('reasons.stock.planAgain'),
    }))
