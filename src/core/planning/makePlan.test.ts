import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { plainConditions } from '@/core/conditions/conditions'
import { describe, expect, it } from 'vitest'
import { familyOf } from '@/core/chemistry/families'
import { productFromFamily, starterCabinet } from '@/core/chemistry/starterCabinet'
import { conditions, finishes } from '@/core/finishes/finish'
import type { Corner } from '@/core/job/job'
import { allOf, fourCorners, fourPositions, testCorner, testJob } from '@/core/job/testJob'
import { defaultMethods } from '@/core/methods/methods'
import type { RunEvent } from '@/core/run/runEvent'
import { runState } from '@/core/run/runState'
import { grades, soils } from '@/core/soils/soil'
import type { Position } from '@/core/wheel/position'
import { makePlan } from './makePlan'
import { planOnce } from './testPlans'

const corner = testCorner
const job = testJob
const four = fourPositions

const heavy: Corner['loads'] = {
  face: { film: 3, bondedDust: 3 },
  barrel: { freshDust: 4, bondedDust: 4, tar: 2 },
  tyre: { tyreBrowning: 4 },
  arch: { grit: 3, film: 3 },
}

describe('what is chosen', () => {
  it('is shampoo only for light dust on a coated wheel', () => {
    const plan = inEnglish(
      makePlan(job(fourCorners({ loads: { face: { freshDust: 1 } }, protection: ['ceramicCoating'] }))),
    )
    const wheelStages = plan.stages.filter(({ kind }) => !['arch', 'tyre', 'protect', 'dress'].includes(kind))
    expect(wheelStages).toHaveLength(1)
    expect(['carShampoo', 'wheelShampoo']).toContain(wheelStages[0]?.family)
  })

  it('adds iron remover only on the axle that needs it', () => {
    const dusty = { loads: { barrel: { bondedDust: 3 } } } as const
    const plan = inEnglish(
      makePlan(
        job([
          corner('frontLeft', dusty),
          corner('frontRight', dusty),
          corner('rearLeft'),
          corner('rearRight'),
        ]),
      ),
    )
    expect(plan.stages.filter(({ kind }) => kind === 'iron').map(({ corners }) => corners)).toEqual([
      ['frontLeft', 'frontRight'],
    ])
    expect(plan.headline).toMatch(/ and iron remover\. About /)
  })

  it('never puts strong chemistry on bare or unknown metal', () => {
    for (const finish of ['polishedBare', 'anodised', 'chrome', 'magnesium', 'unknown'] as const) {
      const plan = inEnglish(makePlan(job(fourCorners({ finishes: allOf(finish), loads: heavy }))))
      const onWheel = plan.stages.filter(({ kind }) => ['wash', 'iron', 'mineral', 'tar'].includes(kind))
      for (const stage of onWheel) {
        const { traits } = familyOf(stage.family)
        expect([finish, traits.filter((trait) => trait.startsWith('strong'))]).toEqual([finish, []])
      }
    }
  })

  it('plans nothing on a hot wheel and says to wait', () => {
    const hot = plainConditions({ airCelsius: 25, surfaceCelsius: 80 })
    const plan = inEnglish(makePlan(job(fourCorners({ loads: heavy }), { conditions: hot })))
    expect(plan.stages.filter(({ kind }) => kind !== 'protect' && kind !== 'dress')).toEqual([])
    expect(plan.shortfalls.map(({ fix }) => fix).join(' ')).toContain('cool')
  })

  it('says what is missing when the cabinet cannot do it', () => {
    const cabinet = [productFromFamily('carShampoo')]
    const plan = inEnglish(makePlan(job(fourCorners({ loads: heavy }), { cabinet })))
    expect(plan.shortfalls.map(({ text }) => text).join(' ')).toMatch(/bonded brake dust/)
  })

  it('says when the washer has more pressure than a wheel stands, and keeps quiet otherwise', () => {
    const said = (pressureBar: number) => {
      const { equipment } = job([])
      return inEnglish(
        makePlan(job(fourCorners(), { equipment: { ...equipment, pressureBar } })),
      ).shortfalls.map(({ text }) => text)
    }
    expect(said(180).join()).toContain('Above 140 bar')
    expect(said(140).join()).not.toContain('140 bar')
  })

  it('never dresses a motorcycle tyre', () => {
    const plan = inEnglish(makePlan(job([corner('front'), corner('rear')], { vehicleKind: 'motorcycle' })))
    expect(plan.stages.some(({ kind }) => kind === 'dress')).toBe(false)
  })

  it('follows the methods of the shop', () => {
    const kinds = (tyre: 'beforeWheel' | 'afterWheel') =>
      inEnglish(
        makePlan(job(fourCorners({ loads: heavy }), { methods: { ...defaultMethods, tyre } })),
      ).stages.map(({ kind }) => kind)
    const before = kinds('beforeWheel')
    expect(before.indexOf('tyre')).toBeLessThan(before.indexOf('wash'))
    const after = kinds('afterWheel')
    expect(after.indexOf('tyre')).toBeGreaterThan(after.indexOf('wash'))
    const solvent = inEnglish(
      makePlan(
        job(fourCorners(), { methods: { ...defaultMethods, dressing: 'solvent', arches: 'whereSoiled' } }),
      ),
    )
    expect(solvent.stages.map(({ family }) => family)).toContain('tyreDressingSolvent')
    expect(solvent.stages.some(({ kind }) => kind === 'arch')).toBe(false)
  })
})

const anyCorner = (position: Position) =>
  fc
    .record({
      finish: fc.constantFrom(...finishes),
      condition: fc.constantFrom(...conditions),
      loads: fc.dictionary(
        fc.constantFrom('face', 'barrel', 'tyre', 'arch'),
        fc.dictionary(fc.constantFrom(...soils), fc.constantFrom(...grades)),
      ),
      protection: fc.subarray(['ceramicCoating', 'sprayWax'] as const),
    })
    .map(({ finish, condition, loads, protection }) =>
      corner(position, { finishes: allOf(finish, condition), loads, protection }),
    )
const anyJob = fc
  .record({
    corners: fc.tuple(...four.map(anyCorner)),
    kept: fc.array(fc.boolean(), { minLength: starterCabinet.length, maxLength: starterCabinet.length }),
  })
  .map(({ corners, kept }) => {
    const cabinet = starterCabinet.filter((_, index) => kept[index])
    return job(corners, { cabinet: cabinet.length > 0 ? cabinet : starterCabinet })
  })

describe('every plan', () => {
  it('adds up: amounts, costs and minutes are the sums of their parts', () => {
    fc.assert(
      fc.property(anyJob, (one) => {
        const plan = inEnglish(planOnce(one))
        for (const amount of plan.amounts) {
          const used = plan.stages.filter(({ productId }) => productId === amount.productId)
          // What is filled once is used once, and paid once.
          const filled = plan.fills.filter(({ stageIds }) => used.some(({ id }) => stageIds.includes(id)))
          expect(amount.concentrateMillilitres).toBeCloseTo(
            filled.reduce((sum, { recipe }) => sum + recipe.concentrateMillilitres, 0),
            6,
          )
          expect(amount.costMinor).toBe(used.reduce((sum, { costMinor }) => sum + costMinor, 0))
        }
        expect(plan.costMinor).toBe(plan.stages.reduce((sum, { costMinor }) => sum + costMinor, 0))
        expect(plan.operatorSeconds).toBe(
          plan.steps.reduce((sum, { operatorSeconds }) => sum + operatorSeconds, 0),
        )
        for (const { recipe } of plan.stages) {
          expect(recipe.concentrateMillilitres + recipe.waterMillilitres).toBeCloseTo(
            recipe.totalMillilitres,
            6,
          )
        }
      }),
      { numRuns: 60 },
    )
  })

  it('rinses everything it sprays: worked to its end, no clock still runs', () => {
    fc.assert(
      fc.property(anyJob, (one) => {
        const plan = inEnglish(planOnce(one))
        const events = plan.steps.map((step, index): RunEvent => ({
          kind: 'done',
          stepId: step.id,
          at: new Date(index * 1000),
        }))
        const state = runState(plan, events)
        expect(state.clocks).toEqual([])
        expect(state.settledCount).toBe(plan.steps.length)
        expect(new Set(plan.steps.map(({ id }) => id)).size).toBe(plan.steps.length)
      }),
      { numRuns: 60 },
    )
  })

  it('is the same for the same job', () => {
    fc.assert(
      fc.property(anyJob, (one) => {
        expect(inEnglish(makePlan(one))).toEqual(inEnglish(makePlan(one)))
      }),
      { numRuns: 20 },
    )
  })
})
