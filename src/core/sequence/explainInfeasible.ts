import { message, type Said } from '@/core/message/message'
import { itemAt } from '@/core/sequence/problem/packed'
import type { Lag, SequenceProblem } from '@/core/sequence/problem/problem'
import { solveSequence } from './solve'

/** The longest lag that stands in the way at one place, and how much longer it would have to be. */
export interface BrokenLag {
  readonly place: string
  readonly from: string
  readonly to: string
  readonly why: string
  readonly maxSeconds: number
  /** With this much the place can be worked; null: not by this lag alone. */
  readonly neededSeconds: number | null
  /** The fewest parts of the place that can be worked one after the other, each with its own limits; null: not even quarters. */
  readonly sections: number | null
  readonly secondPersonHelps: boolean
}

const sectionCounts = [2, 3, 4]

/** One part of a place: every piece of work there is shorter in proportion. */
const inSections = (problem: SequenceProblem, sections: number): SequenceProblem => ({
  ...problem,
  operations: problem.operations.map((operation) => ({
    ...operation,
    durationSeconds: Math.max(1, Math.ceil(operation.durationSeconds / sections)),
  })),
})

const effort = 6_000

const canBeWorked = (problem: SequenceProblem): boolean => {
  const running = solveSequence(problem, effort)
  let step = running.next()
  while (!step.done) step = running.next()
  return step.value.schedule !== null
}

/** The work at one place as a problem of its own. */
export function placeAlone(problem: SequenceProblem, place: number): SequenceProblem {
  const ids = problem.operations.filter((operation) => operation.place === place).map(({ id }) => id)
  const local = new Map(ids.map((id, at) => [id, at]))
  return {
    ...problem,
    places: [problem.places[place] as string],
    operations: ids.flatMap((id, at) => {
      const operation = problem.operations[id]
      return operation ? [{ ...operation, id: at, place: 0 }] : []
    }),
    lags: problem.lags.flatMap((lag) => {
      const from = local.get(lag.from)
      const to = local.get(lag.to)
      return from === undefined || to === undefined ? [] : [{ ...lag, from, to }]
    }),
    walkSeconds: [[0]],
  }
}

/** Names the one longest lag of a place that would have to give way least; tried one after the other. */
export function brokenLagOf(problem: SequenceProblem, place: number): BrokenLag | null {
  const alone = placeAlone(problem, place)
  const withLag = (at: number, changed: Partial<Lag>): SequenceProblem => ({
    ...alone,
    lags: alone.lags.map((lag, index) => (index === at ? { ...lag, ...changed } : lag)),
  })
  const sections = sectionCounts.find((count) => canBeWorked(inSections(alone, count))) ?? null
  const secondPersonHelps = alone.people === 1 && canBeWorked({ ...alone, people: 2, peoplePerPlace: 2 })
  const say = (at: number, neededSeconds: number | null): BrokenLag => {
    const lag = itemAt(alone.lags, at)
    return {
      place: alone.places[0] as string,
      from: alone.operations[lag.from]?.name ?? '',
      to: alone.operations[lag.to]?.name ?? '',
      why: lag.why,
      maxSeconds: lag.maxSeconds as number,
      neededSeconds,
      sections,
      secondPersonHelps,
    }
  }
  const limited = alone.lags.flatMap(({ maxSeconds }, at) => (maxSeconds === null ? [] : [at]))
  let best: BrokenLag | null = null
  for (const at of limited) {
    if (!canBeWorked(withLag(at, { maxSeconds: null }))) continue
    const known = alone.lags[at]?.maxSeconds as number
    let low = known
    let high = known + 1
    while (!canBeWorked(withLag(at, { maxSeconds: high }))) {
      low = high
      high = known + (high - known) * 2
    }
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2)
      if (canBeWorked(withLag(at, { maxSeconds: middle }))) high = middle
      else low = middle
    }
    const found = say(at, high)
    if (!best || high - known < (best.neededSeconds as number) - best.maxSeconds) best = found
  }
  return best ?? (limited[0] === undefined ? null : say(limited[0], null))
}

/** What would help, the smallest change first; empty where nothing of it does. */
export function helpFor({ neededSeconds, maxSeconds, sections, secondPersonHelps }: BrokenLag): Said {
  const ways = [
    ...(sections === null ? [] : [message('problems.sequence.helps.parts', { count: sections })]),
    ...(neededSeconds === null
      ? []
      : [
          message('problems.sequence.helps.wetLonger', {
            more: neededSeconds - maxSeconds,
            seconds: neededSeconds,
          }),
        ]),
    ...(secondPersonHelps ? [message('problems.sequence.helps.second')] : []),
  ]
  return ways.length === 0 ? '' : message('problems.sequence.helps.if', { ways: { either: ways } })
}
