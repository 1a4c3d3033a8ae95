import type { Said } from '@/core/message/message'
import { withName } from '@/core/message/withName'
import { coldDwellSeconds } from '@/core/efficacy/coldDwell'
import type { Option } from '@/core/choice/option'
import { surfaceCelsiusOf, type Job } from '@/core/job/job'
import { takesOff, type Plan, type Stage, type Step } from '@/core/plan/plan'
import { stageOf } from '@/core/stages/stageDraft'
import { withStage } from './seenPlan'

/**
 * Puts another product in the place of a stage, at the wheels where that was not begun: the same acts in the same order, with the
 * new product's name, dwell, strength and cautions. Steps keep their ids.
 */
export function replaceStage(
  plan: Plan,
  job: Job,
  old: Stage,
  option: Option,
  why: Said,
  settled: ReadonlySet<string>,
): { readonly plan: Plan; readonly stage: Stage } {
  const begun = new Set(
    plan.steps.flatMap(({ id, stageId, corner }) => (stageId === old.id && settled.has(id) ? [corner] : [])),
  )
  const corners = job.corners.filter(({ position }) => old.corners.includes(position) && !begun.has(position))
  const { product, fraction, dwellSeconds, labelMaxSeconds, judgement } = option
  const shortest = Math.min(product.dwellSeconds.min, dwellSeconds)
  const stage: Stage = {
    ...stageOf(
      {
        kind: old.kind,
        product,
        fraction,
        dwellSeconds: {
          min: coldDwellSeconds(shortest, dwellSeconds, surfaceCelsiusOf(job), job.estimates),
          max: labelMaxSeconds,
        },
        zones: old.zones,
        tools: old.tools,
        judgement,
        why,
        care: [],
        rounds: old.rounds,
        corners,
      },
      0,
      job,
    ),
    id: `${old.id}-instead`,
  }
  const isThere = ({ corner }: Step): boolean => corners.some(({ position }) => position === corner)
  const booked = withStage(plan, job, stage)
  const named = (said: Said): Said => withName(said, old.productName, stage.productName)
  const renamed = (id: string): string => (id === old.id ? stage.id : id)
  const steps = booked.steps.map((step): Step => {
    const touches = step.stageId === old.id || takesOff(step, old.id) || step.alsoStarts?.includes(old.id)
    if (!isThere(step) || !touches) return step
    const isOwn = step.stageId === old.id
    const timing = booked.timings.find((one) => one.stageId === stage.id && one.corner === step.corner)
    return {
      ...step,
      stageId: step.stageId === null ? null : renamed(step.stageId),
      stopsDwellOf: step.stopsDwellOf === null ? null : renamed(step.stopsDwellOf),
      ...(step.alsoStarts ? { alsoStarts: step.alsoStarts.map(renamed) } : {}),
      ...(step.alsoStops ? { alsoStops: step.alsoStops.map(renamed) } : {}),
      title: isOwn ? named(step.title) : step.title,
      detail: isOwn ? named(step.detail) : step.detail,
      startsDwell:
        isOwn && step.startsDwell
          ? { minSeconds: stage.dwellSeconds.min, maxSeconds: stage.dwellSeconds.max }
          : step.startsDwell,
      wetLimitSeconds:
        isOwn && step.wetLimitSeconds !== null && timing ? timing.wetLimitSeconds : step.wetLimitSeconds,
      cautions: isOwn && step.act === 'spray' ? stage.cautions : step.cautions,
    }
  })
  return { stage, plan: { ...booked, steps } }
}
