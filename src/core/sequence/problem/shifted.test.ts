import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SequenceProblem } from './problem'
import { plainSchedule } from './plainSchedule'
import { scheduleOf } from './schedule'
import { shifted } from './shifted'
import { anyProblem, smallProblem } from './testProblem'
import { faultsOf } from './verify'

const halves = (problem: SequenceProblem): [number[], number[]] => {
  const half = Math.ceil(problem.places.length / 2)
  const ids = (isMine: (place: number) => boolean) =>
    problem.operations.filter(({ place }) => isMine(place)).map(({ id }) => id)
  return [ids((place) => place < half), ids((place) => place >= half)]
}

describe('the second person sent later', () => {
  it('has no fault, and is not later than one after the other', () => {
    fc.assert(
      fc.property(anyProblem(10, 2), (problem) => {
        const [first, second] = halves(problem)
        const both = shifted(problem, first, second)
        if (!both) return
        expect(faultsOf(problem, both)).toEqual([])
        const alone = (order: number[]): number =>
          scheduleOf({ ...problem, people: 1 }, { operations: order, people: order.map(() => 0) })
            ?.makespanSeconds ?? NaN
        expect(both.makespanSeconds).toBeLessThanOrEqual(alone(first) + alone(second) + 60)
      }),
    )
  })

  it('goes wherever each order goes by itself and nothing binds the two', () => {
    const problem = smallProblem({ people: 2, singleTools: ['gun', 'bottle', 'brush'] }, 4)
    const [first, second] = halves(problem)
    expect(shifted(problem, first, second)).not.toBeNull()
  })

  it('does not go where an order breaks a lag by itself', () => {
    const problem = smallProblem({ people: 2 }, 2)
    const [first, second] = halves(problem)
    expect(shifted(problem, [...first].reverse(), second)).toBeNull()
  })
})

describe('wheel after wheel', () => {
  it('has no fault for one person or two, where it goes at all', () => {
    for (const people of [1, 2] as const)
      fc.assert(
        fc.property(anyProblem(10, people), (problem) => {
          const plain = plainSchedule(problem)
          if (plain) expect(faultsOf(problem, plain)).toEqual([])
        }),
      )
  })

  it('is shared by two', () => {
    const one = plainSchedule(smallProblem({}, 4))?.makespanSeconds ?? 0
    const two = plainSchedule(smallProblem({ people: 2 }, 4))
    expect(new Set(two?.person)).toEqual(new Set([0, 1]))
    expect(two?.makespanSeconds).toBeLessThan(0.7 * one)
  })
})
