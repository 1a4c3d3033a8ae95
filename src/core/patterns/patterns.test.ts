import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'
import { solveSequence } from '@/core/sequence/solve'
import { smallProblem } from '@/core/sequence/problem/testProblem'
import { faultsOf } from '@/core/sequence/problem/verify'
import { calmnessOf } from './calmness'
import { calmOrder } from './calmOrder'
import { chainsOf } from './chains'
import { clockOf } from './clock'
import { pairPattern } from './pairPattern'
import type { Pattern } from './pattern'
import { patternOrders } from './patternOrder'
import { searchPattern } from './searchPattern'

const names = (problem: SequenceProblem): string[] => problem.operations.map(({ name }) => name)
/** Every wheel in the order of its steps. */
const chained = (problem: SequenceProblem): SequenceProblem => {
  const lags = problem.operations.flatMap((one, at) => {
    const next = problem.operations[at + 1]
    return next?.place === one.place
      ? [{ from: one.id, to: next.id, minSeconds: 0, maxSeconds: null, why: 'order' }]
      : []
  })
  return { ...problem, lags: [...problem.lags, ...lags] }
}
const walksOf = (wheels: number, people: number): Pattern['walks'][] => {
  const all = Array.from({ length: wheels }, (_, at) => at)
  const half = Math.ceil(wheels / 2)
  return people === 1 ? [[all], [[...all].reverse()]] : [[all.slice(0, half), all.slice(half)]]
}
function shortestOf(problem: SequenceProblem) {
  const running = solveSequence(problem, 8000)
  let step = running.next()
  while (!step.done) step = running.next()
  const { schedule } = step.value
  if (!schedule) throw new Error('no order')
  return schedule
}

describe('chains', () => {
  it('lay the same moves side by side, and know where a wheel has none', () => {
    const problem = chained(smallProblem({}, 3))
    const without = problem.operations.filter(({ place, name }) => !(place === 1 && name === 'brush'))
    const ids = new Map(without.map(({ id }, at) => [id, at]))
    const fewer: SequenceProblem = {
      ...problem,
      operations: without.map((one, id) => ({ ...one, id })),
      lags: problem.lags.flatMap((lag) => {
        const [from, to] = [ids.get(lag.from), ids.get(lag.to)]
        return from === undefined || to === undefined ? [] : [{ ...lag, from, to }]
      }),
    }
    const chains = chainsOf(fewer, names(fewer), null)
    expect(chains.moves).toEqual(['spray', 'brush', 'rinse', 'dry'])
    expect(chains.operationOf.map((own) => own.filter((id) => id !== undefined).length)).toEqual([4, 3, 4])
    expect(chains.operationOf[1]?.[1]).toBeUndefined()
  })
})

describe('the order of a pattern', () => {
  const problem = chained(smallProblem({}, 3))
  const chains = chainsOf(problem, names(problem), null)
  const said = (pattern: Omit<Pattern, 'walks'>): string =>
    (patternOrders(chains, { walks: [[0, 1, 2]], ...pattern })[0] ?? [])
      .map((id) => `${problem.operations[id]?.name.slice(0, 2)}${problem.operations[id]?.place}`)
      .join(' ')

  it('of one block is one wheel after the other', () => {
    expect(said({ blocks: [{ move: 0, behind: 0 }], turn: [0] })).toBe(
      'sp0 br0 ri0 dr0 sp1 br1 ri1 dr1 sp2 br2 ri2 dr2',
    )
  })
  it('sprays the next before it rinses this one', () => {
    const blocks = [
      { move: 0, behind: 0 },
      { move: 1, behind: 1 },
    ] as const
    expect(said({ blocks, turn: [0, 1] })).toBe('sp0 sp1 br0 ri0 dr0 sp2 br1 ri1 dr1 br2 ri2 dr2')
  })
  it('begins another round when all wheels have had the first', () => {
    const blocks = [
      { move: 0, behind: 0 },
      { move: 3, behind: 'round' },
    ] as const
    expect(said({ blocks, turn: [0, 1] })).toBe('sp0 br0 ri0 sp1 br1 ri1 sp2 br2 ri2 dr0 dr1 dr2')
  })
})

describe('patterns of any job', () => {
  const anyJob = fc
    .record({
      wheels: fc.integer({ min: 2, max: 5 }),
      people: fc.constantFrom(1, 2),
      durations: fc.array(fc.integer({ min: 5, max: 90 }), { minLength: 4, maxLength: 4 }),
      dwell: fc.integer({ min: 0, max: 120 }),
      spare: fc.integer({ min: 20, max: 200 }),
    })
    .map(({ wheels, people, durations, dwell, spare }) => {
      const base = chained(smallProblem({ people }, wheels))
      const operations = base.operations.map((one, at) => ({
        ...one,
        durationSeconds: durations[at % 4] as number,
      }))
      const label = Math.max(dwell, 0) + (durations[1] as number) + 8 + spare
      const lags = base.lags.map((lag) =>
        lag.why === 'dwell'
          ? { ...lag, minSeconds: dwell }
          : lag.why === 'wet'
            ? { ...lag, maxSeconds: label }
            : lag,
      )
      return { problem: { ...base, operations, lags }, wheels, people }
    })

  it('keep every limit and end in time, and so does what they are made calm into', () => {
    fc.assert(
      fc.property(anyJob, ({ problem, wheels, people }) => {
        const shortest = shortestOf(problem)
        const by = Math.floor(shortest.makespanSeconds * 1.06)
        const chains = chainsOf(problem, names(problem), null)
        const clock = clockOf(problem)
        const walks = walksOf(wheels, people)
        const { calmest } = searchPattern(problem, chains, walks, clock, by)
        const inPairs = pairPattern(problem, chains, walks, by)
        const calm = calmOrder(problem, shortest, clock, by)
        for (const found of [calmest, inPairs, calm]) {
          if (!found) continue
          expect(faultsOf(problem, found.schedule)).toEqual([])
          expect(found.schedule.makespanSeconds).toBeLessThanOrEqual(by)
          expect(found.calmness).toEqual(calmnessOf(problem, found.schedule))
        }
        expect(calm.calmness.wheelChanges).toBeLessThanOrEqual(calmnessOf(problem, shortest).wheelChanges)
      }),
      { numRuns: 60 },
    )
  }, 240_000)

  it('time an order as the clock of all orders does', () => {
    fc.assert(
      fc.property(anyJob, ({ problem }) => {
        const alone = { ...problem, people: 1 }
        const operations = alone.operations.map(({ id }) => id)
        const known = scheduleOf(alone, { operations, people: operations.map(() => 0) })
        expect(clockOf(alone)([operations], 1e6)?.makespanSeconds).toBe(known?.makespanSeconds)
      }),
      { numRuns: 40 },
    )
  })
})
