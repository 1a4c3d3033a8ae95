import type { Job } from '@/core/job/job'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Step } from '@/core/plan/plan'
import type { Lag, Operation, SequenceProblem } from '@/core/sequence/problem/problem'

/** A mist that is in no plan: the bay asks for it once the film is nearly dry. */
export interface SpareMist {
  readonly id: number
  /** The operation whose wait it bridges. */
  readonly before: number
}

const isOpenWet =
  (done: ReadonlyMap<number, number>) =>
  ({ from, to, maxSeconds, why }: Lag): boolean =>
    why === 'wet' && maxSeconds !== null && done.has(from) && !done.has(to)

/**
 * Where the next step has to wait for a dwell longer than the film lasts, it is misted in between, as often as that takes. So it is
 * where somebody misted straight after the spray, or tapped both in a burst.
 * @param problem what is left, from now
 * @param wetLags how long each film lasts when it is fresh
 * @returns the problem with the mists at the end of its operations
 */
export function withSpareMists(
  job: Job,
  problem: SequenceProblem,
  steps: readonly Step[],
  wetLags: readonly Lag[],
): { readonly problem: SequenceProblem; readonly mists: readonly SpareMist[] } {
  const done = problem.done ?? new Map<number, number>()
  const mistSeconds = Math.round(estimate('secondsReMist', job.estimates))
  const operations: Operation[] = [...problem.operations]
  const mists: SpareMist[] = []
  const bridged = problem.lags.flatMap((lag): readonly Lag[] => {
    const fresh = wetLags.find(({ from, to, why }) => why === 'wet' && from === lag.from && to === lag.to)
    const dwell = problem.lags.find(({ to, why, from }) => why === 'dwell' && to === lag.to && done.has(from))
    const next = operations[lag.to]
    if (!isOpenWet(done)(lag) || !dwell || !next || fresh?.maxSeconds == null) return [lag]
    const driesAt = (done.get(lag.from) ?? 0) + (lag.maxSeconds ?? 0)
    const readyAt = (done.get(dwell.from) ?? 0) + dwell.minSeconds
    const lasts = (steps[lag.from]?.wetLimitSeconds ?? 0) - mistSeconds
    // What the brush takes off the film's time it does not take off before a mist.
    const first = lasts + (lag.maxSeconds ?? 0) - fresh.maxSeconds
    const isDry = (done.get(lag.from) ?? 0) + first < 0
    if (readyAt <= driesAt || isDry || lasts <= 0) return [lag]
    // From one mist to the next its own length passes too.
    const count = Math.ceil((readyAt - driesAt) / (lasts + mistSeconds))
    const tool = operations[dwell.from]?.tool ?? next.tool
    const ids = Array.from({ length: count }, (_, at) => operations.length + at)
    for (const id of ids) {
      operations.push({ id, place: next.place, name: 'Mist', durationSeconds: mistSeconds, tool })
      mists.push({ id, before: lag.to })
    }
    return [...ids, lag.to].map((to, at) => ({
      from: ids[at - 1] ?? lag.from,
      to,
      minSeconds: 0,
      maxSeconds: at === 0 ? first : to === lag.to ? fresh.maxSeconds : lasts,
      why: 'wet',
    }))
  })
  return { problem: { ...problem, operations, lags: bridged }, mists }
}

/** The operation a limit is for; of a mist, what waits for it. */
export const waitingFor = (id: number, mists: readonly SpareMist[]): number =>
  mists.find((mist) => mist.id === id)?.before ?? id

/** Operations in order, each spare mist just before what waits for it. */
export const mistedOrder = (operations: readonly number[], mists: readonly SpareMist[]): number[] =>
  operations.flatMap((id) => [...mists.flatMap((mist) => (mist.before === id ? [mist.id] : [])), id])
