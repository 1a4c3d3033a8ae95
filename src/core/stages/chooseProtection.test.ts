import { sayInEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import { describe, expect, it } from 'vitest'
import { plainConditions } from '@/core/conditions/conditions'
import type { Job } from '@/core/job/job'
import { defaultMethods, type Methods } from '@/core/methods/methods'
import { allOf, testCorner, testJob } from '@/core/job/testJob'
import type { ProtectionKind } from '@/core/protection/kinds'
import { chooseDressing, chooseWheelProtection } from './chooseProtection'

const wheel = (changes: Parameters<typeof testCorner>[1] = {}) => testCorner('frontLeft', changes)
const shop = (methods: Partial<Methods> = {}, changes: Partial<Job> = {}): Job =>
  testJob([], { methods: { ...defaultMethods, ...methods }, ...changes })
const kindOf = (corner: ReturnType<typeof wheel>, job: Job): ProtectionKind | undefined =>
  chooseWheelProtection(corner, job).choice?.kind

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
    expect(chooseWheelProtection(wheel(), shop({ protection: 'wipeOn' })).choice?.method).toBeTruthy()
  })

  it('by record tops up what is there with its own kind', () => {
    for (const kind of ['spraySealant', 'wheelWax'] as const) {
      const job = shop({ protection: 'byRecord' })
      const hasIt = job.cabinet.some(({ family }) => family === kind)
      if (hasIt) expect(kindOf(wheel({ protection: [kind] }), job)).toBe(kind)
    }
  })

  it('is none where the cabinet has none', () => {
    expect(chooseWheelProtection(wheel(), shop({}, { cabinet: [] })).choice).toBeNull()
  })
})

describe('dressing of a tyre', () => {
  it('is water-based beside matte and in the heat, and says why where the shop wants gloss', () => {
    const glossy = { dressing: 'solvent' } as const
    const hot = shop(glossy, { conditions: plainConditions({ airCelsius: 33 }) })
    for (const choice of [
      chooseDressing(wheel(), hot).choice,
      chooseDressing(wheel({ finishes: allOf('matte') }), shop(glossy)).choice,
    ]) {
      expect(choice?.kind).toBe('tyreDressingWater')
      expect(says(choice?.why, 'reasons.protection')).toBe(true)
      expect(sayInEnglish(choice?.why ?? '')).toContain('No solvent-based dressing today')
      expect(choice?.method).toBeNull()
    }
  })

  it('is what the shop likes on a mild day', () => {
    expect(chooseDressing(wheel(), shop({ dressing: 'water' })).choice?.kind).toBe('tyreDressingWater')
    const solvent = chooseDressing(wheel(), shop({ dressing: 'solvent' })).choice
    expect(['tyreDressingSolvent', 'tyreDressingWater']).toContain(solvent?.kind)
  })

  it('is none over a tyre coating', () => {
    expect(chooseDressing(wheel({ protection: ['tyreCoating'] }), shop()).choice).toBeNull()
  })
})

describe('the window of what stays on', () => {
  const weather = (changes: Parameters<typeof plainConditions>[0]) =>
    shop({ protection: 'wipeOn' }, { conditions: plainConditions(changes) })

  it.each([
    ['the cold', { airCelsius: 3 }, 'ruleBook.sealantInTheCold'],
    ['damp air', { humidityShare: 0.95 }, 'ruleBook.sealantInDamp'],
    ['rain', { raining: true }, 'ruleBook.dryWorkInRain'],
  ] as const)('refuses what is wiped on in %s, and sprays instead', (_, conditions, reason) => {
    const { choice, refused } = chooseWheelProtection(wheel(), weather(conditions))
    expect(says(refused?.reason, reason)).toBe(true)
    expect(choice?.kind).toBe('sprayRinseSilica')
  })

  it('never coats in cold, heat, damp or rain', () => {
    for (const conditions of [
      { airCelsius: 8 },
      { airCelsius: 33 },
      { humidityShare: 0.85 },
      { raining: true },
    ]) {
      const job = { ...weather(conditions), service: 'restore' as const }
      expect(chooseWheelProtection(wheel(), job).choice?.kind).not.toBe('ceramicCoating')
      expect(chooseDressing(wheel(), job).choice?.kind).not.toBe('tyreCoating')
    }
    const mild = { ...weather({ airCelsius: 18 }), service: 'restore' as const }
    expect(chooseWheelProtection(wheel(), mild).choice?.kind).toBe('ceramicCoating')
  })

  it('takes what the person pinned before the shop’s order', () => {
    const job = shop({}, { wishes: { prefer: 'gentlest', pinned: ['wheelWax'], forbidden: [] } })
    expect(kindOf(wheel(), job)).toBe('wheelWax')
  })

  it('names what keeps a dressing off, also where a coating was wanted', () => {
    const soaked = shop(
      {},
      { service: 'restore', conditions: plainConditions({ airCelsius: 20, humidityShare: 0.97 }) },
    )
    const { choice, refused } = chooseDressing(wheel(), soaked)
    expect(choice).toBeNull()
    expect(says(refused?.reason, 'ruleBook.coatingInDamp')).toBe(false)
    expect(says(refused?.reason, 'ruleBook')).toBe(true)
  })
})
