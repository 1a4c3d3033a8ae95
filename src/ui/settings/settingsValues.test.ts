import { describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { usualRegion } from '@/core/units/region'
import { defaultSettings, settings, type Settings } from '@/contracts/settings'
import { inputOf, valuesOf } from './settingsValues'

const full: Settings = {
  ...defaultSettings,
  shopName: 'Bay "three"',
  ounces: 'imperial',
  northern: false,
  place: { latitude: -33.5, longitude: 0 },
  winterMonths: [6, 7],
  filter: { resinLitres: 7.5, hardnessPpm: 300, litresPerVisit: 20 },
  estimates: { q10: 1.75 },
}
const read = (values: ReturnType<typeof valuesOf>) => v.safeParse(settings, inputOf(values))

describe('the settings in their form', () => {
  it.each([
    ['as they come', defaultSettings],
    ['all set', full],
  ])('%s are sent as they were read', (_, given) => {
    expect(read(valuesOf(given, usualRegion('en')))).toMatchObject({
      success: true,
      output: { ...given, region: usualRegion('en') },
    })
  })

  it('a field that is emptied says that nothing is set, and a comma is a decimal mark', () => {
    const values = valuesOf(full, usualRegion('en'))
    const sent = read({
      ...values,
      place: { latitude: ' ', longitude: '' },
      wear: { ...values.wear, winterMonths: [], filter: { resinLitres: '', hardnessPpm: '', litresPerVisit: '' } },
      estimates: { q10: '', wetMargin: '0,6' },
    }) // prettier-ignore
    expect(sent.output).toMatchObject({ place: null, winterMonths: null, filter: null })
    expect((sent.output as Settings).estimates).toEqual({ wetMargin: 0.6 })
  })

  it('what is no number is refused as it was typed', () => {
    const values = valuesOf(full, usualRegion('en'))
    const sent = read({ ...values, equipment: { ...values.equipment, pressureBar: 'much' } })
    expect(sent.success).toBe(false)
    expect(sent.issues?.[0]?.path?.map(({ key }) => key)).toEqual(['equipment', 'pressureBar'])
  })
})
