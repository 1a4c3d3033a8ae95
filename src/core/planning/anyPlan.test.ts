import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { familyOf } from '@/core/chemistry/families'
import { plainConditions } from '@/core/conditions/conditions'
import { finishes as allFinishes, type Finish } from '@/core/finishes/finish'
import { planNames, type Corner } from '@/core/job/job'
import { fourCorners, testJob } from '@/core/job/testJob'
import { planInOrder } from '@/core/order/orderPlan'
import { serviceIds } from '@/core/services/service'
import { cleansWheel } from '@/core/work/stageKind'
import { axleOf } from '@/core/wheel/position'
import { makePlan } from './makePlan'
import type { Plan } from '@/core/plan/plan'

const grade = fc.constantFrom(0, 1, 2, 3, 4) as fc.Arbitrary<0 | 1 | 2 | 3 | 4>
const anyJob = fc
  .record({
    service: fc.constantFrom(...serviceIds),
    finish: fc.constantFrom<Finish>(...allFinishes),
    film: grade,
    dust: grade,
    bonded: grade,
    tar: grade,
    browning: grade,
    grit: grade,
    airCelsius: fc.constantFrom(3, 12, 20, 30, 38),
    exposure: fc.constantFrom('shade' as const, 'partSun' as const, 'fullSun' as const),
    isProtected: fc.boolean(),
    curing: fc.boolean(),
    prefer: fc.constantFrom(...planNames),
    people: fc.constantFrom(1, 2),
  })
  .map((one) => {
    const surface = { finish: one.finish, condition: one.finish === 'unknown' ? 'unknown' : 'sound' } as const
    const corners = fourCorners({
      finishes: Object.fromEntries(
        (['lip', 'face', 'windows', 'barrel', 'cap', 'caliper'] as const).map((zone) => [zone, surface]),
      ),
      loads: {
        face: { film: one.film, freshDust: one.dust, bondedDust: one.bonded, tar: one.tar },
        barrel: { film: one.film, freshDust: one.dust, bondedDust: one.bonded, grit: one.grit },
        tyre: { tyreBrowning: one.browning },
        arch: { film: one.film, grit: one.grit },
      } as Corner['loads'],
      protection: one.isProtected ? ['sprayRinseSilica'] : [],
    }).map((corner, at) => (at === 0 ? { ...corner, curing: one.curing } : corner))
    return testJob(corners, {
      service: one.service,
      conditions: plainConditions({ airCelsius: one.airCelsius, exposure: one.exposure }),
      crew: { people: one.people },
      wishes: { prefer: one.prefer, pinned: [], forbidden: [] },
    })
  })
type AnyJob = typeof anyJob extends fc.Arbitrary<infer T> ? T : never

const holds = (name: string, check: (plan: Plan, job: AnyJob) => void) =>
  it(name, () =>
    fc.assert(
      fc.property(anyJob, (job) => check(makePlan(job), job)),
      { numRuns: 60 },
    ),
  )
const wheelStages = ({ stages }: Plan) => stages.filter(({ kind }) => cleansWheel(kind))

describe('the plan of any job', () => {
  holds('washes once: no wash three times, no two washes of one wheel', (plan, { corners }) => {
    for (const stage of wheelStages(plan)) expect(stage.rounds).toBeLessThanOrEqual(2)
    for (const { position } of corners) {
      const washes = wheelStages(plan).filter(
        ({ family, corners: at }) =>
          at.includes(position) && !/acid|iron(Remover|Clay|Tar)|tarRemover/i.test(family),
      )
      expect(washes.length).toBeLessThanOrEqual(1)
    }
  })

  holds('has one recipe an axle', (plan) => {
    for (const stage of wheelStages(plan))
      for (const axle of ['front', 'rear'] as const) {
        const there = plan.steps
          .filter(({ corner }) => corner && axleOf(corner) === axle)
          .map(({ corner }) => corner)
        const mine = stage.corners.filter((corner) => axleOf(corner) === axle)
        expect([0, new Set(there).size]).toContain(mine.length)
      }
  })

  holds('looks again before it protects', ({ steps }) => {
    for (const step of steps.filter(({ act }) => act === 'protect')) {
      const own = steps.filter(({ corner }) => corner === step.corner)
      expect(own.findIndex(({ act }) => act === 'lookAgain')).toBeLessThan(own.indexOf(step))
    }
  })

  holds('brings nothing wet near a wheel that cures', ({ steps, stages, shortfalls }, { corners }) => {
    for (const { position } of corners.filter(({ curing }) => curing)) {
      expect(steps.filter(({ corner }) => corner === position)).toEqual([])
      expect(stages.filter(({ corners: at }) => at.includes(position))).toEqual([])
      expect(shortfalls[0]?.corners).toEqual([position])
    }
  })

  holds(
    'that cannot be worked now has no steps, and says what would help',
    ({ headline, steps, shortfalls }) => {
      if (!headline.startsWith('Not now')) return
      expect(steps).toEqual([])
      expect(shortfalls.every(({ mend }) => mend.length > 10)).toBe(true)
    },
  )

  holds('strips nothing off live protection for light or clear dirt', (plan, { corners }) => {
    const worst = Math.max(
      ...corners.flatMap(({ loads }) =>
        (['face', 'barrel'] as const).flatMap((zone) =>
          (['film', 'freshDust', 'bondedDust'] as const).map((soil) => loads[zone]?.[soil] ?? 0),
        ),
      ),
    )
    if (worst > 2 || corners.some(({ protection }) => protection.length === 0)) return
    for (const { family, kind } of wheelStages(plan)) {
      const facts = familyOf(family)
      if (kind !== 'tar' && facts.purpose === 'clean') expect(facts.wear).not.toBe('strips')
    }
  })

  it('never ends later with two people', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const one = planInOrder({ ...job, crew: { people: 1 } }).sequence?.endSeconds
        const two = planInOrder({ ...job, crew: { people: 2 } }).sequence?.endSeconds
        if (one !== undefined && two !== undefined) expect(two).toBeLessThanOrEqual(one)
      }),
      { numRuns: 6 },
    )
  })

  it('for every wheel that cures is nothing to do', () => {
    const job = testJob(fourCorners({ curing: true, loads: { face: { film: 2 } } }))
    const plan = planInOrder(job)
    expect([plan.steps, plan.stages, plan.protections]).toEqual([[], [], []])
    expect(plan.headline).toMatch(/^Nothing to do today/)
  })
})
