import fc from 'fast-check'
import { type Cost, addCost, noCost } from './cost'
import { describe, expect, it } from 'vitest'
import { productFromFamily } from '@/core/chemistry/starterCabinet'
import { wheelSoils, type Need } from './need'
import type { Option } from './option'
import { roles, type Role } from './role'
import { searchPlans } from './search'
import { effectOf, maxStages, type SearchRules } from './stages'
import { maxOptions, promising } from './promising'

interface Small {
  readonly removes: readonly number[]
  readonly boost: number
  readonly cost: Cost
  readonly ironAlone: boolean
  readonly forbidden: boolean
  readonly role: Role
}

const optionOf = ({ removes, boost, cost, ironAlone, forbidden, role }: Small, index: number): Option => ({
  product: productFromFamily('carShampoo', { id: `p${index}` }),
  fraction: 1,
  dwellSeconds: 60,
  labelMaxSeconds: 60,
  rounds: 1,
  isLastResort: false,
  role,
  judgement: { verdict: forbidden ? 'no' : 'fine', rules: [] },
  removes,
  removesFirst: removes.map((value) => value * boost),
  cost,
  ironAlone,
})

/** Every ordered plan of up to four stages, one of each role beside what is pinned, one by one; the efficient ones among those that meet the need. */
function bruteForce(options: readonly Option[], need: Need, rules: SearchRules): Cost[] {
  const met: Cost[] = []
  const pinned = rules.pinned.filter((id) =>
    options.some(({ product, judgement }) => product.id === id && judgement.verdict !== 'no'),
  )
  const walk = (stages: readonly number[], sums: readonly number[], cost: Cost) => {
    const meets = sums.every((sum, soil) => sum >= (need.required[soil] ?? 0) - 1e-9)
    const pins = pinned.every((id) => stages.some((at) => options[at]?.product.id === id))
    if (stages.length > 0 && meets && pins) met.push(cost)
    if (stages.length === maxStages) return
    options.forEach((option, at) => {
      if (option.judgement.verdict === 'no') return
      const isPinned = pinned.includes(option.product.id)
      const stands = stages.some((one) =>
        isPinned
          ? one === at
          : options[one]?.role === option.role && !pinned.includes(options[one]?.product.id ?? ''),
      )
      if (stands) return
      const effect = effectOf(option, stages.length === 0, sums[0] ?? 0, need, rules)
      if (!effect) return
      walk(
        [...stages, at],
        sums.map((sum, soil) => sum + (effect[soil] ?? 0)),
        addCost(cost, option.cost),
      )
    })
  }
  walk([], wheelSoils.map(() => 0), noCost) // prettier-ignore
  const below = (a: Cost, b: Cost) => a.every((value, at) => value <= (b[at] ?? 0) + 1e-7)
  const front: Cost[] = []
  for (const cost of met.sort((a, b) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2] || a[3] - b[3])) {
    if (!front.some((kept) => below(kept, cost))) {
      for (let at = front.length - 1; at >= 0; at -= 1)
        if (below(cost, front[at] as Cost)) front.splice(at, 1)
      front.push(cost)
    }
  }
  return front
}

const rounded = (costs: readonly Cost[]) =>
  costs.map((cost) => cost.map((value) => value.toFixed(5)).join(' ')).sort()

const exponent = fc.oneof(fc.constant(0), fc.double({ min: 0.2, max: 3, noNaN: true }))
// A bitten-in need and a cabinet that may or may not do it.
const anySmall: fc.Arbitrary<Small> = fc.record({
  removes: fc.tuple(exponent, exponent, exponent, exponent, fc.constant(0), fc.constant(0)),
  boost: fc.constantFrom(1, 1.14),
  cost: fc.tuple(
    fc.integer({ min: 1, max: 9 }),
    fc.integer({ min: 0, max: 9 }),
    fc.integer({ min: 0, max: 4 }),
    fc.integer({ min: 0, max: 3 }),
  ),
  ironAlone: fc.boolean(),
  forbidden: fc.constantFrom(false, false, false, true),
  role: fc.constantFrom(...roles),
})
const anyNeed = fc
  .record({
    required: fc.tuple(
      fc.double({ min: 0.05, max: 4, noNaN: true }),
      ...Array.from({ length: 3 }, () =>
        fc.oneof(fc.constant(0), fc.double({ min: 0, max: 4, noNaN: true })),
      ),
    ),
    clearShare: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  .map(({ required, clearShare }): Need => ({
    required: [...required, 0, 0],
    filmClear: required[0] * clearShare,
  }))
const anyRules: fc.Arbitrary<SearchRules> = fc.record({
  ironWaitsForWash: fc.boolean(),
  ironOverFilm: fc.constantFrom(0, 0.25, 1),
  dryStart: fc.boolean(),
  pinned: fc.constantFrom<string[]>([], ['p0'], ['p1', 'p2']),
})

describe('the search', () => {
  it('finds exactly the efficient plans of a brute-force search, on 1200 random small cabinets', () => {
    let solved = 0
    fc.assert(
      fc.property(
        fc.array(anySmall, { minLength: 1, maxLength: 6 }),
        anyNeed,
        anyRules,
        (smalls, need, rules) => {
          const options = smalls.map(optionOf)
          const expected = bruteForce(options, need, rules)
          if (expected.length > 0) solved += 1
          expect(rounded(searchPlans(options, need, rules).map(({ cost }) => cost))).toEqual(
            rounded(expected),
          )
        },
      ),
      { numRuns: 1200 },
    )
    // The cases are no walk-over: most have an answer, and many have none.
    expect(solved).toBeGreaterThan(500)
    expect(solved).toBeLessThan(1150)
  })

  it('every plan it gives meets the need in the order it gives', () => {
    fc.assert(
      fc.property(
        fc.array(anySmall, { minLength: 1, maxLength: 12 }),
        anyNeed,
        anyRules,
        (smalls, need, rules) => {
          const options = smalls.map(optionOf)
          for (const { stages } of searchPlans(options, need, rules)) {
            let sums = wheelSoils.map(() => 0)
            stages.forEach((at, order) => {
              const effect = effectOf(options[at] as Option, order === 0, sums[0] ?? 0, need, rules)
              expect(effect).not.toBeNull()
              sums = sums.map((sum, soil) => sum + (effect?.[soil] ?? 0))
            })
            sums.forEach((sum, soil) => expect(sum).toBeGreaterThanOrEqual((need.required[soil] ?? 0) - 1e-9))
            expect(stages.length).toBeLessThanOrEqual(maxStages)
          }
        },
      ),
      { numRuns: 200 },
    )
  })

  it('weighs only the most promising of a very large cabinet, and still finds a plan, in no time', () => {
    const many = fc
      .sample(anySmall, { numRuns: 700, seed: 7 })
      .map((small, index) => optionOf({ ...small, forbidden: false, ironAlone: false }, index))
    const need: Need = { required: [3, 2, 2, 1, 0, 0], filmClear: 1 }
    const rules: SearchRules = {
      ironWaitsForWash: false,
      ironOverFilm: 0.25,
      dryStart: false,
      pinned: ['p3'],
    }
    const found = searchPlans(many, need, rules)
    expect(found.length).toBeGreaterThan(0)
    for (const { stages } of found) expect(stages.map((at) => many[at]?.product.id)).toContain('p3')
    expect(promising(many, need, ['p3']).length).toBeLessThan(maxOptions)
  })
})
