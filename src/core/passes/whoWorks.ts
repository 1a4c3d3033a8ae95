import type { PlanSequence } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import type { PlanPass } from './planPass'

/** Who works a pass, counted from 1. */
export interface PassPeople {
  /** At each of its wheels; empty where the steps stand in no order. */
  readonly atWheel: ReadonlyMap<Position, readonly number[]>
  /** Who does a move at all its wheels, by the move's place; only where two share a wheel and have moves of their own. */
  readonly ofMove: ReadonlyMap<number, number>
}

const distinct = (people: readonly number[]): number[] => [...new Set(people)].sort((a, b) => a - b)

/** Says who works where in a pass, and who does which move where two are at one wheel. */
export function whoWorks(pass: PlanPass, { entries }: Pick<PlanSequence, 'entries'>): PassPeople {
  const personOf = new Map(entries.map(({ stepId, person }) => [stepId, person + 1]))
  const peopleOf = (stepIds: readonly string[]): number[] =>
    distinct(stepIds.flatMap((id) => personOf.get(id) ?? []))
  const steps = pass.moves.flatMap(({ stepIds }) => stepIds)
  const atWheel = new Map(
    pass.corners.map((corner) => [corner, peopleOf(steps.filter((id) => id.startsWith(`${corner}.`)))]),
  )
  const isShared = [...atWheel.values()].some((people) => people.length > 1)
  const ofMove = new Map(
    pass.moves.flatMap(({ stepIds }, at): [number, number][] => {
      const [person, other] = peopleOf(stepIds)
      return isShared && person !== undefined && other === undefined ? [[at, person]] : []
    }),
  )
  return { atWheel, ofMove }
}
