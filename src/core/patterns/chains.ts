import type { SequenceProblem } from '@/core/sequence/problem/problem'

/** What is done at every wheel, in one list, and where each wheel has it. */
export interface Chains {
  /** Places that are gone round, as indexes of the problem. */
  readonly wheels: readonly number[]
  /** The place of what belongs to no wheel; null where there is nothing of the kind. */
  readonly vehicle: number | null
  /** Names of the moves, in an order that holds at every wheel. */
  readonly moves: readonly string[]
  /** By place: the operation of every move, undefined where the wheel has none. */
  readonly operationOf: readonly (readonly (number | undefined)[])[]
  /** What is open at the vehicle, in its order. */
  readonly ofVehicle: readonly number[]
  /** By operation: what has to be over before it. */
  readonly before: readonly (readonly number[])[]
}

/**
 * Lays the wheels' work side by side.
 * @param moveOf by operation, a name that is the same for the same work at another wheel
 * @param vehicle the place of what belongs to no wheel
 */
export function chainsOf(
  problem: SequenceProblem,
  moveOf: readonly string[],
  vehicle: number | null,
): Chains {
  const open = problem.operations.filter(({ id }) => !problem.done?.has(id))
  const idsAt = (place: number): number[] => open.flatMap((one) => (one.place === place ? [one.id] : []))
  const wheels = problem.places.flatMap((_, place) =>
    place !== vehicle && idsAt(place).length > 0 ? [place] : [],
  )
  const moves: string[] = []
  for (const place of wheels) {
    // What another wheel does not know goes behind what comes before it here.
    let at = 0
    for (const id of idsAt(place)) {
      const name = moveOf[id] as string
      const known = moves.indexOf(name)
      if (known < 0) moves.splice(at, 0, name)
      at = (known < 0 ? at : known) + 1
    }
  }
  const operationOf = problem.places.map((_, place) => {
    const byMove = new Map(idsAt(place).map((id) => [moveOf[id], id]))
    return moves.map((name) => byMove.get(name))
  })
  const before: number[][] = problem.operations.map(() => [])
  for (const { from, to } of problem.lags) before[to]?.push(from)
  return { wheels, vehicle, moves, operationOf, ofVehicle: vehicle === null ? [] : idsAt(vehicle), before }
}
