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

const millilitres = (amount: number): string => `${Math.ceil(amount)} ml`

/** Bottles that are too empty and have no substitute. */
export const sayShort = (plan: Plan): Shortfall[] =>
  shortOf(plan).map(({ productId, productName, concentrateMillilitres, stockMillilitres }) => ({
    corners: plan.stages.filter((stage) => stage.productId === productId).flatMap(({ corners }) => corners),
    text:
      stockMillilitres === 0
        ? `${productName} is empty: this plan takes ${millilitres(concentrateMillilitres)}.`
        : `${productName} runs out: ${millilitres(stockMillilitres)} are left, this plan takes ${millilitres(concentrateMillilitres)}.`,
    mend: 'Nothing else in the cabinet does as well; get more before the start.',
  }))

/** Bottles that were too empty and were replaced. */
export const sayReplaced = (wanted: Plan, made: Plan): Shortfall[] =>
  shortOf(wanted)
    .filter(({ productId }) => !made.stages.some((stage) => stage.productId === productId))
    .map(({ productName, stockMillilitres, productId }) => ({
      corners: wanted.stages
        .filter((stage) => stage.productId === productId)
        .flatMap(({ corners }) => corners),
      text: `${productName} ${stockMillilitres === 0 ? 'is empty' : `is down to ${millilitres(stockMillilitres)}`}: another product is taken.`,
      mend: 'Get more, and plan again if you want it.',
    }))
