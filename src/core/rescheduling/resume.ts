import { message, saidOnce, type Message } from '@/core/message/message'
import { term } from '@/core/message/term'
import type { Job } from '@/core/job/job'
import type { Act } from '@/core/acts/act'
import { takesOff, type Plan, type SequenceEntry, type Step } from '@/core/plan/plan'
import type { Lag, Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'
import { faultsOf } from '@/core/sequence/problem/verify'
import { calmShare } from '@/core/order/calmSequence'
import { slidOrders } from './slidOrders'
import { solveWithin, together } from '@/core/order/orderPlan'
import { remainingOf, type AwaySeconds, type Remaining } from './remaining'
import type { SettledStep } from './settledSteps'
import { mistedOrder, waitingFor } from './spareMists'
import { keepWhatCanBeKept, urgentBefore, urgentFirst } from './urgent'

export interface Resumed {
  /** The steps that are left, in order of time from now. */
  readonly entries: readonly SequenceEntry[]
  /** Limits that were or will be broken whatever is done, in plain words. */
  readonly lost: readonly Message[]
  /** Steps left out because their chemical has to come off at once. */
  readonly dropped: readonly string[]
}

/** States looked into for one person and for two, whose states take longer; the answer has to come in under half a second. */
export const resumeEffort = (people: number): number => (people === 1 ? 6_000 : 2_500)

/** For deciding whether what is wet can be kept; its part of the problem is small. */
export const urgentEffort = 20_000

/**
 * The order from here: some steps are done, some chemical is wet since a known instant, somebody is away. The order as planned is
 * kept while it keeps every limit; else the rest is put in order anew, and what is about to dry comes first.
 */
export function resume(
  job: Job,
  plan: Plan,
  settled: readonly SettledStep[],
  away: AwaySeconds = [],
  effort: number = resumeEffort(job.crew.people),
): Resumed {
  const left = remainingOf(job, plan, settled, away)
  const { problem, open, made } = left
  if (open.length === 0) return { entries: entriesFrom(left, null), lost: [], dropped: [] }
  const kept = asPlanned(job, plan, left)
  if (kept) return { entries: entriesFrom(left, kept), lost: [], dropped: [] }
  const keepable = keepWhatCanBeKept(problem, urgentEffort)
  const late = keepable.lost.map((lag): Lag => ({ ...lag, to: waitingFor(lag.to, left.mists) }))
  // What is too late is rinsed as it is: nobody brushes on while it dries. Several stages may be too late for one rinse.
  const unbrushed = late.flatMap(({ to }) => unbrushedBefore(made.steps, to))
  const dropped = [...new Set(unbrushed)].flatMap((id) =>
    left.done.has(id) ? [] : [made.steps[id]?.id ?? ''],
  )
  const lost = late.map((lag) => sayLost(lag, made.steps))
  if (dropped.length > 0) {
    const without = dropped.map((stepId) => ({
      stepId,
      endedSecondsAgo: 0,
      wettedSecondsAgo: 0,
      isSkipped: true,
    }))
    const rest = resume(job, plan, [...settled, ...without], away, effort)
    return {
      ...rest,
      lost: saidOnce([...lost, ...rest.lost]),
      dropped: [...dropped, ...rest.dropped],
    }
  }
  const schedule = orderFromHere(job, plan, left, keepable.problem, effort)
  return { entries: entriesFrom(left, schedule, away), lost, dropped: [] }
}

/** Who works what as planned; who is not there does not. */
const personAsPlanned = (plan: Plan, { made, problem, mists }: Remaining): ((id: number) => number) => {
  const planned = new Map(plan.sequence?.entries.map(({ stepId, person }) => [stepId, person]))
  return (id) => Math.min(problem.people - 1, planned.get(made.steps[waitingFor(id, mists)]?.id ?? '') ?? 0)
}

/** The planned order from here, where it keeps every limit; what was added goes where it costs least waiting. */
function asPlanned(job: Job, plan: Plan, left: Remaining): Schedule | null {
  const personOf = personAsPlanned(plan, left)
  const orders = [left.open, ...slidOrders(left, personOf)]
  const good = orders
    .map((order) => mistedOrder(order, left.mists))
    .map((operations) => scheduleOf(left.problem, { operations, people: operations.map(personOf) }))
    .filter((one) => one !== null && faultsOf(left.problem, one).length === 0)
  return shortestOf(good) ?? null
}

/** Who has a pattern in mind keeps it, unless it costs more than a calm order may; else the shortest that is found. */
function orderFromHere(
  job: Job,
  plan: Plan,
  left: Remaining,
  problem: SequenceProblem,
  effort: number,
): Schedule | null {
  const anew = shortestOf([solveWithin(problem, effort).schedule, urgentFirst(problem, urgentEffort)])
  const personOf = personAsPlanned(plan, left)
  const planned = mistedOrder(left.open, left.mists)
  const inPattern = shortestOf(
    [planned, urgentBefore(problem, planned)].map((operations) =>
      scheduleOf(problem, { operations, people: operations.map(personOf) }),
    ),
  )
  const isKept =
    job.methods.order === 'calm' &&
    inPattern !== undefined &&
    faultsOf(problem, inPattern).length === 0 &&
    inPattern.makespanSeconds <= calmShare * (anew?.makespanSeconds ?? Infinity)
  return (isKept ? inPattern : anew) ?? null
}

/** What is left in order of time; one wheel after the other where there is no schedule. */
function entriesFrom(
  { made, open, before, after, problem }: Remaining,
  schedule: Schedule | null,
  away: AwaySeconds = [],
): SequenceEntry[] {
  const lead = together(before, 0)
  if (open.length === 0) return [...lead.entries, ...together(after, lead.end, problem.people).entries]
  if (!schedule) {
    const first = Math.min(...Array.from({ length: problem.people }, (_, person) => away[person] ?? 0))
    const steps = open.map((id) => made.steps[id] as Step)
    return together(steps, lead.end + first).entries
  }
  const middle = open
    .map((id): SequenceEntry => {
      const startSeconds = lead.end + (schedule.startSeconds[id] as number)
      return {
        stepId: made.steps[id]?.id ?? '',
        person: schedule.person[id] as number,
        startSeconds,
        endSeconds: startSeconds + (made.problem.operations[id]?.durationSeconds ?? 0),
      }
    })
    .sort((a, b) => a.startSeconds - b.startSeconds || a.person - b.person)
  const end = lead.end + schedule.makespanSeconds
  return [...lead.entries, ...middle, ...together(after, end, problem.people).entries]
}

const sayLostAs = {
  label: 'observations.lost.label',
  wet: 'observations.lost.wet',
  other: 'observations.lost.other',
} as const

/** A limit that is lost, in plain words. */
function sayLost({ from, to, why }: Lag, steps: readonly Step[]): Message {
  const next = steps[to]
  if (next?.corner && next.act !== 'rinse')
    return message('observations.lost.dries', { wheel: { capital: term('wheel', next.corner) } })
  return message(sayLostAs[why === 'label' || why === 'wet' ? why : 'other'], {
    next: next?.title ?? '',
    before: steps[from]?.title ?? '',
  })
}

const shortestOf = (schedules: readonly (Schedule | null)[]): Schedule | undefined =>
  schedules.filter((one) => one !== null).sort((a, b) => a.makespanSeconds - b.makespanSeconds)[0]

/**
 * Brush work and mists of the same wheel, stage and part that were to come before a rinse. Where several stages share the
 * rinse, what of them was not put on yet is left out, too: it could only keep the others waiting.
 */
function unbrushedBefore(steps: readonly Step[], rinse: number): number[] {
  const at = steps[rinse]
  if (at?.act !== 'rinse') return []
  const isShared = (at.alsoStops ?? []).length > 0
  const leftOut: readonly Act[] = [
    'agitate',
    'reMist',
    'scrub',
    'wipe',
    ...(isShared ? (['spray'] as const) : []),
  ]
  return steps.flatMap(({ act, corner, stageId, part }, id) =>
    id < rinse &&
    corner === at.corner &&
    takesOff(at, stageId) &&
    (part?.number ?? 0) === (at.part?.number ?? 0) &&
    leftOut.includes(act)
      ? [id]
      : [],
  )
}
