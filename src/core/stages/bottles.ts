import type { Job } from '@/core/job/job'
import type { Fill, ProductAmount, Stage } from '@/core/plan/plan'
import { costMinor } from '@/core/quantity/money'
import { workableRecipe } from './recipes'

/** Stages that are worked from the same bottle or bucket. */
function sharedFills(stages: readonly Stage[]): Stage[][] {
  const fills = new Map<string, Stage[]>()
  for (const stage of stages) {
    const key = `${stage.productId} ${stage.delivery} ${stage.strength.from}`
    fills.set(key, [...(fills.get(key) ?? []), stage])
  }
  return [...fills.values()]
}

/** Bottles and buckets to make ready: the same mix in the same kind of container is filled once. */
export const fillsOf = (job: Job, stages: readonly Stage[]): Fill[] =>
  sharedFills(stages).map((same) => {
    const [first] = same as [Stage, ...Stage[]]
    const total = same.reduce((sum, { recipe }) => sum + recipe.totalMillilitres, 0)
    return {
      container: first.delivery,
      productName: first.productName,
      recipe:
        first.delivery === 'bucket'
          ? first.recipe
          : workableRecipe(first.strength.from, total, job.equipment.smallestMeasureMillilitres),
      stageIds: same.map(({ id }) => id),
    }
  })

/** What each stage costs: what is filled once is paid once, shared out by what each stage takes of it. */
export function withCosts(job: Job, stages: readonly Stage[], fills: readonly Fill[]): Stage[] {
  const costs = new Map<string, number>()
  for (const { stageIds, recipe } of fills) {
    const sharing = stages.filter(({ id }) => stageIds.includes(id))
    const product = job.cabinet.find(({ id }) => id === sharing[0]?.productId)
    if (!product) continue
    let left = costMinor(recipe.concentrateMillilitres, product.packMillilitres, product.packPriceMinor)
    let weights = sharing.reduce((sum, stage) => sum + stage.recipe.totalMillilitres, 0)
    for (const stage of sharing) {
      const share = Math.round((left * stage.recipe.totalMillilitres) / weights)
      costs.set(stage.id, share)
      left -= share
      weights -= stage.recipe.totalMillilitres
    }
  }
  return stages.map((stage) => ({ ...stage, costMinor: costs.get(stage.id) ?? 0 }))
}

/** What a job takes of each product, and what of it is missing. */
export function amountsOf(job: Job, stages: readonly Stage[], fills: readonly Fill[]): ProductAmount[] {
  return job.cabinet.flatMap((product) => {
    const used = stages.filter(({ productId }) => productId === product.id)
    if (used.length === 0) return []
    const concentrateMillilitres = fills
      .filter(({ stageIds }) => used.some(({ id }) => stageIds.includes(id)))
      .reduce((sum, { recipe }) => sum + recipe.concentrateMillilitres, 0)
    return [
      {
        productId: product.id,
        productName: product.name,
        concentrateMillilitres,
        stockMillilitres: product.stockMillilitres,
        shortMillilitres: Math.max(0, Math.ceil(concentrateMillilitres - product.stockMillilitres)),
        costMinor: used.reduce((sum, stage) => sum + stage.costMinor, 0),
      },
    ]
  })
}
