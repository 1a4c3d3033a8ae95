import { floatAt } from './packed'
import type { FoundOrder } from './foundOrder'
import { setupSeconds, type Schedule, type SequenceProblem } from './problem'

/**
 * The clock of an order: every operation as early as all lags, the people and the single tools allow. A spray starts later where
 * an earlier start would let its chemical dry.
 * @param notBeforeSeconds what may not start before a second, by operation
 * @returns null when the order breaks a lag
 */
export function scheduleOf(
  problem: SequenceProblem,
  order: Pick<FoundOrder, 'operations' | 'people'>,
  notBeforeSeconds: ReadonlyMap<number, number> = new Map(),
): Schedule | null {
  const { operations, lags, done } = problem
  const count = operations.length
  const start = new Float64Array(count)
  const person = new Int32Array(count).fill(-1)
  const edges: { readonly from: number; readonly to: number; readonly seconds: number }[] = []
  const lengthOf = (id: number): number => operations[id]?.durationSeconds ?? 0
  for (const [id, ended] of done ?? []) start[id] = ended - lengthOf(id)
  const fixed = (id: number): boolean => done?.has(id) ?? false
  for (const { from, to, minSeconds, maxSeconds } of lags) {
    edges.push({ from, to, seconds: lengthOf(from) + minSeconds })
    if (maxSeconds !== null) edges.push({ from: to, to: from, seconds: -(maxSeconds + lengthOf(from)) })
  }
  const lastOfPerson = new Map<number, number>()
  const lastOfTool = new Map<string, number>()
  const lastOfPlace = new Map<number, number>()
  const single = new Set(problem.people > 1 ? problem.singleTools : [])
  order.operations.forEach((id, at) => {
    const who = order.people[at] ?? 0
    const operation = operations[id]
    if (!operation) return
    person[id] = who
    const last = lastOfPerson.get(who)
    const before = last === undefined ? undefined : operations[last]
    if (before)
      edges.push({
        from: before.id,
        to: id,
        seconds: before.durationSeconds + setupSeconds(problem, before, operation),
      })
    else {
      const at0 = problem.peopleAtStart?.[who]
      start[id] =
        (at0?.availableAtSeconds ?? 0) +
        (at0?.place == null
          ? 0
          : setupSeconds(problem, { place: at0.place, tool: at0.tool ?? '' }, operation))
    }
    start[id] = Math.max(floatAt(start, id), notBeforeSeconds.get(id) ?? 0)
    lastOfPerson.set(who, id)
    if (single.has(operation.tool)) {
      const user = lastOfTool.get(operation.tool)
      if (user !== undefined) edges.push({ from: user, to: id, seconds: lengthOf(user) })
      lastOfTool.set(operation.tool, id)
    }
    if (problem.people > 1 && problem.peoplePerPlace < problem.people) {
      const there = lastOfPlace.get(operation.place)
      if (there !== undefined) edges.push({ from: there, to: id, seconds: lengthOf(there) })
      lastOfPlace.set(operation.place, id)
    }
  })
  // Longest paths; more rounds than operations mean a way round that gains time, which no clock can keep.
  for (let round = 0; round <= count + 1; round += 1) {
    let moved = false
    for (const { from, to, seconds } of edges) {
      const earliest = floatAt(start, from) + seconds
      if (earliest > floatAt(start, to)) {
        if (fixed(to)) return null
        start[to] = earliest
        moved = true
      }
    }
    if (!moved) {
      const makespanSeconds = operations.reduce(
        (last, { id, durationSeconds }) =>
          fixed(id) ? last : Math.max(last, floatAt(start, id) + durationSeconds),
        0,
      )
      return { makespanSeconds, startSeconds: [...start], person: [...person] }
    }
  }
  return null
}
