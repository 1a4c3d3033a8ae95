import { describe, expect, it } from 'vitest'
import { plainConditions } from '@/core/conditions/conditions'
import type { Job } from '@/core/job/job'
import { defaultSchools, type Schools } from '@/core/schools/schools'
import { allOf, testCorner, testJob } from '@/core/job/testJob'
import type { ProtectionKind } from '@/core/protection/kinds'
import { chooseDressing, chooseWheelProtection } from './chooseProtection'

const wheel = (changes: Parameters<typeof testCorner>[1] = {}) => testCorner('frontLeft', changes)
const shop = (schools: Partial<Schools> = {}, changes: Partial<Job> = {}): Job =>
  testJob([], { schools: { ...defaultSchools, ...schools }, ...changes })
const kindOf = (corner: ReturnType<typeof wheel>, job: Job): ProtectionKind | undefined =>
  chooseWheelProtection(corner, job)?.kind

describe('protection of a wheel', () => {
  it('is a matte sealant on matte, whatever the shop likes', () => {
    const matte = wheel({ finishes: allOf('matte') })
    for (const protection of ['byRecord', 'sprayAndRinse', 'wipeOn', 'coating'] as const)
      expect([undefined, 'matteSealant']).toContain(kindOf(matte, shop({ protection })))
  })

  it('is a topper where a coating is', () => {
    const coated = wheel({ protection: ['ceramicCoating'] })
    expect(['coatingTopper', 'sprayRinseSilica']).toContain(kindOf(coated, shop()))
  })

  it('follows the shop: sprayed and rinsed, or wiped on', () => {
    expect(kindOf(wheel(), shop({ protection: 'sprayAndRinse' }))).toBe('sprayRinseSilica')
    expect(kindOf(wheel(), shop({ protection: 'wipeOn' }))).toBe('spraySealant')
    expect(chooseWheelProtection(wheel(), shop({ protection: 'wipeOn' }))?.school).toBeTruthy()
  })

  it('by record tops up what is there with its own kind', () => {
    for (const kind of ['spraySealant', 'wheelWax'] as const) {
      const job = shop({ protection: 'byRecord' })
      const hasIt = job.cabinet.some(({ family }) => family === kind)
      if (hasIt) expect(kindOf(wheel({ protection: [kind] }), job)).toBe(kind)
    }
  })

  it('is none where the cabinet has none', () => {
    expect(chooseWheelProtection(wheel(), shop({}, { cabinet: [] }))).toBeNull()
  })
})

describe('dressing of a tyre', () => {
  it('is water-based beside matte and in the heat, and says why where the shop wants gloss', () => {
    const glossy = { dressing: 'solvent' } as const
    const hot = shop(glossy, { conditions: plainConditions({ airCelsius: 33 }) })
    for (const choice of [
      chooseDressing(wheel(), hot),
      chooseDressing(wheel({ finishes: allOf('matte') }), shop(glossy)),
    ]) {
      expect(choice?.kind).toBe('tyreDressingWater')
      expect(choice?.why).toMatch(/Not solvent-based today/)
      expect(choice?.school).toBeNull()
    }
  })

  it('is what the shop likes on a mild day', () => {
    expect(chooseDressing(wheel(), shop({ dressing: 'water' }))?.kind).toBe('tyreDressingWater')
    const solvent = chooseDressing(wheel(), shop({ dressing: 'solvent' }))
    expect(['tyreDressingSolvent', 'tyreDressingWater']).toContain(solvent?.kind)
  })

  it('is none over a tyre coating', () => {
    expect(chooseDressing(wheel({ protection: ['tyreCoating'] }), shop())).toBeNull()
  })
})
