import { message, type Message, type Sayable } from '@/core/message/message'
import { term } from '@/core/message/term'
import type { Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { cleansWheel } from '@/core/acts/stageKind'
import { inTurn } from './explain'
import { kindOfCorners, sayWhere } from './sayCorners'

/** Stages of wheel chemistry. */
export const onWheel = ({ kind }: Stage): boolean => cleansWheel(kind)

/** What a stage is; the product's own name where the cabinet has several of its kind. */
export function whatIs({ family, productName }: Stage, { cabinet }: Job): Sayable {
  const several = cabinet.filter((one) => one.family === family && !one.archived).length > 1
  return several ? productName : term('family', family)
}

/** Products of one kind of stage: "A all round", or "A on the fronts only, B on the rears only". */
function sayStages(stages: readonly Stage[], job: Job): Sayable {
  const all = job.corners.map(({ position }) => position)
  // The same cleaner everywhere, and more of it where there is more: that is one recipe.
  const [one, ...others] = [...stages].sort((a, b) => a.rounds - b.rounds)
  const [more] = others
  const isOneRecipe = one && more && others.length === 1 && more.productId === one.productId
  const everywhere = stages.flatMap(({ corners }) => corners).length === all.length
  if (isOneRecipe && everywhere && one.rounds < more.rounds)
    return message('reasons.product.moreAt', {
      product: whatIs(one, job),
      rounds: more.rounds,
      where: sayWhere(more.corners, all),
    })
  const [first = '', ...rest] = stages.map((stage) => sayAt(stage, job, all))
  return rest.reduce<Sayable>((said, next) => message('reasons.product.and', { first: said, next }), first)
}

const sayAt = (stage: Stage, job: Job, all: readonly Position[]): Message =>
  message('reasons.product.at', {
    product: timesOf(stage, job),
    where: sayWhere(stage.corners, all),
  })

const timesOf = (stage: Stage, job: Job): Message =>
  message('reasons.product.times', { product: whatIs(stage, job), rounds: stage.rounds })

/** Stages that differ only in strength or dwell are one to the ear. */
function sameWords(stages: readonly Stage[]): Stage[] {
  return stages.reduce<Stage[]>((said, stage) => {
    const at = said.findIndex(
      (one) =>
        one.kind === stage.kind &&
        one.productId === stage.productId &&
        one.rounds === stage.rounds &&
        !one.corners.some((corner) => stage.corners.includes(corner)),
    )
    const known = said[at]
    if (!known) return [...said, stage]
    return said.map((one, index) =>
      index === at ? { ...known, corners: [...known.corners, ...stage.corners] } : one,
    )
  }, [])
}

/** The wheel chemistry of some stages in a few words; empty where there is none. */
export function summaryOf(job: Job, stages: readonly Stage[]): Sayable {
  const all = job.corners.map(({ position }) => position)
  const mine = sameWords(stages.filter(onWheel))
  const [first] = mine
  const places = new Set(mine.map(({ corners }) => `${kindOfCorners(corners, all)} ${corners.join()}`))
  // The same wheels all through: the place is said once.
  if (first && places.size === 1)
    return message('reasons.product.at', {
      product: inTurn(mine.map((stage) => timesOf(stage, job))),
      where: sayWhere(first.corners, all),
    })
  const kinds = [...new Set(mine.map(({ kind }) => kind))]
  return inTurn(
    kinds.map((kind) =>
      sayStages(
        mine.filter((stage) => stage.kind === kind),
        job,
      ),
    ),
  )
}
