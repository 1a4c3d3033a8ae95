import type { Job } from '@/core/job/job'
import { workableRecipe } from './buildStages'
import type { Fill, ProductAmount, Stage } from '@/core/plan/plan'

/** What a job takes of each product, and what of it is missing. */
export function amountsOf(job: Job, stages: readonly Stage[]): ProductAmount[] {
  return job.cabinet.flatMap((product) => {
    const used = stages.filter(({ productId }) => productId === product.id)
    if (used.length === 0) return []
    const concentrateMillilitres = used.reduce((sum, { recipe }) => sum + recipe.concentrateMillilitres, 0)
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

/** Bottles and buckets to make ready: the same mix in the same kind of container is filled once. */
export function fillsOf(job: Job, stages: readonly Stage[]): Fill[] {
  const fills = new Map<string, Stage[]>()
  for (const stage of stages) {
    const key = `${stage.productId} ${stage.delivery} ${stage.strength.from}`
    fills.set(key, [...(fills.get(key) ?? []), stage])
  }
  return [...fills.values()].map((same) => {
    const [first] = same as [Stage, ...Stage[]]
    const total =
      first.delivery === 'bucket'
        ? first.recipe.totalMillilitres
        : same.reduce((sum, { recipe }) => sum + recipe.totalMillilitres, 0)
    return {
      container: first.delivery,
      productName: first.productName,
      recipe: workableRecipe(first.strength.from, total, job.equipment.smallestMeasureMillilitres),
      stageIds: same.map(({ id }) => id),
    }
  })
}
