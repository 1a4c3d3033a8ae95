import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratingOf } from '@/core/chemistry/product'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { anySituation, jobOf } from '@/core/job/testAnyJob'
import { handSecondsAllowed, type Job } from '@/core/job/job'
import type { Plan } from '@/core/plan/plan'
import { worstGrade } from '@/core/soils/zoneLoads'
import { soils } from '@/core/soils/soil'
import { zones } from '@/core/wheel/zone'
import { makePlan } from './makePlan'
import { times } from '@/core/job/testLong'

const holds = <T>(name: string, arbitrary: fc.Arbitrary<T>, check: (one: T) => void, numRuns = 60) =>
  it(name, () => fc.assert(fc.property(arbitrary, check), { numRuns: numRuns * times }), 60_000 * times)

const anyJob = anySituation.map(jobOf)
const anyProduct = fc.constantFrom(...starterCabinet)
const wishing = (job: Job, wishes: Partial<Job['wishes']>): Job => ({
  ...job,
  wishes: { ...job.wishes, ...wishes },
})
const uses = ({ stages }: Plan, id: string): boolean => stages.some(({ productId }) => productId === id)

describe('what a person pins', () => {
  holds('changes nothing where it is chosen anyway', fc.tuple(anyJob, fc.nat()), ([job, at]) => {
    const plan = makePlan(job)
    const stage = plan.stages[at % Math.max(1, plan.stages.length)]
    if (stage) expect(makePlan(wishing(job, { pinned: [stage.productId] }))).toEqual(plan)
  })

  holds(
    'is used, or the plan says why not, and that is true',
    fc.tuple(anyJob, anyProduct),
    ([job, product]) => {
      const plan = makePlan(wishing(job, { pinned: [product.id] }))
      if (uses(plan, product.id) || plan.steps.length === 0) return
      const said = plan.shortfalls.find(({ text }) => says(text, 'reasons.pin.unused'))
      expect([product.name, said !== undefined]).toEqual([product.name, true])
      if (says(said?.fix, 'reasons.pin.notEntered'))
        for (const soil of soils)
          if (ratingOf(product, soil) > 1)
            expect(
              worstGrade(
                job.corners,
                zones.filter((zone) => zone !== 'tyre' && zone !== 'arch'),
                soil,
              ),
            ).toBe(0)
    },
  )

  holds('that nothing on the wheels wants is not used', fc.tuple(anyJob, anyProduct), ([job, { id }]) => {
    const clean = {
      ...job,
      corners: job.corners.map((corner) => ({ ...corner, loads: { face: { freshDust: 1 as const } } })),
    }
    const idle = ['ironRemover', 'tarRemover', 'acidCleaner'].filter((one) => one === id)
    const plan = makePlan(wishing(clean, { pinned: idle }))
    for (const one of idle)
      if (one !== 'acidCleaner') expect(uses(plan, one) && one === 'tarRemover').toBe(false)
  })
})

describe('a limit on minutes', () => {
  holds(
    'is kept where any of the named plans keeps it',
    fc.tuple(anyJob, fc.integer({ min: 15, max: 120 })),
    ([job, minutesAllowed]) => {
      const wished = wishing(job, { minutesAllowed })
      const [plan, allowedSeconds] = [makePlan(wished), handSecondsAllowed(wished)]
      if (plan.operatorSeconds <= allowedSeconds || plan.steps.length === 0) return
      const shortest = Math.min(...plan.alternatives.map(({ operatorSeconds }) => operatorSeconds))
      expect(shortest).toBeGreaterThan(allowedSeconds)
      expect(plan.operatorSeconds).toBe(shortest)
    },
  )
})

describe('a limit on minutes beside one on money', () => {
  holds(
    'never makes the plan dearer than the money allows where a plan that was named keeps to it',
    anyJob,
    (job) => {
      const free = makePlan(job)
      const costAllowedMinor = free.costMinor
      const plan = makePlan(wishing(job, { minutesAllowed: 15, costAllowedMinor }))
      const isKept = plan.alternatives.some(({ costMinor }) => costMinor <= costAllowedMinor)
      if (isKept) expect(plan.costMinor).toBeLessThanOrEqual(costAllowedMinor)
    },
  )
})

describe('the names of the plans', () => {
  holds('are true: none is quicker than the fastest', anyJob, (job) => {
    const { alternatives } = makePlan(job)
    const fastest = alternatives.find(({ name }) => name === 'fastest')
    if (fastest)
      for (const { name, operatorSeconds } of alternatives)
        expect([name, operatorSeconds - fastest.operatorSeconds >= -1]).toEqual([name, true])
  })
})

describe('a mirrored vehicle', () => {
  const other = (position: string): string =>
    position.includes('Left') ? position.replace('Left', 'Right') : position.replace('Right', 'Left')
  const worked = ({ stages, operatorSeconds, costMinor }: Plan, mirror: boolean) => ({
    operatorSeconds,
    costMinor,
    stages: stages.map(({ productId, rounds, corners, strength, zones: at }) => ({
      productId, rounds, strength, at,
      corners: [...corners].map((corner) => (mirror ? other(corner) : corner)).sort(),
    })),
  }) // prettier-ignore

  holds(
    'gets the mirrored plan',
    fc.tuple(anySituation, fc.constantFrom('frontLeft', 'rearLeft')),
    ([situation, dirtier]) => {
      const base = jobOf({ ...situation, vehicleKind: 'car', curing: false })
      const dirty = (at: string): Job => ({
        ...base,
        corners: base.corners.map((corner) =>
          corner.position === at
            ? { ...corner, loads: { ...corner.loads, face: { ...corner.loads.face, film: 4, tar: 3 } } }
            : corner,
        ),
      })
      expect(worked(makePlan(dirty(other(dirtier))), true)).toEqual(worked(makePlan(dirty(dirtier)), false))
    },
  )
})
