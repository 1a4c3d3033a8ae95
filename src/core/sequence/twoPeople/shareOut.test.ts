import { describe, expect, it } from 'vitest'
import type { Pair } from '@/core/sequence/merging/anneal'
import { LayeredSearch } from '@/core/sequence/layers/layeredSearch'
import { patient, quick, type Patience } from './patience'
import { plainSchedule } from '@/core/sequence/problem/plainSchedule'
import { prepare } from '@/core/sequence/problem/prepared'
import type { SequenceProblem } from '@/core/sequence/problem/problem'
import { Search } from '@/core/sequence/search/search'
import { offerPair, pairsOfShares, shiftedPair } from './shareOut'
import { solveSequence } from '@/core/sequence/solve'
import { smallProblem } from '@/core/sequence/problem/testProblem'
import { faultsOf } from '@/core/sequence/problem/verify'

const four = (changes: Partial<SequenceProblem> = {}) => smallProblem({ people: 2, ...changes }, 4)
const searchOf = (problem: SequenceProblem) => {
  const alone = new LayeredSearch(prepare({ ...problem, people: 1 }))
  const prepared = prepare(problem)
  return new Search(problem, prepared, new LayeredSearch(prepared), alone, true, solveSequence)
}
const pairsFor = (problem: SequenceProblem, patience: Patience): { search: Search; pairs: Pair[] } => {
  const search = searchOf(problem)
  const pairs: Pair[] = []
  for (const made of pairsOfShares(search, patience))
    if ('orders' in made) {
      pairs.push(made)
      offerPair(search, made)
    }
  return { search, pairs }
}
const scheduleOfPair = (problem: SequenceProblem, { orders, startSeconds, makespanSeconds }: Pair) => ({
  makespanSeconds,
  startSeconds: [...startSeconds],
  person: problem.operations.map(({ id }) => (orders[0].includes(id) ? 0 : 1)),
})

describe('work shared out between two', () => {
  it.each([
    ['quickly', quick, {}],
    ['with time', patient, {}],
    ['quickly, every tool but once', quick, { singleTools: ['gun', 'brush', 'sprayer', 'towel'] }],
    ['with time, every tool but once', patient, { singleTools: ['gun', 'brush', 'sprayer', 'towel'] }],
    ['quickly, one at a wheel', quick, { peoplePerPlace: 1 }],
  ] as const)('%s has everything once and no fault', (_, patience, changes) => {
    const problem = four(changes)
    const { pairs } = pairsFor(problem, patience)
    expect(pairs.length).toBeGreaterThan(0)
    for (const pair of pairs) {
      expect([...pair.orders[0], ...pair.orders[1]].sort((a, b) => a - b)).toEqual(
        problem.operations.map(({ id }) => id),
      )
      expect(faultsOf(problem, scheduleOfPair(problem, pair))).toEqual([])
    }
  })

  it('is quicker than wheel after wheel, and shares the wheels evenly', () => {
    const problem = four()
    const { search, pairs } = pairsFor(problem, quick)
    expect(search.schedule?.makespanSeconds).toBeLessThan(plainSchedule(problem)?.makespanSeconds ?? 0)
    expect(pairs[0]?.orders.map((order) => order.length)).toEqual([8, 8])
  })

  it('keeps the best of all that was offered', () => {
    const { search, pairs } = pairsFor(four(), quick)
    expect(search.best?.makespanSeconds).toBe(
      Math.min(...pairs.map(({ makespanSeconds }) => makespanSeconds)),
    )
  })

  it('leaves one wheel to one person', () => {
    const problem = smallProblem({ people: 2 }, 1)
    const { pairs } = pairsFor(problem, quick)
    expect(pairs[0]?.orders[1]).toEqual([])
    expect(faultsOf(problem, scheduleOfPair(problem, pairs[0] as Pair))).toEqual([])
  })

  it('is the same every time', () => {
    expect(pairsFor(four(), quick).pairs).toEqual(pairsFor(four(), quick).pairs)
  })

  it('sends the second person later where both want everything at once', () => {
    const problem = four({ singleTools: ['gun', 'brush', 'sprayer', 'towel'] })
    const ids = problem.operations.map(({ id }) => id)
    const pair = shiftedPair(searchOf(problem), ids.slice(0, 8), ids.slice(8))
    if (!pair) throw new Error('no pair')
    expect(pair.startSeconds[8]).toBeGreaterThan(0)
    expect(faultsOf(problem, scheduleOfPair(problem, pair))).toEqual([])
  })
})
