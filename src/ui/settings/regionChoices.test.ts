import { expect, it } from 'vitest'
import { usualJug } from '@/core/units/jug'
import { usualRegion } from '@/core/units/region'
import { jugChoiceOf, jugChoices, withEnglish, withJug, withUnit } from './regionChoices'

it('another English brings its usual units and jug', () =>
  expect(withEnglish('en-US')).toEqual(usualRegion('en-US')))

it('one kind is chosen otherwise, and other bottles bring their jug', () => {
  const region = usualRegion('en-US')
  expect(withUnit(region, 'distance', 'kilometre')).toEqual({
    ...region,
    units: { ...region.units, distance: 'kilometre' },
  })
  expect(withUnit(region, 'volume', 'metric').jug).toEqual(usualJug.metric)
})

it('a jug with marks that are not usual stays a choice', () => {
  const own = { system: 'metric' as const, stepMillilitres: 2 }
  expect(jugChoiceOf(own)).toBe('own')
  expect(jugChoices(own)).toContain('own')
  expect(jugChoices(usualJug.us)).not.toContain('own')
  const region = { ...usualRegion('en'), jug: own }
  expect(withJug(region, 'own')).toBe(region)
  expect(jugChoiceOf(withJug(region, 'imperial').jug)).toBe('imperial')
})
