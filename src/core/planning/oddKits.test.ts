import type { Spoken } from '@/i18n/spoken'
import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import type { Product } from '@/core/chemistry/product'
import { fourCorners, testJob } from '@/core/job/testJob'
import type { Job } from '@/core/job/job'
import { roleOf } from '@/core/choice/role'
import { planInOrder } from '@/core/order/orderPlan'
import type { Plan } from '@/core/plan/plan'
import type { Grade } from '@/core/soils/soil'
import { cleansWheel } from '@/core/acts/stageKind'
import { wheelZones } from '@/core/wheel/zone'

const dirty = (grade: Grade) =>
  fourCorners({
    loads: {
      ...Object.fromEntries(
        wheelZones.map((zone) => [zone, { film: grade, freshDust: grade, bondedDust: grade }]),
      ),
      tyre: { film: grade, tyreBrowning: grade },
      arch: { film: grade, grit: grade },
    },
  })
const job = (more: Partial<Job> = {}, grade: Grade = 2): Job =>
  testJob(dirty(grade), { service: 'decontaminate', ...more })
const withProducts = (change: (product: Product) => Product): Job =>
  job({ cabinet: job().cabinet.map(change) })
const said = ({ headline, shortfalls }: Spoken<Plan>): string =>
  [headline, ...shortfalls.flatMap(({ text, fix }) => [text, fix])].join(' ')
const acts = ({ steps }: Spoken<Plan>) => steps.map(({ act }) => act)

describe('labels that leave no time', () => {
  it.each([
    ['a limit of zero', { min: 0, max: 0 }],
    ['five seconds', { min: 1, max: 5 }],
  ])('%s: the plan names the cause, says what to correct, and washes from the bucket', (_, dwellSeconds) => {
    const plan = inEnglish(planInOrder(withProducts((one) => ({ ...one, dwellSeconds, longest: 'contact' }))))
    expect(said(plan)).toMatch(/left out: their labels leave no time/)
    expect(said(plan)).toContain('correct them in the cabinet')
    expect(said(plan)).not.toContain('stays wet')
    expect(plan.stages.filter(({ kind }) => kind === 'wash').map(({ delivery }) => delivery)).toContain(
      'bucket',
    )
    expect(acts(plan)).not.toContain('reMist')
  })

  it('another product is used instead of the one with such a label', () => {
    const used = inEnglish(planInOrder(job())).stages.find(
      ({ kind, delivery }) => cleansWheel(kind) && kind !== 'tar' && delivery !== 'bucket',
    )?.productId
    expect(used).toBeDefined()
    const plan = inEnglish(
      planInOrder(
        withProducts((one) =>
          one.id === used ? { ...one, longest: 'contact', dwellSeconds: { min: 4, max: 5 } } : one,
        ),
      ),
    )
    expect(plan.stages.map(({ productId }) => productId)).not.toContain(used)
    expect(acts(plan)).toContain('agitate')
    expect(said(plan)).toMatch(/is left out: its label leaves no time/)
  })

  it('a contact limit on soap changes no plan whose wheel is done in time', () => {
    const plan = inEnglish(
      planInOrder(
        withProducts((one) => (roleOf(one.family) === 'wash' ? { ...one, longest: 'contact' } : one)),
      ),
    )
    expect(acts(plan)).toContain('agitate')
    expect(plan.sequence).not.toBeNull()
  })
})

describe('a kit that reaches little', () => {
  it('without any tool wheels and rubber are sprayed and rinsed once, nothing is scrubbed, and what is missing is named', () => {
    const plan = inEnglish(planInOrder(job({ tools: [] })))
    expect(plan.headline).toContain(', sprayed and rinsed only. About ')
    expect(plan.stages.filter(({ kind }) => kind === 'wash')).toHaveLength(1)
    expect(acts(plan)).toContain('spray')
    expect(acts(plan)).not.toContain('scrub')
    expect(acts(plan)).not.toContain('agitate')
    // Once what is on the rubber, once what is on the wheel.
    expect(acts(plan).filter((act) => act === 'rinse').length).toBeLessThanOrEqual(8)
    expect(said(plan)).toContain('Add a brush for it')
  })

  it('tools that reach nothing behind the spokes leave it, and say which brush would', () => {
    const tools = job().tools.map((tool) => ({ ...tool, diameterMillimetres: 400, squeezedMillimetres: 400 }))
    const plan = inEnglish(planInOrder(job({ tools })))
    expect(said(plan)).toMatch(/soft brush or wand that squeezes to \d+ mm/)
    expect(plan.steps.filter(({ act }) => act === 'agitate').flatMap(({ zones }) => zones)).not.toContain(
      'barrel',
    )
  })
})

it('wheels neglected in every zone get a plan with an end', () => {
  const plan = inEnglish(planInOrder(job({ service: 'restore' }, 4)))
  expect(plan.sequence).not.toBeNull()
  expect(plan.steps.length).toBeLessThan(200)
})
