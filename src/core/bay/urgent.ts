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
