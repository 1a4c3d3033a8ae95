import { message, sentences, type Said } from '@/core/message/message'
import type { Job } from '@/core/job/job'
import { makePlan } from '@/core/planning/makePlan'
import { headlineOf } from '@/core/reasons/headline'
import { onWheel } from '@/core/reasons/summary'
import { cardsOf } from '@/core/cards/cardsOf'
import { calmnessOf } from '@/core/patterns/calmness'
import type { OrderPattern, Plan, PlanSequence, SequenceEntry, Step } from '@/core/plan/plan'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { plainSchedule } from '@/core/sequence/problem/plainSchedule'
import { solveSequence, type SearchAnswer } from '@/core/sequence/solve'
import { faultsOf } from '@/core/sequence/problem/verify'
import { shortfallsByTheClock } from './byTheClock'
import { withOwnTools } from './ownTools'
import { calmSequence } from './calmSequence'
import { coolSeconds, planProblem, type PlanProblem } from './planProblem'

/** States looked into for a plan: a few tenths of a second; up to one with two people, where tight limits need more before an order is good. */
export const planEffort = (people: number): number => (people === 1 ? 10_000 : 50_000)

/** Runs the search to its end within an effort. */
export function solveWithin(problem: SequenceProblem, effort: number): SearchAnswer {
  const running = solveSequence(problem, effort)
  let step = running.next()
  while (!step.done) step = running.next()
  return step.value
}

/** A corner whose brakes are hot starts when they are cool: an operation nobody has to do, before all others there. */
function withCooling(job: Job, made: PlanProblem, laterSeconds: number): SequenceProblem {
  const { problem, places } = made
  const hot = places.flatMap((place, at) => {
    const seconds = place === 'vehicle' ? 0 : coolSeconds(job, place) - laterSeconds
    return seconds > 0 ? [{ at, seconds }] : []
  })
  if (hot.length === 0) return problem
  const done = new Map(problem.done)
  const operations = [...problem.operations]
  const lags = [...problem.lags]
  for (const { at, seconds } of hot) {
    const first = problem.operations.find(({ place }) => place === at)
    if (!first) continue
    const id = operations.length
    operations.push({ id, place: at, name: 'cools down', durationSeconds: 1, tool: 'eyes' })
    done.set(id, 0)
    lags.push({ from: id, to: first.id, minSeconds: seconds, maxSeconds: null, why: 'hot' })
  }
  return { ...problem, operations, lags, done }
}

/** A step put to a time by hand begins within a minute of it: it hangs on an operation that ended at the start. */
const placedRoomSeconds = 60

function withPlaced(
  job: Job,
  made: PlanProblem,
  problem: SequenceProblem,
  laterSeconds: number,
): SequenceProblem {
  const placed = (job.wishes.placed ?? []).flatMap(({ stepId, startSeconds }) => {
    const id = made.steps.findIndex((step) => step.id === stepId)
    return id < 0 ? [] : [{ id, seconds: Math.max(0, Math.round(startSeconds) - laterSeconds) }]
  })
  if (placed.length === 0) return problem
  const done = new Map(problem.done)
  const operations = [...problem.operations]
  const lags = [...problem.lags]
  for (const { id, seconds } of placed) {
    const anchor = operations.length
    operations.push({
      id: anchor,
      place: made.problem.operations[id]?.place ?? 0,
      name: 'the start',
      durationSeconds: 1,
      tool: 'eyes',
    })
    done.set(anchor, 0)
    lags.push({
      from: anchor,
      to: id,
      minSeconds: seconds,
      maxSeconds: seconds + placedRoomSeconds,
      why: 'put there by hand',
    })
  }
  return { ...problem, operations, lags, done }
}

function entriesOf(made: PlanProblem, schedule: Schedule, offsetSeconds: number): SequenceEntry[] {
  return made.steps
    .map((step, id) => {
      const startSeconds = offsetSeconds + (schedule.startSeconds[id] as number)
      return {
        stepId: step.id,
        person: schedule.person[id] as number,
        startSeconds,
        endSeconds: startSeconds + (made.problem.operations[id]?.durationSeconds ?? 0),
      }
    })
    .sort((a, b) => a.startSeconds - b.startSeconds || a.person - b.person)
}

/**
 * Steps one after the other from a second on: those of the whole job are done by everybody together, dry work wheel by wheel by whoever
 * is free.
 */
export function together(
  steps: readonly Step[],
  from: number,
  people = 1,
): { entries: SequenceEntry[]; end: number } {
  const free = Array.from({ length: people }, () => from)
  const entries: SequenceEntry[] = []
  let [person, last]: [number, Step['corner']] = [0, null]
  for (const step of steps) {
    if (step.corner === null) {
      person = 0
      free.fill(Math.max(...free))
    } else if (step.corner !== last) person = free.indexOf(Math.min(...free))
    last = step.corner
    const startSeconds = free[person] as number
    const endSeconds = startSeconds + Math.round(step.operatorSeconds)
    free[person] = endSeconds
    if (step.corner === null) free.fill(endSeconds)
    entries.push({ stepId: step.id, person, startSeconds, endSeconds })
  }
  return { entries, end: Math.max(...free) }
}

/** What is to be put in order, and what stands around it. */
interface Ordering {
  readonly job: Job
  readonly plan: Plan
  readonly made: PlanProblem
  readonly lead: ReturnType<typeof together>
  readonly problem: SequenceProblem
  readonly plain: Schedule | null
  /** Something put to a time by hand cannot be there. */
  readonly misplaced: boolean
}

function orderingOf(job: Job, plan: Plan, effort: number): Ordering | null {
  const made = planProblem(job, plan)
  if (made.steps.length === 0) return null
  const lead = together(made.before, 0)
  const cooling = withCooling(job, made, lead.end)
  const placed = withPlaced(job, made, cooling, lead.end)
  // What was put to a time by hand and cannot be there is left out again, and said.
  const isDryWork = (job.wishes.placed ?? []).some(({ stepId }) => made.after.some(({ id }) => id === stepId))
  const misplaced = isDryWork || (placed !== cooling && solveWithin(placed, effort).schedule === null)
  const problem = misplaced ? cooling : placed
  return { job, plan, made, lead, problem, plain: plainSchedule(problem), misplaced }
}

/** The plan in an order, checked by the independent verifier: null where the schedule has a fault, so that it is never shown. */
function inOrder(
  ordering: Ordering,
  schedule: Schedule,
  boundSeconds: number,
  pattern: OrderPattern = plainPattern(ordering, schedule),
): Plan | null {
  const { job, plan, made, lead, problem, plain, misplaced } = ordering
  if (faultsOf(problem, schedule).length > 0) return null
  const entries = entriesOf(made, schedule, lead.end)
  const tail = together(made.after, lead.end + schedule.makespanSeconds, job.crew.people)
  const all = [...lead.entries, ...entries, ...tail.entries]
  const around = tail.end - schedule.makespanSeconds
  const plainEnd = around + (plain?.makespanSeconds ?? schedule.makespanSeconds)
  const saved = plainEnd - tail.end
  const stepOf = new Map(plan.steps.map((step) => [step.id, step]))
  const sequence: PlanSequence = {
    people: job.crew.people,
    entries: all,
    endSeconds: tail.end,
    lowerBoundSeconds: Math.round(around + Math.min(schedule.makespanSeconds, boundSeconds)),
    plainSeconds: plainEnd,
    text: sentences(
      misplaced
        ? message('order.misplaced')
        : isOneAtATime(job) && plain
          ? message('order.fewer.oneAtATime')
          : saved >= 60
            ? message('order.fewer.saved', { time: { seconds: saved } })
            : sayCalm(pattern),
      sayWaiting(all, tail.end),
    ),
    pattern,
    cards: cardsOf(
      all.flatMap(({ stepId, person }) => {
        const step = stepOf.get(stepId)
        return step ? [{ step, person }] : []
      }),
    ),
  }
  const rank = new Map(all.map(({ stepId }, at) => [stepId, at]))
  return {
    ...plan,
    headline: plan.stages.some(onWheel)
      ? headlineOf(job, plan.stages, plan.operatorSeconds, tail.end, moreSeconds(job, plan))
      : plan.headline,
    shortfalls: shortfallsByTheClock(job, plan, tail.end),
    steps: withOwnTools(plan.steps, all, job).sort((a, b) => (rank.get(a.id) ?? 0) - (rank.get(b.id) ?? 0)),
    sequence,
  }
}

/** Why nobody goes to and fro between the wheels, where that saves little or nothing. */
function sayCalm({ seconds, shortestSeconds, wheelChanges, shortestWheelChanges }: OrderPattern): Said {
  const saved = seconds - shortestSeconds
  return saved < 60
    ? message('order.fewer.asFast')
    : message('order.fewer.wouldSave', {
        time: { seconds: saved },
        changes: shortestWheelChanges,
        instead: wheelChanges,
      })
}

/** From one step to the next hands move this long without standing still, seconds. House estimate. */
const underWaySeconds = 15
/** Less waiting than this share of the clock is not worth a word. House estimate. */
const worthAWordShare = 0.12

/** How long who works stands still while a product works, and what to do with it; empty where it is little. */
function sayWaiting(entries: readonly SequenceEntry[], endSeconds: number): Said {
  const people = new Set(entries.map(({ person }) => person))
  const waited = [...people].map((who) => {
    const own = entries.filter(({ person }) => person === who).sort((a, b) => a.startSeconds - b.startSeconds)
    return own
      .slice(1)
      .reduce(
        (sum, { startSeconds }, at) =>
          sum + Math.max(0, startSeconds - (own[at]?.endSeconds ?? startSeconds) - underWaySeconds),
        0,
      )
  })
  const least = Math.min(...waited)
  return least < worthAWordShare * endSeconds
    ? ''
    : message('order.fewer.waiting', { time: { seconds: Math.max(60, least) } })
}

/** What is said of an order that nobody made calm. */
function plainPattern({ job, problem }: Ordering, schedule: Schedule): OrderPattern {
  const { wheelChanges } = calmnessOf(problem, schedule)
  return {
    kind: isOneAtATime(job) ? 'oneAtATime' : 'shortest',
    sentences: [isOneAtATime(job) ? message('order.finishEach') : message('order.shortest')],
    because: null,
    wheelChanges,
    seconds: schedule.makespanSeconds,
    shortestSeconds: schedule.makespanSeconds,
    shortestWheelChanges: wheelChanges,
  }
}

const isOneAtATime = ({ methods }: Job): boolean => methods.sprayed === 'oneAtATime'

/** Puts the steps of a plan into the order that ends first; the plan as it was where there is none. */
export function orderPlan(job: Job, plan: Plan, effort: number = planEffort(job.crew.people)): Plan {
  const ordering = orderingOf(job, plan, effort)
  return (ordering && usualOrder(ordering, effort)) ?? plan
}

function usualOrder(ordering: Ordering, effort: number): Plan | null {
  if (isOneAtATime(ordering.job) && ordering.plain) return inOrder(ordering, ordering.plain, 0)
  const { schedule, lowerBoundSeconds } = solveWithin(ordering.problem, effort)
  const found = schedule && inOrder(ordering, schedule, lowerBoundSeconds)
  const plain = ordering.plain && inOrder(ordering, ordering.plain, lowerBoundSeconds)
  // A search that was cut short never answers with more than what anybody would do without it.
  const shortest = shorter(found, plain)
  const best =
    ordering.job.crew.people === 1 || !isPoorShare(shortest, plain)
      ? shortest
      : shorter(shortest, aloneOrder(ordering, Math.min(effort, planEffort(1)), lowerBoundSeconds))
  return best && calmed(ordering, best, lowerBoundSeconds)
}

/** An order that can be kept in mind instead of the shortest, unless the shop wants that or somebody has put a step to a time. */
function calmed(ordering: Ordering, shortest: Plan, boundSeconds: number): Plan {
  const { job, made, problem } = ordering
  if (job.methods.order === 'tight' || (job.wishes.placed ?? []).length > 0) return shortest
  const best = scheduleIn(ordering, shortest.sequence)
  const around = (shortest.sequence?.endSeconds ?? best.makespanSeconds) - best.makespanSeconds
  const { schedule, pattern } = calmSequence(
    made,
    problem,
    best,
    around,
    ordering.plain?.makespanSeconds ?? Infinity,
  )
  const worked = made.places.filter((place) => place !== 'vehicle')
  const told = worked.length === 1 ? { ...pattern, sentences: atOneWheel } : pattern
  const said = job.corners.length === 1 ? told : withDryWork(made, told)
  return inOrder(ordering, schedule, boundSeconds, said) ?? shortest
}

/** There is no way round one wheel. */
const atOneWheel = [message('order.oneWheel')]

/** What second rounds may take, shared by those who work. */
const moreSeconds = ({ crew }: Job, { secondRounds = [] }: Plan): number =>
  secondRounds.reduce((sum, { seconds }) => sum + seconds, 0) / crew.people

/** What is said of an order, and that dry work goes round once more. */
function withDryWork({ after }: PlanProblem, pattern: OrderPattern): OrderPattern {
  const acts = new Set(after.flatMap(({ act, corner }) => (corner === null ? [] : [act])))
  const work = dryWork.flatMap((act) => (acts.has(act) ? [message(`order.dryWork.${act}`)] : []))
  const last = pattern.sentences.at(-1)
  return last === undefined || work.length === 0
    ? pattern
    : {
        ...pattern,
        sentences: [
          ...pattern.sentences.slice(0, -1),
          sentences(last, message('order.dryWork.again', { work })),
        ],
      }
}
const dryWork = ['dry', 'protect', 'dress'] as const

const shorter = (one: Plan | null, other: Plan | null): Plan | null =>
  other?.sequence && other.sequence.endSeconds < (one?.sequence?.endSeconds ?? Infinity) ? other : one

/** Two who save less than this share of one wheel after the other may be slower than one good order of one person. */
const poorShare = 0.8
const isPoorShare = (found: Plan | null, plain: Plan | null): boolean =>
  (found?.sequence?.endSeconds ?? Infinity) > poorShare * (plain?.sequence?.endSeconds ?? Infinity)

/** The order in which one of two does it all: never good, but never worse than being alone. */
function aloneOrder(ordering: Ordering, effort: number, boundSeconds: number): Plan | null {
  const { schedule } = solveWithin({ ...ordering.problem, people: 1, singleTools: [] }, effort)
  return schedule && inOrder(ordering, schedule, boundSeconds)
}

/** Looks on for an order that ends before the usual one: yields the plan in every better one, and null in between. */
export function* betterOrders(job: Job, effort: number): Generator<Plan | null, void> {
  const ordering = isOneAtATime(job) ? null : orderingOf(job, makePlan(job), planEffort(job.crew.people))
  const usual = ordering && usualOrder(ordering, planEffort(job.crew.people))?.sequence
  if (!ordering || !usual) return
  let best: PlanSequence = usual
  for (const { schedule, lowerBoundSeconds } of solveSequence(ordering.problem, effort)) {
    const end = secondsBetween(ordering, best)
    // As short and known to be nearer to the shortest is better, too.
    const isBetter =
      schedule !== null &&
      (schedule.makespanSeconds < end ||
        (schedule.makespanSeconds === end && Math.min(end, lowerBoundSeconds) > boundBetween(ordering, best)))
    const better = isBetter ? inOrder(ordering, schedule, lowerBoundSeconds) : null
    best = better?.sequence ?? best
    yield better
  }
}

/** Seconds of a sequence that can be put in order, without what comes before and after. */
const secondsBetween = ({ job, made, lead }: Ordering, { endSeconds }: PlanSequence): number =>
  endSeconds - lead.end - together(made.after, 0, job.crew.people).end
const boundBetween = ({ job, made, lead }: Ordering, { lowerBoundSeconds }: PlanSequence): number =>
  lowerBoundSeconds - lead.end - together(made.after, 0, job.crew.people).end

/** The plan in an order that was found elsewhere; null where it names other steps, breaks a lag or ends later than the usual one. */
export function takeOrder(job: Job, entries: readonly SequenceEntry[]): Plan | null {
  const ordering = orderingOf(job, makePlan(job), planEffort(job.crew.people))
  const usual = ordering && usualOrder(ordering, planEffort(job.crew.people))?.sequence
  if (!ordering || !usual) return null
  const known = new Set(entries.map(({ stepId }) => stepId))
  if (ordering.made.steps.some(({ id }) => !known.has(id))) return null
  const schedule = scheduleIn(ordering, { entries })
  if (schedule.makespanSeconds > secondsBetween(ordering, usual)) return null
  return inOrder(ordering, schedule, boundBetween(ordering, usual))
}

/** The schedule of an order, as operations; every step of the problem has its entry. */
function scheduleIn(
  { made, lead, problem }: Ordering,
  sequence: Pick<PlanSequence, 'entries'> | null,
): Schedule {
  const known = new Map(sequence?.entries.map((entry) => [entry.stepId, entry]))
  const found = made.steps.map(({ id }) => known.get(id))
  // Operations that only stand for an instant, such as brakes that cool, are over.
  const startSeconds = problem.operations.map(({ id, durationSeconds }) =>
    id < found.length
      ? (found[id]?.startSeconds ?? 0) - lead.end
      : (problem.done?.get(id) ?? 0) - durationSeconds,
  )
  const makespanSeconds = Math.max(
    0,
    ...made.steps.map((_, id) => (startSeconds[id] ?? 0) + (problem.operations[id]?.durationSeconds ?? 0)),
  )
  return {
    makespanSeconds,
    startSeconds,
    person: problem.operations.map(({ id }) => found[id]?.person ?? -1),
  }
}

/** Plans a job and puts its steps into order. */
export const planInOrder = (job: Job, effort: number = planEffort(job.crew.people)): Plan =>
  orderPlan(job, makePlan(job), effort)
