import fc from 'fast-check'
import type { Cost } from './cost'
import { describe, expect, it } from 'vitest'
import { testJob } from '@/core/job/testJob'
import type { GroupChoice } from './chooseForGroup'
import { combine, namePlans } from './namedPlans'

/** A group of wheels with plans of given costs: seconds, minor units, share of protection, points of risk. */
const group = (costs: readonly Cost[]): GroupChoice =>
  ({ plans: costs.map((cost) => ({ stages: [], cost })) }) as unknown as GroupChoice
const job = (wishes = {}) => {
  const made = testJob([])
  return { ...made, wishes: { ...made.wishes, ...wishes } }
}
const seconds = ([first]: Cost): number => first

const gentle: Cost = [1800, 300, 0, 0]
const middle: Cost = [1200, 350, 0.05, 1]
const fast: Cost = [600, 900, 0.4, 4]

describe('the three named plans', () => {
  it('are the least harsh, the best on balance and the quickest', () => {
    const plans = namePlans([group([fast, middle, gentle])], job(), 6000, 0)
    expect(plans.gentlest.cost).toEqual(gentle)
    expect(plans.fastest.cost).toEqual(fast)
    expect([gentle, middle]).toContainEqual(plans.balanced.cost)
  })

  it('take at most a fifth longer than the quickest acceptable one for being gentle', () => {
    const plans = namePlans([group([fast, middle, gentle])], job(), 2400, 0)
    // 50, 60 and 70 minutes.
    expect(plans.gentlest.cost).toEqual(middle)
  })

  it('may all be the same plan', () => {
    const plans = namePlans([group([middle])], job(), 0, 0)
    expect(new Set(Object.values(plans)).size).toBe(1)
  })

  it.each([
    ['minutes', { minutesAllowed: 120 }, 6000, 0, middle],
    ['minutes, with what the job takes anyhow', { minutesAllowed: 120 }, 6600, 0, fast],
    ['money', { costAllowedMinor: 320 }, 6000, 0, gentle],
    ['money, with what the job takes anyhow', { costAllowedMinor: 500 }, 6000, 180, gentle],
  ])('keep to the %s allowed', (_, wishes, fixedSeconds, fixedMinor, expected) => {
    const named = namePlans([group([fast, middle, gentle])], job(wishes), fixedSeconds, fixedMinor)
    expect(named.gentlest.cost).toEqual(expected)
  })

  it('are the nearest there is where nothing keeps to the limit', () => {
    const named = namePlans([group([fast, middle, gentle])], job({ minutesAllowed: 2 }), 0, 0)
    expect(named.gentlest.cost).toEqual(fast)
  })

  it('leave a group alone for which nothing may be used', () => {
    const plans = namePlans([group([]), group([middle])], job(), 0, 0)
    expect(plans.balanced.perGroup.map(({ stages }) => stages)).toEqual([[], []])
    expect(plans.balanced.cost).toEqual(middle)
  })
})

describe('plans of several groups', () => {
  const anyCost = fc.tuple(
    fc.integer({ min: 1, max: 50 }),
    fc.integer({ min: 1, max: 50 }),
    fc.integer({ min: 0, max: 10 }),
    fc.integer({ min: 0, max: 10 }),
  ) as fc.Arbitrary<Cost>
  const anyGroups = fc.array(fc.array(anyCost, { minLength: 1, maxLength: 4 }), {
    minLength: 1,
    maxLength: 3,
  })
  const sum = (costs: readonly Cost[]): Cost =>
    costs.reduce<Cost>((all, one) => all.map((value, at) => value + (one[at] ?? 0)) as never, [0, 0, 0, 0])

  it('hold the quickest and the cheapest of all combinations, as trying them all does', () => {
    fc.assert(
      fc.property(anyGroups, (groups) => {
        const tried = groups.reduce<Cost[][]>(
          (whole, costs) => whole.flatMap((one) => costs.map((cost) => [...one, cost])),
          [[]],
        )
        const found = combine(groups.map(group), seconds)
        for (const at of [0, 1, 2, 3])
          expect(Math.min(...found.map(({ cost }) => cost[at] ?? 0))).toBe(
            Math.min(...tried.map((costs) => sum(costs)[at] ?? 0)),
          )
      }),
    )
  })

  it('keep none that another beats in everything', () => {
    fc.assert(
      fc.property(anyGroups, (groups) => {
        const found = combine(groups.map(group), seconds)
        for (const one of found)
          for (const other of found)
            if (one !== other)
              expect(one.cost.every((value, at) => value <= (other.cost[at] ?? 0))).toBe(false)
      }),
    )
  })
})
