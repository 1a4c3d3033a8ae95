import { message, type Message } from '@/core/message/message'
import { floatAt } from './packed'
import { fail, failWith, showFound, succeed, type Problem, type Result } from '@/core/result'
import type { Lag, SequenceProblem } from './problem'

/** More are not one job. */
export const maxPlaces = 12
export const maxOperations = 600

/** Whether a problem makes sense at all: its people, its places, and lags that do not contradict each other. */
export function checkProblem(problem: SequenceProblem): Result<SequenceProblem> {
  const problems: Problem[] = []
  const say = (path: string, found: unknown, fix: Message) =>
    problems.push({ path, found: showFound(found), fix })
  const { places, operations, lags, people } = problem
  if (people !== 1 && people !== 2) say('workers', people, message('problems.sequence.people'))
  if (places.length > maxPlaces)
    say('wheels', places.length, message('fields.tooManyWheels', { most: maxPlaces }))
  if (operations.length > maxOperations)
    say('ops', operations.length, message('problems.sequence.tooMany', { most: maxOperations }))
  operations.forEach(({ id, place }, at) => {
    if (id !== at) say(`ops[${at}].id`, id, message('problems.sequence.numbers'))
    if (!places[place])
      say(`ops[${at}].wheel`, place, message('problems.sequence.noWheel', { count: places.length }))
  })
  lags.forEach(({ from, to, minSeconds, maxSeconds }, at) => {
    for (const [key, id] of [
      ['a', from],
      ['b', to],
    ] as const)
      if (!operations[id])
        say(`lags[${at}].${key}`, id, message('problems.sequence.noOperation', { count: operations.length }))
    if (from === to) say(`lags[${at}].b`, to, message('problems.sequence.sameOperation'))
    if (maxSeconds !== null && maxSeconds < minSeconds)
      say(
        `lags[${at}].max_s`,
        maxSeconds,
        message('problems.sequence.shortestLongest', { max: maxSeconds, min: minSeconds }),
      )
  })
  if (
    problem.walkSeconds.length !== places.length ||
    problem.walkSeconds.some((row) => row.length !== places.length)
  )
    say('walk_s', problem.walkSeconds.length, message('problems.sequence.walks', { count: places.length }))
  if (problems.length > 0) return failWith(problems)
  const cycle = cycleOf(operations.length, lags)
  if (cycle)
    return fail({
      path: 'lags',
      found: cycle.map((id) => `${id} ${operations[id]?.name ?? ''}`).join(' → '),
      fix: message('problems.sequence.circle'),
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
        fix: message('problems.sequence.clash', {
          operation: operations[to]?.name ?? '',
          wheel: places[operations[to]?.place ?? 0] ?? '',
          before: operations[from]?.name ?? '',
          max: maxSeconds,
          why,
          least,
        }),
      }
  }
  return null
}
