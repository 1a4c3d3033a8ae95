import { floatAt } from './packed'
import { fail, failWith, showFound, succeed, type Problem, type Result } from '@/core/result'
import type { Lag, SequenceProblem } from './problem'

/** More are not one job. */
export const maxPlaces = 12
export const maxOperations = 600

/** Whether a problem makes sense at all: its people, its places, and lags that do not contradict each other. */
export function checkProblem(problem: SequenceProblem): Result<SequenceProblem> {
  const problems: Problem[] = []
  const say = (path: string, found: unknown, mend: string) =>
    problems.push({ path, found: showFound(found), mend })
  const { places, operations, lags, people } = problem
  if (people !== 1 && people !== 2) say('workers', people, 'Give 1 or 2 people.')
  if (places.length > maxPlaces)
    say('wheels', places.length, `At most ${maxPlaces} wheels in one job; split it.`)
  if (operations.length > maxOperations)
    say('ops', operations.length, `At most ${maxOperations} operations in one job; split it.`)
  operations.forEach(({ id, place }, at) => {
    if (id !== at) say(`ops[${at}].id`, id, 'Number the operations 0, 1, 2 … in the order of the list.')
    if (!places[place]) say(`ops[${at}].wheel`, place, `There are ${places.length} wheels, numbered from 0.`)
  })
  lags.forEach(({ from, to, minSeconds, maxSeconds }, at) => {
    for (const [key, id] of [
      ['a', from],
      ['b', to],
    ] as const)
      if (!operations[id])
        say(`lags[${at}].${key}`, id, `There are ${operations.length} operations, numbered from 0.`)
    if (from === to) say(`lags[${at}].b`, to, 'A lag goes from one operation to another.')
    if (maxSeconds !== null && maxSeconds < minSeconds)
      say(
        `lags[${at}].max_s`,
        maxSeconds,
        `The longest (${maxSeconds} s) is below the shortest (${minSeconds} s).`,
      )
  })
  if (
    problem.walkSeconds.length !== places.length ||
    problem.walkSeconds.some((row) => row.length !== places.length)
  )
    say('walk_s', problem.walkSeconds.length, `Give ${places.length} rows of ${places.length} walking times.`)
  if (problems.length > 0) return failWith(problems)
  const cycle = cycleOf(operations.length, lags)
  if (cycle)
    return fail({
      path: 'lags',
      found: cycle.map((id) => `${id} ${operations[id]?.name ?? ''}`).join(' → '),
      mend: 'Each of these has to come before the next, and the last before the first; take one of these lags out.',
    })
  const clash = clashOf(problem)
  return clash ? fail(clash) : succeed(problem)
}

/** Operations that have to come before each other, if any. */
function cycleOf(count: number, lags: readonly Lag[]): number[] | null {
  const after: number[][] = Array.from({ length: count }, () => [])
  for (const { from, to } of lags) after[from]?.push(to)
  const state = new Uint8Array(count)
  const path: number[] = []
  const visit = (id: number): number[] | null => {
    state[id] = 1
    path.push(id)
    for (const next of after[id] as number[]) {
      if (state[next] === 1) return [...path.slice(path.indexOf(next)), next]
      const found = state[next] === 0 ? visit(next) : null
      if (found) return found
    }
    state[id] = 2
    path.pop()
    return null
  }
  for (let id = 0; id < count; id += 1) {
    const found = state[id] === 0 ? visit(id) : null
    if (found) return found
  }
  return null
}

/** A longest lag that the other lags alone make impossible, whoever works: longest paths that push it apart. */
function clashOf({ operations, lags, places }: SequenceProblem): Problem | null {
  const apart = (from: number): Float64Array => {
    // Earliest start of everything after the end of one operation.
    const earliest = new Float64Array(operations.length).fill(-Infinity)
    earliest[from] = -(operations[from]?.durationSeconds ?? 0)
    for (let round = 0; round < operations.length; round += 1) {
      let moved = false
      for (const { from: a, to: b, minSeconds } of lags) {
        const start = floatAt(earliest, a) + (operations[a]?.durationSeconds ?? 0) + minSeconds
        if (start > floatAt(earliest, b)) {
          earliest[b] = start
          moved = true
        }
      }
      if (!moved) break
    }
    return earliest
  }
  for (const [at, { from, to, maxSeconds, why }] of lags.entries()) {
    if (maxSeconds === null) continue
    const least = floatAt(apart(from), to)
    if (least > maxSeconds)
      return {
        path: `lags[${at}].max_s`,
        found: String(maxSeconds),
        mend: `${operations[to]?.name} at ${places[operations[to]?.place ?? 0]} may start at most ${maxSeconds} s after ${operations[from]?.name} (${why}), but the other lags keep it off for ${least} s.`,
      }
  }
  return null
}
