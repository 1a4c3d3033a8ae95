import { itemAt } from './packed'
import type { Schedule, SequenceProblem } from './problem'

/**
 * Everything that is wrong with a schedule, in plain words; empty when it holds. It knows nothing of how the schedule was found
 * and compares every pair itself.
 */
export function faultsOf(problem: SequenceProblem, schedule: Schedule): string[] {
  const { operations, lags, done } = problem
  const faults: string[] = []
  const startOf = (id: number): number => {
    const ended = done?.get(id)
    return ended === undefined
      ? (schedule.startSeconds[id] ?? NaN)
      : ended - (operations[id]?.durationSeconds ?? 0)
  }
  const endOf = (id: number): number => startOf(id) + (operations[id]?.durationSeconds ?? 0)
  const say = (id: number): string => {
    const operation = operations[id]
    return operation ? `${operation.name} at ${problem.places[operation.place]}` : `operation ${id}`
  }
  if (schedule.startSeconds.length !== operations.length || schedule.person.length !== operations.length)
    return [
      `The schedule speaks of ${schedule.startSeconds.length} operations, the job has ${operations.length}.`,
    ]
  const open = operations.filter(({ id }) => !done?.has(id))
  for (const { id } of open) {
    const start = startOf(id)
    const person = itemAt(schedule.person, id)
    if (!Number.isFinite(start) || start < 0) faults.push(`${say(id)} starts at ${start} s.`)
    if (!Number.isInteger(person) || person < 0 || person >= problem.people)
      faults.push(`${say(id)} is given to person ${person}, and there are ${problem.people}.`)
  }
  if (faults.length > 0) return faults
  for (const { from, to, minSeconds, maxSeconds, why } of lags) {
    if (done?.has(from) && done.has(to)) continue
    const lag = startOf(to) - endOf(from)
    if (lag < minSeconds)
      faults.push(`${say(to)} starts ${lag} s after ${say(from)}; at least ${minSeconds} s (${why}).`)
    if (maxSeconds !== null && lag > maxSeconds)
      faults.push(`${say(to)} starts ${lag} s after ${say(from)}; at most ${maxSeconds} s (${why}).`)
  }
  const overlap = (a: number, b: number): boolean => startOf(a) < endOf(b) && startOf(b) < endOf(a)
  for (let person = 0; person < problem.people; person += 1) {
    const theirs = open
      .filter(({ id }) => schedule.person[id] === person)
      .sort((a, b) => startOf(a.id) - startOf(b.id) || endOf(a.id) - endOf(b.id))
    const first = theirs[0]
    const begins = problem.peopleAtStart?.[person]
    if (first && begins) {
      const walk = begins.place === null ? 0 : (problem.walkSeconds[begins.place]?.[first.place] ?? 0)
      const change = begins.place === null || begins.tool === first.tool ? 0 : problem.toolChangeSeconds
      if (startOf(first.id) < begins.availableAtSeconds + walk + change)
        faults.push(`Person ${person + 1} cannot be at ${say(first.id)} so early.`)
    }
    theirs.slice(1).forEach((operation, at) => {
      const before = theirs[at] as (typeof theirs)[number]
      const needed =
        (problem.walkSeconds[before.place]?.[operation.place] ?? 0) +
        (before.tool === operation.tool ? 0 : problem.toolChangeSeconds)
      const had = startOf(operation.id) - endOf(before.id)
      if (had < needed)
        faults.push(
          `${say(operation.id)} starts ${had} s after ${say(before.id)}; the way takes ${needed} s.`,
        )
    })
  }
  for (const tool of problem.singleTools) {
    const users = open.filter((operation) => operation.tool === tool)
    for (const [at, one] of users.entries())
      for (const other of users.slice(at + 1))
        if (overlap(one.id, other.id))
          faults.push(`${say(one.id)} and ${say(other.id)} both want the ${tool}.`)
  }
  for (const [place, name] of problem.places.entries()) {
    const here = open.filter((operation) => operation.place === place)
    for (const one of here) {
      const beside = here.filter(
        ({ id }) => id !== one.id && startOf(id) <= startOf(one.id) && endOf(id) > startOf(one.id),
      ).length
      if (beside + 1 > problem.peoplePerPlace) faults.push(`${beside + 1} people at ${name} at once.`)
    }
  }
  const last = Math.max(0, ...open.map(({ id }) => endOf(id)))
  if (schedule.makespanSeconds !== last)
    faults.push(`It says it ends after ${schedule.makespanSeconds} s, but it takes ${last} s.`)
  return faults
}
