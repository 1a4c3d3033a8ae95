import { formatDuration } from '@/i18n/format'
import { inEnglish, sayInEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { plainConditions } from '@/core/conditions/conditions'
import { planNames, type Corner, type Wishes } from '@/core/job/job'
import { fourCorners, testCorner, testJob } from '@/core/job/testJob'
import { makePlan } from './makePlan'

const dirty: Corner['loads'] = {
  face: { film: 2, freshDust: 3, bondedDust: 2 },
  barrel: { film: 2, freshDust: 3, bondedDust: 3 },
  tyre: { tyreBrowning: 2 },
}
const planned = (wishes: Partial<Wishes> = {}) =>
  makePlan(
    testJob(fourCorners({ loads: dirty, protection: ['spraySealant'] }), {
      wishes: { prefer: 'gentlest', pinned: [], forbidden: [], ...wishes },
    }),
  )
/** Where gentle and quick part: nothing to spare, and much of everything. */
const neglected = (wishes: Partial<Wishes> = {}) =>
  makePlan(
    testJob(fourCorners({ loads: { ...dirty, face: { film: 3, freshDust: 3, bondedDust: 3 } } }), {
      wishes: { prefer: 'gentlest', pinned: [], forbidden: [], ...wishes },
    }),
  )
const minutes = (seconds: number) => seconds / 60

describe('the three plans', () => {
  const plan = neglected()
  const by = Object.fromEntries(plan.alternatives.map((one) => [one.name, one]))

  it('are named and ordered as they are meant', () => {
    // Those that come to the same are told once.
    const names = plan.alternatives.map(({ name }) => name)
    expect(names).toEqual(planNames.filter((name) => names.includes(name)))
    expect(names).toContain('gentlest')
    const told = plan.alternatives.map(
      ({ summary, operatorSeconds, costMinor }) => `${sayInEnglish(summary)} ${operatorSeconds} ${costMinor}`,
    )
    expect(new Set(told).size).toBe(told.length)
    expect(by.fastest!.operatorSeconds).toBeLessThanOrEqual(by.gentlest!.operatorSeconds)
    expect(by.gentlest!.protectionLostShare).toBeLessThanOrEqual(by.fastest!.protectionLostShare)
    // The strongest there is stays with whoever asks for speed, where the usual cleaners do it.
    const families = (name: (typeof planNames)[number]) =>
      neglected({ prefer: name }).stages.map(({ family }) => family)
    expect(families('fastest')).toContain('heavyGel')
    expect(families('gentlest')).not.toContain('heavyGel')
  })

  it('are each the plan one gets by asking for it', () => {
    for (const name of planNames) {
      const asked = neglected({ prefer: name })
      expect(asked.chosen).toBe(name)
      const said = asked.alternatives.find((one) => one.name === name)!
      expect(asked.operatorSeconds).toBe(said.operatorSeconds)
      expect(asked.costMinor).toBe(said.costMinor)
      const known = plan.alternatives.find((one) => one.name === name)
      if (known) expect(known.summary).toEqual(said.summary)
    }
  })

  it('the headline says the minutes the steps add up to', () => {
    expect(sayInEnglish(plan.headline)).toContain(`About ${formatDuration(plan.operatorSeconds)}, one person`)
  })
})

describe('wishes', () => {
  it('a forbidden product is nowhere in the plan', () => {
    fc.assert(
      fc.property(fc.constantFrom(...planned().stages.map(({ productId }) => productId)), (id) => {
        const without = planned({ forbidden: [id] })
        expect(without.stages.map(({ productId }) => productId)).not.toContain(id)
      }),
      { numRuns: 12 },
    )
  })

  it('a pinned product is in it where the wheel can stand it, and the plan says where it cannot', () => {
    expect(planned({ pinned: ['maintenanceCleaner'] }).stages.map(({ productId }) => productId)).toContain(
      'maintenanceCleaner',
    )
    const barred = planned({ pinned: ['acidCleaner'] })
    expect(barred.stages.map(({ productId }) => productId)).not.toContain('acidCleaner')
    expect(barred.shortfalls.some(({ text }) => says(text, 'reasons.pin.unused'))).toBe(true)
  })

  it('a limit on minutes is kept where some plan keeps it, and money likewise', () => {
    const gentle = neglected()
    const fast = gentle.alternatives.find(({ name }) => name === 'fastest')!
    const between = (minutes(fast.operatorSeconds) + minutes(gentle.operatorSeconds)) / 2
    const hurried = neglected({ minutesAllowed: between })
    expect(minutes(hurried.operatorSeconds)).toBeLessThanOrEqual(between + 1)
    expect(hurried.shortfalls.some(({ text }) => says(text, 'reasons.limits'))).toBe(false)
    const impossible = planned({ minutesAllowed: 3 })
    expect(impossible.shortfalls.some(({ text }) => says(text, 'reasons.limits.tooFew'))).toBe(true)
    expect(inEnglish(impossible.shortfalls).some(({ fix }) => /takes \d+ min/.test(fix))).toBe(true)
    expect(impossible.stages.length).toBeGreaterThan(0)
    expect(
      planned({ costAllowedMinor: 1 }).shortfalls.some(({ text }) => says(text, 'reasons.limits.money')),
    ).toBe(true)
  })
})

describe('what the plan says beside the answer', () => {
  const plan = planned()

  it('amounts left fall from stage to stage, inside an honest band', () => {
    expect(plan.soil.length).toBeGreaterThan(0)
    for (const { left } of plan.soil) {
      left.forEach((one, index) => {
        expect(one.low).toBeLessThanOrEqual(one.expected + 1e-9)
        expect(one.high).toBeGreaterThanOrEqual(one.expected - 1e-9)
        if (index > 0) expect(one.expected).toBeLessThanOrEqual((left[index - 1]?.expected ?? 0) + 1e-9)
      })
    }
  })

  it('every soil reaches its target, or a shortfall names it', () => {
    for (const { soil, left, target } of plan.soil) {
      if (target === null) continue
      expect([soil, (left.at(-1)?.expected ?? 0) <= target + 1e-6]).toEqual([soil, true])
    }
  })

  it('has a verdict and a reason for every bottle of the cabinet', () => {
    expect(plan.verdicts).toHaveLength(testJob([]).cabinet.length)
    for (const { reason } of inEnglish(plan.verdicts)) expect(reason.length).toBeGreaterThan(10)
  })

  it('has a ladder that ends in stopping, and fills every bottle once', () => {
    expect(says(plan.ladder.at(-1)?.text, 'reasons.ladder.stop')).toBe(true)
    const stages = plan.fills.flatMap(({ stageIds }) => stageIds)
    expect([...stages].sort()).toEqual(plan.stages.map(({ id }) => id).sort())
    expect(new Set(stages).size).toBe(stages.length)
  })

  it('says why, for every stage, in a sentence', () => {
    for (const { why } of inEnglish(plan.stages)) expect(why).toMatch(/\.$/)
  })

  it('assumes nothing silently: unknown finishes and unmeasured wheels are named', () => {
    const blind = makePlan(testJob([testCorner('frontLeft', { finishes: {} })]))
    expect(blind.assumptions.some((said) => says(said, 'reasons.assume.unknownFinish'))).toBe(true)
    expect(blind.assumptions.some((said) => says(said, 'reasons.assume.estimated'))).toBe(true)
  })

  it('a tool for each zone that is worked, none named twice', () => {
    for (const stage of plan.stages.filter(({ tools }) => tools.length > 1)) {
      const zones = stage.tools.flatMap((one) => one.zones)
      expect(new Set(zones).size).toBe(zones.length)
    }
  })
})

describe('wheels that differ', () => {
  it('get their own chemistry, each step at its own corner, in its own order', () => {
    const plan = makePlan(
      testJob([
        testCorner('frontLeft', { loads: { barrel: { bondedDust: 4, film: 3 } } }),
        testCorner('rearLeft', { loads: { face: { freshDust: 1 } } }),
      ]),
    )
    const at = (position: string) =>
      plan.stages.filter((stage) => (stage.corners as string[]).includes(position)).map(({ id }) => id)
    expect(at('frontLeft')).not.toEqual(at('rearLeft'))
    for (const position of ['frontLeft', 'rearLeft']) {
      const used = plan.steps.filter(({ corner, stageId }) => corner === position && stageId !== null)
      expect(new Set(used.map(({ stageId }) => stageId))).toEqual(new Set(at(position)))
    }
  })
})

it.each([
  [['ceramicCoating'] as const, false],
  [['wheelWax'] as const, true],
  [[] as const, true],
])('wheels with %j on record are taken as coated for a coated visit, said: %s', (protection, isSaid) => {
  const corners = fourCorners({ loads: { face: { film: 2 } }, protection: [...protection] })
  const said = makePlan(testJob(corners, { service: 'coatedMaintenance' })).assumptions
  expect(said.some((one) => says(one, 'reasons.assume.coated'))).toBe(isSaid)
})

it('a coating that is pinned in the rain stays away for the rain', () => {
  const pinned = starterCabinet.filter(({ family }) => family === 'ceramicCoating').map(({ id }) => id)
  const said = makePlan(
    testJob(fourCorners({ loads: { face: { film: 1 } } }), {
      service: 'decontaminate',
      conditions: plainConditions({ raining: true }),
      wishes: { prefer: 'gentlest', pinned, forbidden: [] },
    }),
  ).shortfalls.find(({ text }) => says(text, 'reasons.pin.unused'))
  expect(says(said?.fix, 'ruleBook.dryWorkInRain')).toBe(true)
})

it('a strong product that is pinned says so, and is compared with none', () => {
  const pinned = starterCabinet.filter(({ family }) => family === 'alkalineFoam').map(({ id }) => id)
  const corners = fourCorners({ loads: { face: { film: 1 } } })
  const { stages } = makePlan(testJob(corners, { wishes: { prefer: 'gentlest', pinned, forbidden: [] } }))
  const why = stages.find(({ family }) => family === 'alkalineFoam')?.why
  expect(says(why, 'reasons.why.pinned')).toBe(true)
})

it('an empty cabinet is called empty, and nothing else', () => {
  const { shortfalls, steps } = makePlan(testJob(fourCorners({}), { cabinet: [] }))
  expect(inEnglish(shortfalls).map(({ text }) => text)).toEqual(['The cabinet is empty.'])
  expect(steps).toEqual([])
})
