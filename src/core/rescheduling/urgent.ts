import type { Lag, Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'
import { solveSequence } from '@/core/sequence/solve'

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
export function urgentFirst(problem: SequenceProblem, effort: number): Schedule | null {
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

/** Limits that run now, and those of them that have to be given up. */
interface GivenUp {
  /** Places in the problem's lags, the nearest deadline first. */
  readonly open: readonly number[]
  readonly given: ReadonlySet<number>
}

const canBeKept = (problem: SequenceProblem, lags: readonly Lag[], effort: number): boolean =>
  urgentFirst({ ...problem, lags }, effort) !== null

/** The lags with what is given up limited to what is known of it, or not at all. */
const lagsWithout = (
  { lags }: SequenceProblem,
  given: ReadonlySet<number>,
  limits: ReadonlyMap<number, number> = new Map(),
): Lag[] => lags.map((lag, at) => (given.has(at) ? { ...lag, maxSeconds: limits.get(at) ?? null } : lag))

function giveUp(problem: SequenceProblem, effort: number): GivenUp {
  const { lags, done = new Map<number, number>() } = problem
  if (canBeKept(problem, lags, effort)) return { open: [], given: new Set() }
  const deadline = (at: number): number => {
    const { from, maxSeconds } = lags[at] as Lag
    return (done.get(from) ?? 0) + (maxSeconds ?? 0)
  }
  // The nearest deadline is the first that may be lost.
  const open = lags
    .flatMap((lag, at) => (lag.maxSeconds !== null && done.has(lag.from) && !done.has(lag.to) ? [at] : []))
    .sort((a, b) => deadline(a) - deadline(b))
  // All open limits given up, then taken back one by one, the latest first, while that can be kept.
  const given = new Set(open)
  for (const at of [...open].reverse()) {
    given.delete(at)
    if (!canBeKept(problem, lagsWithout(problem, given), effort)) given.add(at)
  }
  return { open, given }
}

/** How many limits that run now can no longer be kept, as few as possible. */
export const limitsLost = (problem: SequenceProblem, effort: number): number =>
  giveUp(problem, effort).given.size

/**
 * Gives way where a limit can no longer be kept: as few limits as possible, each to the least it can still be, so that what is
 * about to dry is rinsed first.
 * @returns the problem that can be kept, and the lags that were given up
 */
export function keepWhatCanBeKept(
  problem: SequenceProblem,
  effort: number,
): { problem: SequenceProblem; lost: Lag[] } {
  const { open, given } = giveUp(problem, effort)
  if (given.size === 0) return { problem, lost: [] }
  const limits = new Map<number, number>()
  const keeps = (at: number, seconds: number): boolean =>
    canBeKept(problem, lagsWithout(problem, given, new Map([...limits, [at, seconds]])), effort)
  // What is lost is done as soon as it can be: the least limit that works, found by halving.
  for (const at of open) {
    if (!given.has(at)) continue
    const { from } = problem.lags[at] as Lag
    let low = Math.max(0, -(problem.done?.get(from) ?? 0))
    let high = low + 15
    while (high < 100_000 && !keeps(at, high)) {
      low = high
      high = low * 2 + 15
    }
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2)
      if (keeps(at, middle)) high = middle
      else low = middle
    }
    limits.set(at, high)
  }
  return {
    problem: { ...problem, lags: lagsWithout(problem, given, limits) },
    lost: open.filter((at) => given.has(at)).map((at) => problem.lags[at] as Lag),
  }
}

/** The order as it was planned, but what is wet now is seen to first, the nearest limit before all. */
export function urgentBefore(problem: SequenceProblem, planned: readonly number[]): number[] {
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
