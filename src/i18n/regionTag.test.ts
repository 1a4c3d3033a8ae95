import fc from 'fast-check'
import { expect, it } from 'vitest'
import { usualJug, volumeSystems } from '@/core/units/jug'
import { englishes, unitChoices, usualRegion, type Region } from '@/core/units/region'
import { regionOfTag, tagOfRegion } from './regionTag'

const anyRegion: fc.Arbitrary<Region> = fc.record({
  english: fc.constantFrom(...englishes),
  units: fc.record({
    volume: fc.constantFrom(...volumeSystems),
    temperature: fc.constantFrom(...unitChoices.temperature),
    distance: fc.constantFrom(...unitChoices.distance),
    speed: fc.constantFrom(...unitChoices.speed),
    pressure: fc.constantFrom(...unitChoices.pressure),
    torque: fc.constantFrom(...unitChoices.torque),
    length: fc.constantFrom(...unitChoices.length),
    hardness: fc.constantFrom(...unitChoices.hardness),
  }),
  jug: fc.oneof(
    fc.constantFrom(usualJug.us, usualJug.imperial),
    fc
      .integer({ min: 1, max: 1000 })
      .map((tenths) => ({ system: 'metric' as const, stepMillilitres: tenths / 10 })),
  ),
})

it('keeps every region in a tag that every formatter takes', () => {
  fc.assert(
    fc.property(anyRegion, (region) => {
      const tag = tagOfRegion(region)
      expect(regionOfTag(tag)).toEqual(region)
      expect(() => new Intl.NumberFormat(tag).format(1.5)).not.toThrow()
      expect(new Intl.DateTimeFormat(tag).resolvedOptions().locale.startsWith('en')).toBe(true)
    }),
    { numRuns: 300 },
  )
})

it('is the plain language where the units are its usual ones', () => {
  for (const english of englishes) expect(tagOfRegion(usualRegion(english))).toBe(english)
})

it.each(['fr', 'en-XA', 'en-US-x-nonsense', '', 'en-x-'])('%j is a region all the same', (tag) =>
  expect(englishes).toContain(regionOfTag(tag).english),
)
