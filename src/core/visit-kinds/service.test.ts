import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import { makePlan } from '@/core/planning/makePlan'
import type { Corner } from '@/core/job/job'
import { offeredService, serviceIds, services } from './service'

const dirty: Corner['loads'] = {
  face: { film: 2, freshDust: 2, bondedDust: 2, tar: 2, mineral: 2 },
  tyre: { tyreBrowning: 2 },
  arch: { film: 2 },
}
const planned = (service: (typeof serviceIds)[number], changes: Partial<Corner> = {}) =>
  inEnglish(makePlan(testJob(fourCorners({ loads: dirty, ...changes }), { service })))
const kinds = (service: (typeof serviceIds)[number], changes: Partial<Corner> = {}) =>
  new Set(planned(service, changes).stages.map(({ kind }) => kind))

describe('services', () => {
  it('maintenance leaves what is bonded, decontamination takes it', () => {
    expect(kinds('maintain')).not.toContain('iron')
    expect(kinds('maintain')).not.toContain('tar')
    const plan = planned('decontaminate')
    for (const { soil, left, target } of plan.soil)
      expect([soil, (left.at(-1)?.expected ?? 0) <= (target ?? Infinity) + 1e-6]).toEqual([soil, true])
  })

  it('waterless has no rinse, no tyres, no arches and nothing that drips', () => {
    const plan = planned('waterless', { loads: { face: { freshDust: 1 } } })
    expect(plan.steps.some(({ act }) => act === 'rinse' || act === 'preRinse')).toBe(false)
    expect([...new Set(plan.stages.map(({ kind }) => kind))]).toEqual(['waterless'])
    expect(plan.waterLitres).toBe(0)
  })

  it('winter washes the arches even where the shop would not', () => {
    const methods = { ...testJob([]).methods, arches: 'whereSoiled' as const }
    const corners = fourCorners({ loads: { face: { film: 1 } } })
    const has = (service: 'winter' | 'maintain') =>
      inEnglish(makePlan(testJob(corners, { service, methods }))).stages.some(({ kind }) => kind === 'arch')
    expect([has('winter'), has('maintain')]).toEqual([true, false])
  })

  it('wheels off lifts, reaches behind closed covers, and tightens at the end', () => {
    const plan = planned('wheelsOff')
    const ids = plan.steps.map(({ id }) => id)
    expect(ids.indexOf('wheelsOff')).toBeLessThan(
      ids.indexOf('frontLeft.preRinse') === -1 ? Infinity : ids.indexOf('frontLeft.preRinse'),
    )
    expect(ids.indexOf('wheelsOn')).toBeGreaterThan(ids.indexOf('wheelsOff'))
    expect(plan.steps.find(({ id }) => id === 'wheelsOff')?.cautions.join()).toContain(
      'Never work under a jack alone',
    )
  })

  it('restoration ends with something lasting', () => {
    expect(planned('restore').protections.map(({ kind }) => kind)).toContain('ceramicCoating')
  })

  it('each sets targets, not recipes', () => {
    for (const id of serviceIds) {
      expect(Object.keys(services[id].targets).length).toBeGreaterThan(0)
    }
  })

  it.each([
    ['nobody has been here', null, false, 6, 'decontaminate'],
    ['three weeks, summer', 21, false, 6, 'maintain'],
    ['three weeks, January', 21, false, 1, 'winter'],
    ['three weeks, coated', 21, true, 1, 'coatedMaintenance'],
    ['four months', 120, true, 6, 'decontaminate'],
  ] as const)('offers: %s', (_, days, coated, month, service) => {
    expect(offeredService(days, coated, month)).toBe(service)
  })

  it('knows that winter is in July in the south', () => {
    expect(offeredService(21, false, 7, false)).toBe('winter')
    expect(offeredService(21, false, 1, false)).toBe('maintain')
  })
})
