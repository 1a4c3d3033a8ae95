import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Annealer } from './anneal'
import { Draws } from '@/core/sequence/problem/seededRandom'
import { Merger } from './merge'
import { prepare } from '@/core/sequence/problem/prepared'
import type { SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'
import { anyProblem, smallProblem } from '@/core/sequence/problem/testProblem'
import { faultsOf } from '@/core/sequence/problem/verify'

/** The shortest end of two fixed orders over every way to shuffle them into one, tried one by one. */
function shortestShuffle(
  problem: SequenceProblem,
  first: readonly number[],
  second: readonly number[],
): number {
  let best = Infinity
  const shuffle = (one: number, other: number, operations: number[], people: number[]): void => {
    if (one === first.length && other === second.length) {
      const schedule = scheduleOf(problem, { operations, people })
      best = Math.min(best, schedule?.makespanSeconds ?? Infinity)
      return
    }
    if (one < first.length) shuffle(one + 1, other, [...operations, first[one] as number], [...people, 0])
    if (other < second.length)
      shuffle(one, other + 1, [...operations, second[other] as number], [...people, 1])
  }
  shuffle(0, 0, [], [])
  return best
}

const personOf = (problem: SequenceProblem, second: readonly number[]): number[] =>
  problem.operations.map(({ id }) => Number(second.includes(id)))

const endOf = (problem: SequenceProblem, start: Int32Array): number =>
  Math.max(...problem.operations.map(({ id, durationSeconds }) => (start[id] as number) + durationSeconds))

describe('two fixed orders on one clock', () => {
  it('ends as early as the best shuffle of the two, and breaks nothing', () => {
    fc.assert(
      fc.property(
        anyProblem(7, 2),
        fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }),
        (problem, isSecond) => {
          const ids = problem.operations.map(({ id }) => id)
          const first = ids.filter((id) => !isSecond[id])
          const second = ids.filter((id) => isSecond[id])
          const shortest = shortestShuffle(problem, first, second)
          const start = new Merger(prepare(problem)).merge(first, second, Infinity, 5000)
          if (!start) {
            expect(shortest).toBe(Infinity)
            return
          }
          expect(endOf(problem, start)).toBe(shortest)
          const schedule = {
            makespanSeconds: shortest,
            startSeconds: [...start],
            person: personOf(problem, second),
          }
          expect(faultsOf(problem, schedule)).toEqual([])
        },
      ),
      { numRuns: 400 },
    )
  })

  it('finds nothing that ends later than was asked for', () => {
    const problem = smallProblem({ people: 2 })
    const merger = new Merger(prepare(problem))
    const start = merger.merge([0, 1, 2, 3], [4, 5, 6, 7], Infinity, 100) as Int32Array
    const end = endOf(problem, start)
    expect(merger.merge([0, 1, 2, 3], [4, 5, 6, 7], end, 100)).toBeNull()
    expect(merger.merge([0, 1, 2, 3], [4, 5, 6, 7], end + 1, 100)).toEqual(start)
  })

  it('starts from what is done and from where people stand', () => {
    const problem = smallProblem({
      people: 2,
      done: new Map([[0, -30]]),
      peopleAtStart: [
        { availableAtSeconds: 0, place: 1, tool: 'towel' },
        { availableAtSeconds: 15, place: null, tool: null },
      ],
    })
    const start = new Merger(prepare(problem)).merge([1, 2, 3], [4, 5, 6, 7], Infinity, 100) as Int32Array
    // 60 s of dwell from 30 s ago; the walk and the change of tool are over by then.
    expect(start[1]).toBe(30)
    expect(start[4]).toBe(15)
  })
})

describe('annealing', () => {
  it('only ever yields what ends earlier and holds, the same every time', () => {
    const problem = smallProblem({ people: 2 }, 4)
    const annealer = new Annealer(prepare(problem))
    const orders = [
      [0, 1, 2, 3, 4, 5, 6, 7],
      [8, 9, 10, 11, 12, 13, 14, 15],
    ] as const
    const from = annealer.pair(orders, Infinity)
    if (!from) throw new Error('no clock')
    const run = () =>
      [...annealer.anneal(from, { tries: 3000, hot: 0.01, cold: 0.001, seed: 7 })].flatMap((one) => one ?? [])
    const found = run()
    expect(found.length).toBeGreaterThan(0)
    let least = from.makespanSeconds
    for (const { orders: better, startSeconds, makespanSeconds } of found) {
      expect(makespanSeconds).toBeLessThan(least)
      least = makespanSeconds
      const person = personOf(problem, better[1])
      expect(faultsOf(problem, { makespanSeconds, startSeconds: [...startSeconds], person })).toEqual([])
    }
    expect(run()).toEqual(found)
  })

  it('leaves one person everything', () => {
    const problem = smallProblem({}, 3)
    const annealer = new Annealer(prepare(problem))
    const from = annealer.pair([problem.operations.map(({ id }) => id), []], Infinity)
    if (!from) throw new Error('no clock')
    for (const found of annealer.anneal(from, { tries: 2000, hot: 0.01, cold: 0.001, seed: 1 }))
      expect(found?.orders[1] ?? []).toEqual([])
  })
})

describe('draws', () => {
  it('are the same for the same seed and spread over the whole range', () => {
    const draws = (seed: number): number[] => {
      const from = new Draws(seed)
      return Array.from({ length: 2000 }, () => from.draw(10))
    }
    expect(draws(3)).toEqual(draws(3))
    expect(draws(3)).not.toEqual(draws(4))
    const counts = Array.from({ length: 10 }, (_, digit) => draws(5).filter((one) => one === digit).length)
    expect(Math.min(...counts)).toBeGreaterThan(140)
    expect(Math.max(...counts)).toBeLessThan(260)
  })
})
