import type { Spoken } from '@/i18n/spoken'
import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { plainConditions } from '@/core/conditions/conditions'
import type { Corner, Job } from '@/core/job/job'
import { allOf, fourCorners, testCorner, testJob } from '@/core/job/testJob'
import type { Plan } from '@/core/plan/plan'
import type { FinishState } from '@/core/finishes/finishState'
import { makePlan } from './makePlan'

const dirt = {
  face: { film: 2, freshDust: 2 },
  barrel: { film: 2 },
  tyre: { tyreBrowning: 2 },
  arch: { film: 2 },
} as const
const planOf = (corner: Partial<Corner>, job: Partial<Job> = {}): Spoken<Plan> =>
  inEnglish(makePlan(testJob(fourCorners({ loads: dirt, ...corner }), job)))
const familiesOf = ({ stages }: Spoken<Plan>, kind: string): string[] =>
  stages.filter((stage) => stage.kind === kind).map(({ family }) => family)
const saidBy = ({ shortfalls }: Spoken<Plan>): string =>
  shortfalls.map(({ text, fix }) => `${text} ${fix}`).join('\n')
const state = (finish: FinishState['finish']): FinishState => ({ finish, condition: 'sound' })

describe('a product whose note speaks of chlorine bleach', () => {
  const bleached = starterCabinet.map((product) =>
    product.family === 'tyreCleaner' ? { ...product, note: 'Contains sodium hypochlorite.' } : product,
  )

  it('is in no plan, and pinned it is refused for that reason', () => {
    const job = {
      cabinet: bleached,
      wishes: { prefer: 'gentlest', pinned: ['tyreCleaner'], forbidden: [] },
    } as const
    const plan = planOf({ loads: { ...dirt, tyre: { tyreBrowning: 4 } } }, job)
    expect(plan.stages.map(({ productId }) => productId)).not.toContain('tyreCleaner')
    expect(saidBy(plan)).toContain('make a poisonous gas')
  })
})

describe('a coated tyre', () => {
  it('keeps its coating: nothing that strips, and no dressing over it', () => {
    const plan = planOf({ protection: ['tyreCoating'] }, { service: 'maintain' })
    expect(familiesOf(plan, 'tyre')).not.toEqual([])
    for (const family of familiesOf(plan, 'tyre')) expect(['allPurpose', 'wheelAndTyre']).toContain(family)
    expect(familiesOf(plan, 'dress')).toEqual([])
  })

  it('is stripped where a new coat goes on', () => {
    const plan = planOf(
      { protection: ['tyreCoating'], loads: { ...dirt, tyre: { tyreBrowning: 4 } } },
      { service: 'restore' },
    )
    expect(familiesOf(plan, 'dress')).toEqual(['tyreCoating'])
  })
})

describe('a motorcycle', () => {
  it('gets nothing sprayed on for protection, but wiped on', () => {
    const corners = (['front', 'rear'] as const).map((position) => testCorner(position, { loads: dirt }))
    const plan = inEnglish(makePlan(testJob(corners, { vehicleKind: 'motorcycle', service: 'maintain' })))
    expect(familiesOf(plan, 'protect')).not.toContain('sprayRinseSilica')
    expect(familiesOf(plan, 'protect')).toHaveLength(1)
  })
})

describe('what hangs behind the wheel', () => {
  it('a matte caliper does not decide what a glossy wheel is sealed with', () => {
    const plan = planOf(
      { finishes: { ...allOf('paintedGloss'), caliper: state('matte') } },
      { service: 'maintain' },
    )
    expect(familiesOf(plan, 'protect')).toEqual(['sprayRinseSilica'])
  })
})

describe('brakes that are too hot', () => {
  const withBrake = (secondCelsius: number) =>
    planOf(
      {},
      {
        conditions: plainConditions({
          brakes: [{ position: 'frontLeft', firstCelsius: 140, secondCelsius, minutesApart: 5 }],
        }),
      },
    )

  it('are named with their wait, before anything is wet', () => {
    const check = withBrake(110).steps.find(({ act }) => act === 'coolCheck')
    expect(check?.detail).toMatch(/Front left: brake at 110 °C, cool enough in about \d+ min/)
  })

  it('that do not cool by their readings are no cool brakes: nothing wet goes on that wheel', () => {
    const plan = withBrake(150)
    expect(plan.steps.filter(({ corner }) => corner === 'frontLeft')).toEqual([])
    expect(plan.steps.some(({ corner }) => corner === 'frontRight')).toBe(true)
    expect(saidBy(plan)).toContain('isn’t cooling')
  })

  it('that are cool are not spoken of', () => {
    expect(withBrake(30).steps.find(({ act }) => act === 'coolCheck')?.detail).not.toContain('brake at')
  })
})

describe('a caution stands where the hand is', () => {
  it('film edges at every rinse', () => {
    const plan = planOf({ finishes: allOf('filmWrapped') })
    const rinses = plan.steps.filter(({ act }) => act === 'rinse' || act === 'preRinse')
    expect(rinses.length).toBeGreaterThan(4)
    for (const { id, cautions } of rinses)
      expect([id, cautions.join()]).toEqual([id, expect.stringMatching(/half a metre/)])
  })

  it('matte at the brush and at the dressing of the tyre', () => {
    const plan = planOf({ finishes: allOf('matte') })
    for (const { act, cautions } of plan.steps) {
      if (act === 'agitate') expect(cautions.join()).toContain('No rubbing')
      if (act === 'dress') expect(cautions.join()).toContain('Prime the applicator')
    }
  })

  it('run-off before anything that harms drains, and not for shampoo alone', () => {
    const readyOf = (plan: Spoken<Plan>) =>
      plan.steps.find(({ act }) => act === 'getReady')?.cautions.join() ?? ''
    expect(readyOf(planOf({ loads: { ...dirt, barrel: { bondedDust: 3 } } }))).toContain('street drain')
    const mild = testJob(fourCorners({ loads: { face: { freshDust: 1 } }, protection: ['ceramicCoating'] }), {
      service: 'quickRound',
    })
    expect(readyOf(inEnglish(makePlan(mild)))).not.toContain('street drain')
  })
})

describe('scale on polished metal', () => {
  const lip = {
    finishes: { ...allOf('paintedGloss'), lip: state('polishedBare') },
    loads: { ...dirt, lip: { mineral: 2 } },
  } as const

  it('is not sealed in, and the plan says what takes it', () => {
    const plan = planOf(lip)
    for (const stage of plan.stages.filter(({ kind }) => kind === 'protect'))
      expect(stage.zones).not.toContain('lip')
    expect(saidBy(plan)).toContain('metal polish')
  })

  it('is polished off where the visit polishes', () => {
    const plan = planOf(lip, { service: 'restore' })
    expect(familiesOf(plan, 'polish')).toEqual(['metalPolish'])
    expect(saidBy(plan)).not.toContain('The scale on the polished metal stays')
  })
})

describe('iron remover for dust behind the face', () => {
  const sprays = (loads: Corner['loads']) =>
    planOf({ loads }).steps.filter(({ act, stageId }) => act === 'spray' && stageId?.startsWith('iron'))

  it('goes where the dust sits: half the amount never covers the whole wheel', () => {
    const behind = sprays({ ...dirt, barrel: { bondedDust: 3 } })
    const all = sprays({ ...dirt, face: { bondedDust: 3 }, barrel: { bondedDust: 3 } })
    expect(behind.length * all.length).toBeGreaterThan(0)
    for (const { detail } of behind) expect(detail).toMatch(/^Barrel.*(spoke backs)/)
    for (const { detail } of behind) expect(detail).not.toMatch(/Cover evenly/)
  })
})

describe('with the wheels off', () => {
  it('an arch at the car and a tyre on the ground are not sprayed in one go', () => {
    const plan = planOf({}, { service: 'wheelsOff' })
    for (const { title, alsoStarts } of plan.steps) expect([title, alsoStarts]).toEqual([title, undefined])
  })
})
