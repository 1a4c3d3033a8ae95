import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { groundOf } from './ground'
import { LayeredSearch } from './layeredSearch'
import { prepare } from '@/core/sequence/problem/prepared'
import { rootBound } from './rootBound'
import { anyProblem, shortestByTrying, smallProblem } from '@/core/sequence/problem/testProblem'

describe('the bound before any search', () => {
  it.each([1, 2] as const)('is above no order, %i people', (people) => {
    fc.assert(
      fc.property(anyProblem(people === 1 ? 6 : 5, people), (problem) => {
        expect(rootBound(groundOf(prepare(problem)))).toBeLessThanOrEqual(shortestByTrying(problem))
      }),
      { numRuns: 150 },
    )
  })

  it('counts all work, and for two people half of it', () => {
    const work = 4 * (20 + 60 + 30 + 40)
    expect(rootBound(groundOf(prepare(smallProblem({}, 4))))).toBeGreaterThanOrEqual(work)
    const two = rootBound(groundOf(prepare(smallProblem({ people: 2 }, 4))))
    expect(two).toBeGreaterThanOrEqual(work / 2)
    expect(two).toBeLessThan(work)
  })

  it('waits for those who come later', () => {
    const late = [{ availableAtSeconds: 5000, place: null, tool: null }]
    const problem = smallProblem({ peopleAtStart: late }, 2)
    expect(rootBound(groundOf(prepare(problem)))).toBeGreaterThanOrEqual(5000 + 2 * 150)
  })
})

describe('one pass', () => {
  const run = (problem: Parameters<typeof prepare>[0], options: { width: number; below?: number }) => {
    const running = new LayeredSearch(prepare(problem)).pass({ below: Infinity, ...options })
    for (let step = running.next(); ; step = running.next()) if (step.done) return step.value
  }

  it('is exact where it cuts nothing: its order is as short as its bound', () => {
    const { best, lowerBoundSeconds } = run(smallProblem({}, 2), { width: 4000 })
    expect(best?.makespanSeconds).toBe(lowerBoundSeconds)
    expect(best?.makespanSeconds).toBe(shortestByTrying(smallProblem({}, 2)))
  })

  it('finds nothing below what is the shortest, and says that there is none', () => {
    const shortest = shortestByTrying(smallProblem({}, 2))
    expect(run(smallProblem({}, 2), { width: 4000, below: shortest })).toMatchObject({
      best: null,
      lowerBoundSeconds: Infinity,
    })
  })

  it('however narrow gives a bound that is above no order', () => {
    const shortest = shortestByTrying(smallProblem({}, 2))
    for (const width of [1, 2, 5, 20]) {
      const { best, lowerBoundSeconds } = run(smallProblem({}, 2), { width })
      expect(lowerBoundSeconds).toBeLessThanOrEqual(shortest)
      if (best) expect(best.makespanSeconds).toBeGreaterThanOrEqual(shortest)
    }
  })
})
