import { message, type Message } from '@/core/message/message'
import type { Corner, Job } from '@/core/job/job'
import type { Plan, Shortfall } from '@/core/plan/plan'
import { forbiddenNow } from '@/core/timing/heat'
import type { Position } from '@/core/wheel/position'
import { sayWheels } from '@/core/reasons/sayCorners'
import { sayReplaced, sayShort, shortOf, withoutBottles } from './emptyBottles'
import { sayCuring, withoutWork } from './notNow'
import { notNow } from './stageTimings'
import { workablePlan } from './workablePlan'

/** The plan with bottles that hold enough; where nothing else does as well, with what there is, and said. */
function stockedPlan(job: Job): Plan {
  const wanted = workablePlan(job)
  const empty = new Set(shortOf(wanted).map(({ productId }) => productId))
  if (empty.size === 0) return wanted
  for (let tries = 0; tries < 4; tries += 1) {
    const made = workablePlan(withoutBottles(job, empty))
    const more = shortOf(made).filter(({ productId }) => !empty.has(productId))
    // What the other bottles cannot do would show as something that stays undone.
    if (made.shortfalls.length > wanted.shortfalls.length || made.stages.length === 0) break
    if (more.length === 0 && shortOf(made).length === 0)
      return { ...made, shortfalls: [...sayReplaced(wanted, made), ...made.shortfalls] }
    for (const { productId } of more) empty.add(productId)
    if (more.length === 0) break
  }
  return { ...wanted, shortfalls: [...sayShort(wanted), ...wanted.shortfalls] }
}

const without = (corners: readonly Corner[], positions: readonly Position[]): Corner[] =>
  corners.filter(({ position }) => !positions.includes(position))

/** Wheels whose film would be dry before the brush has been everywhere are left, and the rest is planned without them. */
function keptWet(job: Job): { plan: Plan; late: Shortfall[] } {
  const plan = stockedPlan(job)
  const late = notNow(job, plan.timings)
  const corners = without(
    job.corners,
    late.flatMap((one) => one.corners),
  )
  if (late.length === 0 || corners.length === 0) return { plan, late }
  const rest = keptWet({ ...job, corners })
  return { plan: rest.plan, late: [...late, ...rest.late] }
}

/** Plans a job: which product where and how strong, with which tool, how long, in which order, for how much. */
export function makePlan(job: Job): Plan {
  // What would be chosen anyway may be pinned without changing anything.
  const { pinned } = job.wishes
  if (pinned.length > 0) {
    const free = planOf({ ...job, wishes: { ...job.wishes, pinned: [] } })
    const used = new Set(free.stages.map(({ productId }) => productId))
    if (pinned.every((id) => used.has(id))) return free
  }
  return planOf(job)
}

const emptyCabinet = {
  text: message('reasons.cabinet.empty'),
  fix: message('reasons.cabinet.emptyFix'),
}

function planOf(job: Job): Plan {
  const all = job.corners.map(({ position }) => position)
  const curing = sayCuring(job)
  const dry = without(
    job.corners,
    curing.flatMap(({ corners }) => corners),
  )
  const forbidden = forbiddenNow({ ...job, corners: dry })
  const corners = without(
    dry,
    forbidden.flatMap((one) => one.corners),
  )
  if (job.cabinet.every(({ archived }) => archived))
    return withoutWork(workablePlan(job), notLikeThis(emptyCabinet), [{ corners: all, ...emptyCabinet }])
  if (dry.length === 0)
    return withoutWork(
      stockedPlan(job),
      message('reasons.headline.nothingToDoBecause', { text: curing[0]?.text ?? '' }),
      curing,
    )
  if (corners.length === 0) return refused(job, [...curing, ...forbidden], all)
  const { plan, late } = keptWet({ ...job, corners })
  const left = [...curing, ...forbidden, ...late]
  if (late.flatMap((one) => one.corners).length === corners.length) return refused(job, left, all)
  if (plan.steps.length === 0) return withoutWork(plan, nothingHeadline(plan), [...left, ...plan.shortfalls])
  return left.length === 0 ? plan : { ...plan, shortfalls: [...left, ...plan.shortfalls] }
}

/** A plan that cannot be worked now has no steps; it says when and where it can. */
function refused(job: Job, left: readonly Shortfall[], all: readonly Position[]): Plan {
  const [first] = left.filter(({ text }) => typeof text === 'string' || text.key !== 'reasons.now.cures')
  return withoutWork(stockedPlan(job), first ? notNowWhere(first, all) : nothingToDo, left)
}

const notNowWhere = ({ corners, text, fix }: Shortfall, all: readonly Position[]): Message =>
  corners.length < all.length
    ? message('reasons.headline.notNowFor', { wheels: sayWheels(corners, all), text, fix })
    : message('reasons.headline.notNow', { text, fix })

const nothingToDo = message('reasons.headline.nothingToDo')

const notLikeThis = ({ text, fix }: Pick<Shortfall, 'text' | 'fix'>): Message =>
  message('reasons.headline.notLikeThis', { text, fix })

const nothingHeadline = ({ shortfalls: [first] }: Plan): Message => (first ? notLikeThis(first) : nothingToDo)
