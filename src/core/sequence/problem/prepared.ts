import { intAt } from './packed'
import type { SequenceProblem } from './problem'

/** A lag seen from one of its ends. */
export interface Link {
  readonly other: number
  readonly min: number
  /** −1: no upper limit. */
  readonly max: number
}

/** The problem with indices in place of names, as the search reads it. */
export interface Prepared {
  readonly problem: SequenceProblem
  readonly count: number
  readonly people: number
  readonly duration: Int32Array
  readonly place: Int32Array
  readonly tool: Int32Array
  /** 1 where there is one only. */
  readonly isSingle: Uint8Array
  readonly toolCount: number
  readonly before: readonly (readonly Link[])[]
  readonly after: readonly (readonly Link[])[]
  readonly placeCount: number
  readonly walk: readonly (readonly number[])[]
  readonly change: number
  /** One person at a place at a time, with more than one person about. */
  readonly exclusivePlaces: boolean
  readonly isDone: Uint8Array
  /** 1 where something has to follow within a time. */
  readonly hasDeadline: Uint8Array
}

export function prepare(problem: SequenceProblem): Prepared {
  const { operations, lags } = problem
  const tools = [
    ...new Set([
      ...operations.map(({ tool }) => tool),
      ...(problem.peopleAtStart ?? []).flatMap(({ tool }) => (tool === null ? [] : [tool])),
    ]),
  ]
  const links = (end: 'from' | 'to', other: 'from' | 'to'): Link[][] => {
    const all: Link[][] = operations.map(() => [])
    for (const lag of lags)
      all[lag[end]]?.push({ other: lag[other], min: lag.minSeconds, max: lag.maxSeconds ?? -1 })
    return all
  }
  const isDone = new Uint8Array(operations.length)
  for (const id of problem.done?.keys() ?? []) isDone[id] = 1
  return {
    problem,
    count: operations.length,
    people: problem.people,
    duration: Int32Array.from(operations, ({ durationSeconds }) => durationSeconds),
    place: Int32Array.from(operations, ({ place }) => place),
    tool: Int32Array.from(operations, ({ tool }) => tools.indexOf(tool)),
    isSingle: Uint8Array.from(tools, (tool) =>
      Number(problem.people > 1 && problem.singleTools.includes(tool)),
    ),
    toolCount: tools.length,
    before: links('to', 'from'),
    after: links('from', 'to'),
    placeCount: problem.places.length,
    walk: problem.walkSeconds,
    change: problem.toolChangeSeconds,
    exclusivePlaces: problem.people > 1 && problem.peoplePerPlace < problem.people,
    isDone,
    hasDeadline: Uint8Array.from(operations, ({ id }) =>
      Number(lags.some(({ from, maxSeconds }) => from === id && maxSeconds !== null)),
    ),
  }
}

export const toolIndex = (prepared: Prepared, tool: string): number => {
  const known = prepared.problem.operations.findIndex((one) => one.tool === tool)
  return known >= 0 ? intAt(prepared.tool, known) : prepared.toolCount
}
