import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SequenceProblem } from '@/core/sequence/problem/problem'
import { solveSequence, type SearchAnswer } from './solve'
import { anyProblem, shortestByTrying, smallProblem } from '@/core/sequence/problem/testProblem'
import { faultsOf } from '@/core/sequence/problem/verify'

const solve = (problem: SequenceProblem, effort?: number): SearchAnswer => {
  const running = solveSequence(problem, effort)
  let step = running.next()
  while (!step.done) step = running.next()
  return step.value
}

describe('the sequence', () => {
  it.each([1, 2] as const)('equals trying every order on small problems, %i people', (people) => {
    fc.assert(
      fc.property(anyProblem(people === 1 ? 7 : 5, people), (problem) => {
        const shortest = shortestByTrying(problem)
        const answer = solve(problem, Infinity)
        if (shortest === Infinity) {
          expect(answer.schedule).toBeNull()
          expect(answer.isInfeasible).toBe(true)
          return
        }
        expect(answer.schedule?.makespanSeconds).toBe(shortest)
        expect(answer.lowerBoundSeconds).toBe(shortest)
        expect(faultsOf(problem, answer.schedule as never)).toEqual([])
      }),
      { numRuns: 300 },
    )
  })

  it('fills a dwell with work at another wheel', () => {
    const answer = solve(smallProblem())
    // One wheel after the other waits twice through 60 s: 2 × (150 + 60 + 8) and the walk.
    expect(answer.schedule?.makespanSeconds).toBeLessThan(2 * 218 + 6 - 60)
    expect(answer.lowerBoundSeconds).toBe(answer.schedule?.makespanSeconds)
  })
})
