import { familyOf } from '@/core/chemistry/families'
import { ratingOf } from '@/core/chemistry/product'
import { wearShare } from '@/core/efficacy/wear'
import { estimate } from '@/core/estimates/houseEstimates'
import { surfaceCelsiusOf, type Job } from '@/core/job/job'
import type { Stage, Step } from '@/core/plan/plan'
import type { RunState } from '@/core/run/runState'
import { cleansWheel } from '@/core/acts/stageKind'

/** What a visit did to the protection that was on. */
export interface Wash {
  /** Share of a sealant's life that it took, 0 to 1; the mean of the wheels that were worked on. Estimate. */
  readonly wear: number
  /** It took film and minerals off, so that what is left of a layer shows again. */
  readonly reviving: boolean
}

/** From this rating on minerals come off. */
const takesMinerals = 2

/** Rounds of a stage that were really worked at a wheel. */
function roundsAt(stage: Stage, done: readonly Step[], corner: Step['corner']): number {
  const own = done.filter((step) => step.stageId === stage.id && step.corner === corner)
  const sprays = own.filter(({ act, part }) => act === 'spray' && (part?.number ?? 1) === 1).length
  return sprays > 0 ? sprays : Math.min(1, own.length)
}

/** What the wash of a job took off a sealant, by chemistry, strength, dwell and rounds really worked, and by touch. */
export function washOf(job: Job, { plan, settled }: RunState): Wash {
  const done = plan.steps.filter(({ id }) => settled.get(id)?.as === 'done')
  const corners = [...new Set(done.flatMap(({ corner }) => (corner === null ? [] : [corner])))]
  const stages = plan.stages.filter(({ kind }) => cleansWheel(kind))
  const productOf = ({ productId }: Stage) => job.cabinet.find(({ id }) => id === productId)
  const perRound = (stage: Stage): number => {
    const family = familyOf(stage.family)
    const product = productOf(stage)
    if (!product || family.purpose !== 'clean') return 0
    const use = {
      product,
      fraction: stage.surfaceFraction,
      dwellSeconds: stage.dwellSeconds.max,
      surfaceCelsius: surfaceCelsiusOf(job),
    }
    return wearShare(product.wear ?? family.wear, use, ['spraySealant'], job.estimates)
  }
  const wears = corners.map((corner) => {
    const chemistry = stages.reduce((sum, stage) => sum + perRound(stage) * roundsAt(stage, done, corner), 0)
    const passes = done.filter(
      (step) =>
        step.corner === corner &&
        (step.act === 'agitate' || step.act === 'wipe') &&
        stages.some(({ id }) => id === step.stageId),
    ).length
    return Math.min(1, chemistry + passes * estimate('wearTouch', job.estimates))
  })
  const mean = wears.length === 0 ? 0 : wears.reduce((sum, one) => sum + one, 0) / wears.length
  return {
    wear: Math.round(mean * 10_000) / 10_000,
    reviving: stages.some((stage) => {
      const product = productOf(stage)
      return (
        product !== undefined &&
        ratingOf(product, 'mineral') >= takesMinerals &&
        corners.some((corner) => roundsAt(stage, done, corner) > 0)
      )
    }),
  }
}
