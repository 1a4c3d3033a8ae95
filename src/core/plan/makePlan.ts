import type { Job } from '@/core/job/job'
import { axleOf, type Position } from '@/core/wheel/position'
import { buildStages } from './buildStages'
import { washerLitresPerMinute } from './estimates'
import { orderSteps } from './orderSteps'
import type { Plan, ProductAmount, Stage } from './plan'

/** How a person names a group of wheels. */
export function nameCorners(corners: readonly Position[], all: readonly Position[]): string {
  if (corners.length === all.length) return all.length === 1 ? 'on the wheel' : 'all round'
  const fronts = all.filter((position) => position.startsWith('front'))
  const rears = all.filter((position) => !position.startsWith('front'))
  const same = (group: readonly Position[]) =>
    group.length === corners.length && group.every((position) => corners.includes(position))
  if (fronts.length > 0 && same(fronts)) return 'on the fronts only'
  if (rears.length > 0 && same(rears)) return 'on the rears only'
  return `on ${corners.length} of ${all.length} wheels`
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** Products of one kind of stage: "A all round", or "A in front, B behind". */
function sayStages(stages: readonly Stage[], all: readonly Position[]): string {
  const rears = all.filter((position) => axleOf(position) === 'rear')
  return stages
    .map(({ productName, corners }) => {
      const where = nameCorners(corners, all)
      if (stages.length === 1 || all.length === 1 || rears.length === all.length)
        return `${productName} ${where}`
      return `${productName} ${where === 'on the fronts only' ? 'in front' : where === 'on the rears only' ? 'behind' : where}`
    })
    .join(', ')
}

function headlineOf(job: Job, stages: readonly Stage[], operatorSeconds: number): string {
  const all = job.corners.map(({ position }) => position)
  const parts = (['wash', 'iron', 'mineral', 'tar'] as const)
    .map((kind) => stages.filter((stage) => stage.kind === kind))
    .filter((ofKind) => ofKind.length > 0)
    .map((ofKind) => sayStages(ofKind, all))
  const minutes = Math.round(operatorSeconds / 60)
  if (parts.length === 0) return 'Nothing in the cabinet can wash these wheels.'
  return `${capital(parts.join('; then '))}. ${minutes} minutes, one pair of hands.`
}

function amountsOf(job: Job, stages: readonly Stage[]): ProductAmount[] {
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

/** Plans a job: which product where and how strong, with which tool, how long, in which order, for how much. */
export function makePlan(job: Job): Plan {
  const { stages, protections, shortfalls } = buildStages(job)
  const ordered = orderSteps(job, stages)
  const operatorSeconds = ordered.steps.reduce((sum, step) => sum + step.operatorSeconds, 0)
  const rinseSeconds = ordered.steps
    .filter(({ act }) => act === 'rinse' || act === 'preRinse')
    .reduce((sum, step) => sum + step.operatorSeconds, 0)
  const mixingLitres = stages.reduce((sum, { recipe }) => sum + recipe.waterMillilitres / 1000, 0)
  const amounts = amountsOf(job, stages)
  return {
    headline: headlineOf(job, stages, operatorSeconds),
    operatorSeconds,
    costMinor: amounts.reduce((sum, amount) => sum + amount.costMinor, 0),
    currency: job.currency,
    waterLitres: Math.round((rinseSeconds / 60) * washerLitresPerMinute.value + mixingLitres),
    stages,
    steps: ordered.steps,
    amounts,
    protections,
    shortfalls: [...shortfalls, ...ordered.shortfalls],
  }
}
