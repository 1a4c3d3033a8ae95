import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { readTyreCode } from './tyreCode'

test.each([
  ['255/35 R19', 'passenger', 89.25, 661.1],
  ['255/35R19', 'passenger', 89.25, 661.1],
  ['255/35ZR19 96Y', 'passenger', 89.25, 661.1],
  ['255/35 ZR19 (96Y) XL', 'passenger', 89.25, 661.1],
  ['P225/60R16', 'passenger', 135, 676.4],
  ['p 225 / 60 r 16', 'passenger', 135, 676.4],
  ['LT265/70R17 121/118S', 'lightTruck', 185.5, 802.8],
  ['195/75 R16C 107/105R', 'commercial', 146.25, 698.9],
  ['ST205/75R15', 'trailer', 153.75, 688.5],
  ['ST205/75D15', 'trailer', 153.75, 688.5],
  ['120/70 ZR17 M/C 58W', 'motorcycle', 84, 599.8],
  ['255/70R22.5', 'passenger', 178.5, 928.5],
  ['31x10.50 R15', 'lightTruck', 203.2, 787.4],
  ['31X10.50R15LT', 'lightTruck', 203.2, 787.4],
  ['LT31×10,50 R15 109Q', 'lightTruck', 203.2, 787.4],
])('%s', (code, kind, sidewall, outer) => {
  const tyre = readTyreCode(code)
  expect(tyre).toMatchObject({ ok: true, value: { kind } })
  if (!tyre.ok) return
  expect(tyre.value.sidewallMillimetres).toBeCloseTo(sidewall, 6)
  expect(tyre.value.outerDiameterMillimetres).toBeCloseTo(outer, 6)
})

test('any number of blanks is one', () => {
  fc.assert(
    fc.property(fc.nat(400), fc.nat(400), (before, between) => {
      const code = `${' '.repeat(before)}255/35${' '.repeat(between)}R19`
      expect(readTyreCode(code)).toMatchObject({ ok: true, value: { rimDiameterInches: 19 } })
    }),
  )
})

test('marks and construction are kept apart', () => {
  expect(readTyreCode('195/75 R16C 107/105R')).toMatchObject({
    value: { serviceDescription: '107/105R', construction: 'radial' },
  })
  expect(readTyreCode('ST205/75D15')).toMatchObject({ value: { construction: 'diagonal' } })
})

test.each([
  ['', ''],
  ['round', ''],
  ['255/35', ''],
  ['<script>255/35R19</script>', ''],
  ['١٢٣', ''],
  ['9'.repeat(500), ''],
  [`${' '.repeat(60)}`, ''],
  ['30/35 R19', 'width'],
  ['255/10 R19', 'aspect'],
  ['255/35 R99', 'rim'],
  ['255/35 R4', 'rim'],
  ['15x10.50 R15', 'rim'],
  ['99x10.50 R15', 'outerDiameter'],
  ['185 R14', 'aspect'],
])('%j is refused and names the part', (code, path) => {
  const tyre = readTyreCode(code)
  expect(tyre.ok).toBe(false)
  if (tyre.ok) return
  expect(tyre.problems[0]?.path).toBe(path)
  expect(inEnglish(tyre.problems)[0]?.fix.length).toBeGreaterThan(20)
})

test('a wider, taller or larger-rimmed tyre is never smaller outside', () => {
  const size = fc.record({
    width: fc.integer({ min: 60, max: 450 }),
    aspect: fc.integer({ min: 20, max: 99 }),
    rim: fc.integer({ min: 8, max: 29 }),
  })
  const outer = (width: number, aspect: number, rim: number) => {
    const tyre = readTyreCode(`${width}/${aspect} R${rim}`)
    return tyre.ok ? tyre.value.outerDiameterMillimetres : NaN
  }
  fc.assert(
    fc.property(size, ({ width, aspect, rim }) => {
      const base = outer(width, aspect, rim)
      return (
        outer(width + 5, aspect, rim) > base &&
        outer(width, aspect + 1, rim) > base &&
        outer(width, aspect, rim + 1) > base
      )
    }),
  )
})

test('any text gets an answer', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'binary', maxLength: 80 }),
      (text) => typeof readTyreCode(text).ok === 'boolean',
    ),
  )
})
