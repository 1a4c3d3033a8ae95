import { describe, expect, it } from 'vitest'
import type { Schedule } from './problem'
import { scheduleOf } from './schedule'
import { smallProblem } from './testProblem'
import { faultsOf } from './verify'

const problem = smallProblem()
const inOrder = problem.operations.map(({ id }) => id)
const good = scheduleOf(problem, { operations: inOrder, people: inOrder.map(() => 0) }) as Schedule
const moved = (id: number, by: number): Schedule => ({
  ...good,
  startSeconds: good.startSeconds.map((start, at) => (at === id ? start + by : start)),
})

describe('the verifier', () => {
  it('accepts what holds', () => {
    expect(faultsOf(problem, good)).toEqual([])
  })

  it.each([
    ['a dwell cut short', moved(1, -30), /at least 60 s \(dwell\)/],
    ['a start before zero', moved(0, -5), /starts at -5/],
    ['somebody in two places', moved(4, -40), /the way takes|want the/],
    ['a wrong end', { ...good, makespanSeconds: good.makespanSeconds + 1 }, /it takes/],
    ['a person who is not there', { ...good, person: good.person.map(() => 3) }, /there are 1/],
    ['a schedule of another job', { ...good, startSeconds: [0] }, /speaks of 1/],
  ])('refuses %s', (_, schedule, says) => {
    expect(faultsOf(problem, schedule).join(' ')).toMatch(says)
  })

  it('refuses a chemical that dries', () => {
    const late = {
      ...good,
      startSeconds: good.startSeconds.map((start, at) => (at >= 2 ? start + 300 : start)),
    }
    expect(faultsOf(problem, { ...late, makespanSeconds: good.makespanSeconds + 300 }).join(' ')).toMatch(
      /rinse at wheel 1 starts \d+ s after spray at wheel 1; at most 240 s \(wet\)/,
    )
  })

  it('refuses one tool in two hands and a crowd at one wheel', () => {
    const two = smallProblem({ people: 2, peoplePerPlace: 1 })
    const both = (person: number[]): string => faultsOf(two, { ...good, person }).join(' ')
    const starts = [...good.startSeconds]
    starts[6] = starts[2] as number
    expect(
      faultsOf(two, {
        ...good,
        startSeconds: starts,
        person: good.person.map((_, at) => (at < 4 ? 0 : 1)),
      }).join(' '),
    ).toMatch(/both want the gun/)
    const same = [...good.startSeconds]
    same[3] = same[2] as number
    expect(
      faultsOf(two, {
        ...good,
        startSeconds: same,
        person: good.person.map((_, at) => (at === 3 ? 1 : 0)),
      }).join(' '),
    ).toMatch(/2 people at wheel 1 at once/)
    expect(both(good.person.map(() => 0))).toBe('')
  })
})

describe('the clock of an order', () => {
  it('sprays later where an earlier spray would dry', () => {
    // Spray both first: the second wheel's dwell is filled, the first may not dry meanwhile.
    const order = [0, 4, 1, 2, 5, 6, 3, 7]
    const clock = scheduleOf(problem, { operations: order, people: order.map(() => 0) })
    expect(clock && faultsOf(problem, clock)).toEqual([])
  })

  it('is null where no clock keeps the lags', () => {
    const tight = smallProblem({
      lags: problem.lags.map((lag) => (lag.maxSeconds === null ? lag : { ...lag, maxSeconds: 130 })),
    })
    const order = [0, 4, 1, 2, 5, 6, 3, 7]
    expect(scheduleOf(tight, { operations: order, people: order.map(() => 0) })).toBeNull()
  })
})
