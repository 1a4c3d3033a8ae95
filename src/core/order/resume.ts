import type { Job } from '@/core/job/job'
import type { Act } from '@/core/work/act'
import { takesOff, type Plan, type SequenceEntry, type Step } from '@/core/plan/plan'
import type { Lag, Schedule, SequenceProblem } from '@/core/sequence/problem'
import { scheduleOf } from '@/core/sequence/schedule'
import { solveSequence } from '@/core/sequence/solve'
import { positionNames } from '@/core/wheel/position'
import { faultsOf } from '@/core/sequence/verify'
import { solveWithin } from './orderPlan'
import { calmShare } from './calmSequence'
import { planProblem, restWhy } from './planProblem'
import type { SettledStep } from './settledSteps'

export interface Resumed {
  /** The steps that are left, in order of time from now. */
  readonly entries: readonly SequenceEntry[]
  /** Limits that were or will be broken whatever is done, in plain words. */
  readonly lost: readonly string[]
  /** Steps left out because their chemical has to come off at once. */
  readonly dropped: readonly string[]
}

/** States looked into for one person and for two, whose states take longer; the answer has to come in under half a second. */
export const resumeEffort = (people: number): number => (people === 1 ? 6_000 : 2_500)

/** For deciding whether what is wet can be kept; its part of the problem is small. */
const urgentEffort = 20_000

/** People who cannot work yet: seconds from now until each is back; absent: all are here. */
export type AwaySeconds = readonly number[]

/** The problem of what is left, with what is wet since its own instant. */
export function remainingProblem(
  problem: SequenceProblem,
  done: ReadonlyMap<number, number>,
  away: AwaySeconds = [],
): SequenceProblem {
  return {
    ...problem,
    // Between two things that are over nothing can be kept or broken any more.
    lags: problem.lags.filter(({ from, to, why }) => why !== restWhy && (!done.has(from) || !done.has(to))),
    done,
    peopleAtStart: Array.from({ length: problem.people }, (_, person) => ({
      availableAtSeconds: away[person] ?? 0,
      place: null,
      tool: null,
    })),
  }
}

/** What has to be done before the limits that run now are over: the work before each of them, and nothing else. */
export function urgentPart(problem: SequenceProblem): { problem: SequenceProblem; ids: readonly number[] } {
  const done = problem.done ?? new Map<number, number>()
  const urgent = new Set<number>()
  const visit = (id: number): void => {
    if (done.has(id) || urgent.has(id)) return
    urgent.add(id)
    for (const lag of problem.lags) if (lag.to === id) visit(lag.from)
  }
  for (const { from, to, maxSeconds } of problem.lags) if (maxSeconds !== null && done.has(from)) visit(to)
  const ids = problem.operations.flatMap(({ id }) =>
    urgent.has(id) || (done.has(id) && problem.lags.some(({ from, to }) => from === id && urgent.has(to)))
      ? [id]
      : [],
  )
  const local = new Map(ids.map((id, at) => [id, at]))
  return {
    ids,
    problem: {
      ...problem,
      operations: ids.flatMap((id, at) => {
        const operation = problem.operations[id]
        return operation ? [{ ...operation, id: at }] : []
      }),
      lags: problem.lags.flatMap((lag) => {
        const from = local.get(lag.from)
        const to = local.get(lag.to)
        return from === undefined || to === undefined ? [] : [{ ...lag, from, to }]
      }),
      done: new Map(ids.flatMap((id, at) => (done.has(id) ? [[at, done.get(id) as number] as const] : []))),
    },
  }
}

/** An order that keeps all limits, found by looking at nothing but what is urgent; then the rest, wheel by wheel. */
function urgentFirst(problem: SequenceProblem, effort: number): Schedule | null {
  const part = urgentPart(problem)
  const done = problem.done ?? new Map<number, number>()
  // Once nothing is wet, one wheel after the other always goes.
  const rest = problem.operations
    .filter(({ id }) => !done.has(id) && !part.ids.includes(id))
    .sort((a, b) => a.place - b.place || a.id - b.id)
    .map(({ id }) => id)
  const first: { id: number; person: number; start: number }[] = []
  if (part.problem.operations.some(({ id }) => !part.problem.done?.has(id))) {
    const found = firstSchedule(part.problem, effort)
    if (!found) return null
    part.ids.forEach((id, at) => {
      if (!done.has(id))
        first.push({ id, person: found.person[at] as number, start: found.startSeconds[at] as number })
    })
  }
  first.sort((a, b) => a.start - b.start || a.person - b.person)
  const last = first.at(-1)?.person ?? 0
  return scheduleOf(problem, {
    operations: [...first.map(({ id }) => id), ...rest],
    people: [...first.map(({ person }) => person), ...rest.map(() => last)],
  })
}

/** The first schedule the search finds; null where it shows that there is none, or gives up. */
function firstSchedule(problem: SequenceProblem, effort: number): Schedule | null {
  const running = solveSequence(problem, effort)
  for (let step = running.next(); ; step = running.next()) {
    const { schedule, effort: spent } = step.value
    if (schedule) return schedule
    if (step.done || spent > effort) return null
  }
}

/**
 * Gives way where a limit can no longer be kept: as few limits as possible, each to the least it can still be, so that what is
 * about to dry is rinsed first.
 * @returns the problem that can be kept, and the lags that were given up
 */
export function keepWhatCanBeKept(
  problem: SequenceProblem,
  effort: number,
): { problem: SequenceProblem; lost: Lag[] } {
  const canBeKept = (lags: readonly Lag[]): boolean => urgentFirst({ ...problem, lags }, effort) !== null
  if (canBeKept(problem.lags)) return { problem, lost: [] }
  const done = problem.done ?? new Map<number, number>()
  const open = problem.lags.flatMap((lag, at) =>
    lag.maxSeconds !== null && done.has(lag.from) && !done.has(lag.to) ? [{ lag, at }] : [],
  )
  // The nearest deadline is the first that may be lost.
  open.sort((a, b) => deadline(a.lag) - deadline(b.lag))
  function deadline({ from, maxSeconds }: Lag): number {
    return (done.get(from) ?? 0) + (maxSeconds ?? 0)
  }
  // All open limits given up, then taken back one by one, the latest first, while that can be kept.
  const given = new Set(open.map(({ at }) => at))
  const lagsNow = (limit: ReadonlyMap<number, number>): Lag[] =>
    problem.lags.map((lag, at) => (given.has(at) ? { ...lag, maxSeconds: limit.get(at) ?? null } : lag))
  const limits = new Map<number, number>()
  for (const { at } of [...open].reverse()) {
    given.delete(at)
    if (!canBeKept(lagsNow(limits))) given.add(at)
  }
  // What is lost is done as soon as it can be: the least limit that works, found by halving.
  for (const { lag, at } of open) {
    if (!given.has(at)) continue
    let low = Math.max(0, -(done.get(lag.from) ?? 0))
    let high = low + 15
    while (high < 100_000 && !canBeKept(lagsNow(new Map([...limits, [at, high]])))) {
      low = high
      high = low * 2 + 15
    }
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2)
      if (canBeKept(lagsNow(new Map([...limits, [at, middle]])))) high = middle
      else low = middle
    }
    limits.set(at, high)
  }
  return {
    problem: { ...problem, lags: lagsNow(limits) },
    lost: open.filter(({ at }) => given.has(at)).map(({ lag }) => lag),
  }
}

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
  const made = planProblem(job, plan)
  const known = new Map(settled.map((one) => [one.stepId, one]))
  const done = new Map<number, number>()
  made.steps.forEach((step, id) => {
    const one = known.get(step.id)
    if (one) done.set(id, -Math.round(one.endedSecondsAgo))
  })
  const skipped = new Set(made.steps.flatMap((step, id) => (known.get(step.id)?.isSkipped ? [id] : [])))
  const lags = made.problem.lags.map((lag) => {
    // What was skipped wets nothing and asks for nothing.
    if (skipped.has(lag.from)) return { ...lag, minSeconds: 0, maxSeconds: null }
    // A mist in between begins the film's time anew.
    const one = known.get(made.steps[lag.from]?.id ?? '')
    return one && lag.why === 'wet' && lag.maxSeconds !== null
      ? { ...lag, maxSeconds: lag.maxSeconds + Math.round(one.endedSecondsAgo - one.wettedSecondsAgo) }
      : lag
  })
  const problem = remainingProblem({ ...made.problem, lags }, done, away)
  const before = made.before.filter(({ id }) => !known.has(id))
  const after = made.after.filter(({ id }) => !known.has(id))
  const asEntries = (steps: readonly Step[], from: number): SequenceEntry[] => {
    let at = from
    return steps.map((step) => {
      const startSeconds = at
      at += Math.round(step.operatorSeconds)
      return { stepId: step.id, person: 0, startSeconds, endSeconds: at }
    })
  }
  const openIds = made.steps.flatMap((_, id) => (done.has(id) ? [] : [id]))
  const planned = new Map(plan.sequence?.entries.map((entry) => [entry.stepId, entry]))
  const personOf = (id: number): number =>
    Math.min(problem.people - 1, planned.get(made.steps[id]?.id ?? '')?.person ?? 0)
  const asPlanned = scheduleOf(problem, { operations: openIds, people: openIds.map(personOf) })
  const lead = asEntries(before, 0)
  const begin = lead.at(-1)?.endSeconds ?? 0
  const entriesOf = (schedule: Schedule): SequenceEntry[] => {
    const middle = openIds
      .map((id) => {
        const startSeconds = begin + (schedule.startSeconds[id] as number)
        return {
          stepId: made.steps[id]?.id ?? '',
          person: schedule.person[id] as number,
          startSeconds,
          endSeconds: startSeconds + (made.problem.operations[id]?.durationSeconds ?? 0),
        }
      })
      .sort((a, b) => a.startSeconds - b.startSeconds || a.person - b.person)
    return [...lead, ...middle, ...asEntries(after, begin + schedule.makespanSeconds)]
  }
  if (openIds.length === 0) return { entries: [...lead, ...asEntries(after, begin)], lost: [], dropped: [] }
  if (asPlanned && faultsOf(problem, asPlanned).length === 0)
    return { entries: entriesOf(asPlanned), lost: [], dropped: [] }
  const say = ({ from, to, why }: Lag): string => {
    const next = made.steps[to]
    if (next?.corner && next.act !== 'rinse')
      return `${positionNames[next.corner]} dries before the next step there: mist it in time, else look for stains.`
    return `${next?.title ?? ''} comes late after ${made.steps[from]?.title.toLowerCase() ?? ''} (${why}): do it now, without brushing, and look for stains.`
  }
  const kept = keepWhatCanBeKept(problem, urgentEffort)
  // What is too late is rinsed as it is: nobody brushes on while it dries.
  const unbrushed = kept.lost.flatMap(({ to }) => unbrushedBefore(made.steps, to))
  // Several stages may be too late for one rinse.
  const dropped = [...new Set(unbrushed)].filter((id) => !done.has(id))
  if (dropped.length > 0) {
    const left = dropped.map((id) => made.steps[id]?.id ?? '')
    const rest = resume(
      job,
      plan,
      [
        ...settled,
        ...left.map((stepId) => ({ stepId, endedSecondsAgo: 0, wettedSecondsAgo: 0, isSkipped: true })),
      ],
      away,
      effort,
    )
    return {
      ...rest,
      lost: [...new Set([...kept.lost.map(say), ...rest.lost])],
      dropped: [...left, ...rest.dropped],
    }
  }
  const anew = shortestOf([
    solveWithin(kept.problem, effort).schedule,
    urgentFirst(kept.problem, urgentEffort),
  ])
  // Who has a pattern in mind keeps it, unless it costs more than a calm order may.
  const inPattern = shortestOf(
    [openIds, urgentBefore(kept.problem, openIds)].map((operations) =>
      scheduleOf(kept.problem, { operations, people: operations.map(personOf) }),
    ),
  )
  const isKept =
    job.schools.order === 'calm' &&
    inPattern !== undefined &&
    faultsOf(kept.problem, inPattern).length === 0 &&
    inPattern.makespanSeconds <= calmShare * (anew?.makespanSeconds ?? Infinity)
  const schedule = isKept ? inPattern : anew
  return {
    entries: schedule
      ? entriesOf(schedule)
      : asEntries(
          openIds.map((id) => made.steps[id] as Step),
          begin + Math.min(...Array.from({ length: problem.people }, (_, person) => away[person] ?? 0)),
        ),
    lost: kept.lost.map(say),
    dropped: [],
  }
}

const shortestOf = (schedules: readonly (Schedule | null)[]): Schedule | undefined =>
  schedules.filter((one) => one !== null).sort((a, b) => a.makespanSeconds - b.makespanSeconds)[0]

/** The order as it was planned, but what is wet now is seen to first, the nearest limit before all. */
function urgentBefore(problem: SequenceProblem, planned: readonly number[]): number[] {
  const { lags, done, operations } = problem
  const deadline = ({ from, maxSeconds }: Lag): number => (done?.get(from) ?? 0) + (maxSeconds ?? Infinity)
  const urgent = lags
    .filter(({ from, to, maxSeconds }) => maxSeconds !== null && done?.has(from) && !done.has(to))
    .sort((a, b) => deadline(a) - deadline(b))
    .flatMap(({ to }) =>
      planned
        .slice(0, planned.indexOf(to) + 1)
        .filter((id) => operations[id]?.place === operations[to]?.place),
    )
  return [...new Set([...urgent, ...planned])]
}

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
