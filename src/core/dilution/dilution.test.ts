import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { calibrateLance, lanceBottleFraction, lanceSurfaceFraction } from './foamLance'
import { combineStages, fractionFromRatio, waterPartsOf } from './mix'
import { readDilution, type DilutionContext } from './readDilution'
import { dilutionStyles, sayDilution, writeDilution } from './writeDilution'

describe('reading a strength that has one meaning', () => {
  test.each<[said: string, waterParts: number, context?: DilutionContext]>([
    ['1:4', 4],
    ['4:1', 4],
    ['1 : 4', 4],
    ['1 to 4', 4],
    ['four to one', 4],
    ['1+4', 4],
    ['1 + 10', 10],
    ['99:1', 99],
    ['20% product 80% water', 4],
    ['80 % water, 20 % product', 4],
    ['60/40', 2 / 3],
    ['60 % product, 40 % water', 2 / 3],
    ['40% water 60% product', 2 / 3],
    ['60-40', 2 / 3],
    ['20 %', 4],
    ['20%', 4],
    ['20 percent', 4],
    ['80 % water', 4],
    ['12,5 %', 7],
    ['128 to 1', 128],
    ['one hundred and twenty eight to one', 128],
    ['twenty-five to one', 25],
    ['1:1', 1],
    ['50/50', 1],
    ['3:3', 1],
    ['30 ml in a 20 litre bucket', 20000 / 30],
    ['30ml in 20l', 20000 / 30],
    ['2 ounces to 16 ounces of water', 8],
    ['2 oz added to 16 oz', 8],
    ['1/2 US oz added to 1 US gallon', 256],
    ['½ US oz per US gallon', 256],
    ['half an ounce per gallon', 256, { ounces: 'us' }],
    ['half an ounce per gallon', 320, { ounces: 'imperial' }],
    ['half an imperial ounce per imperial gallon', 320],
    ['1 1/2 oz in 3 oz', 2],
    ['two and a half ml per litre', 400],
    ['100 ml made up to 1 litre', 9],
    ['100 ml topped up to 1 l', 9],
    ['900 ml water plus 100 ml', 9],
    ['900 ml of water with 100 ml of product', 9],
    ['4 parts water to 1 part product', 4],
    ['one part to four parts water', 4],
    ['3 parts water to 2 parts product', 1.5],
    ['1:4 then 1:10', 54],
    ['ready to use', 0],
    ['neat', 0],
    ['1:0', 0],
  ])('%s', (said, waterParts, context) => {
    const reading = readDilution(said, context)
    expect(reading).toMatchObject({ kind: 'mix' })
    if (reading.kind !== 'mix') return
    expect(reading.mix.from).toBe(reading.mix.to)
    expect(waterPartsOf(reading.mix.from)).toBeCloseTo(waterParts, 6)
  })

  test('every way round of one to four is the same mix', () => {
    const fractions = ['4:1', '1:4', 'four to one', '20 %'].map((said) => {
      const reading = readDilution(said)
      return reading.kind === 'mix' ? reading.mix.from : null
    })
    for (const fraction of fractions) expect(fraction).toBeCloseTo(0.2, 12)
  })

  test.each([
    ['1:10 to 1:7', 1 / 11, 1 / 8],
    ['1:7-10', 1 / 11, 1 / 8],
    ['10-20 %', 0.1, 0.2],
    ['1-2 ml per litre', 1 / 1001, 2 / 1002],
    ['1 to 2 ml per litre', 1 / 1001, 2 / 1002],
    ['1:4 to neat', 0.2, 1],
  ])('a range stays a range: %s', (said, from, to) => {
    const reading = readDilution(said)
    expect(reading.kind).toBe('mix')
    if (reading.kind !== 'mix') return
    expect(reading.mix.from).toBeCloseTo(from, 9)
    expect(reading.mix.to).toBeCloseTo(to, 9)
  })

  it('tells a strength of the lance bottle from one at the wheel', () => {
    expect(readDilution('60 % in a foam lance')).toMatchObject({ kind: 'mix', inLanceBottle: true })
    expect(readDilution('60 %')).toMatchObject({ inLanceBottle: false })
  })
})

describe('what is open is asked', () => {
  test.each<[string, number[], DilutionContext?]>([
    ['3:2', [0.6, 0.4]],
    ['0.5:1', [1 / 3, 2 / 3]],
    ['2:10', [1 / 6, 5 / 6]],
    ['1/4', [0.2, 0.25]],
    ['1 in 5', [0.2, 1 / 6]],
    ['50 ml + 450 ml', [0.1, 0.9]],
    ['450 ml with 50 ml', [0.9, 0.1]],
    ['50 ml topped up with 450 ml', [0.1, 0.9]],
    ['1:1.000', [1 / 1001, 1 / 2]],
    ['1:1,000', [1 / 1001, 1 / 2]],
    ['1 ml in 1.500 ml', [1 / 1501, 1 / 2.5]],
    ['1,000 ml per 10 litre', [1 / 11, 1 / 10_001]],
    ['16 oz to 2 oz', [8 / 9, 1 / 9]],
    ['half an ounce per gallon', [1 / 257, 1 / 321]],
  ])('%s', (said, fractions, context) => {
    const reading = readDilution(said, context)
    expect(reading.kind).toBe('open')
    if (reading.kind !== 'open') return
    expect(reading.choices).toHaveLength(2)
    reading.choices.forEach((choice, index) =>
      expect(choice.mix.from).toBeCloseTo(fractions[index] ?? NaN, 4),
    )
  })

  it.each([
    ['2 capfuls per bucket', { capful: 20, bucket: 10_000 }, 250],
    ['two caps to a bucket of water', { capful: 25, bucket: 10_000 }, 200],
    ['a capful per litre', { capful: 20 }, 50],
    ['30 ml in a 20 litre bucket', {}, 666.67],
  ])('%s', (said, holdsMillilitres, parts) => {
    const reading = readDilution(said, { holdsMillilitres })
    expect(reading.kind === 'mix' && waterPartsOf(reading.mix.from)).toBeCloseTo(parts, 1)
  })

  it('asks what a cap holds, then what is in the bucket', () => {
    expect(readDilution('2 capfuls per bucket')).toMatchObject({ kind: 'needs', need: 'capful' })
    expect(readDilution('2 capfuls per bucket', { holdsMillilitres: { capful: 20 } })).toMatchObject({
      kind: 'needs',
      need: 'bucket',
    })
  })

  it('asks for the size of the lance bottle and then reads on', () => {
    const said = 'half a lance bottle of water topped up with 5 to 7 ounces'
    expect(readDilution(said, { ounces: 'us' })).toMatchObject({ kind: 'needs', need: 'bottle' })
    const reading = readDilution(said, { ounces: 'us', holdsMillilitres: { bottle: 1000 } })
    expect(reading.kind).toBe('mix')
    if (reading.kind !== 'mix') return
    expect(reading.mix.from).toBeCloseTo(147.8675 / 647.8675, 6)
    expect(reading.mix.to).toBeCloseTo(207.0145 / 707.0145, 6)
  })
})

test.each([
  '', '   ', 'strong', '1:', ':', '1:0:3', '0:4', '0 %', '140 %', '-1:4', '1:900000', '30 ml',
  '5', '1 4', '<b>1:4</b>', '😀', '‏אחד', '"; drop table', 'us', '0 ml in 1 l', 'NaN:1', '1:1e9',
])('nonsense is refused with a way to fix it: %j', (said) => {
  const reading = readDilution(said)
  expect(reading.kind).toBe('unreadable')
  if (reading.kind === 'unreadable') expect(inEnglish(reading.fix).length).toBeGreaterThan(20)
}) // prettier-ignore

test('five thousand digits are shortened in the message', () => {
  const reading = readDilution('9'.repeat(5000))
  expect(reading.kind === 'unreadable' && reading.found.length).toBeLessThan(80)
})

test('a strength written out and read again is the same mix', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.0005, max: 1, noNaN: true }),
      fc.double({ min: 0.0005, max: 1, noNaN: true }),
      fc.constantFrom(...dilutionStyles),
      (one, other, style) => {
        const mix = { from: Math.min(one, other), to: Math.max(one, other) }
        const reading = readDilution(writeDilution(mix, style))
        expect(reading.kind).toBe('mix')
        if (reading.kind !== 'mix') return
        expect(Math.abs(reading.mix.from / mix.from - 1)).toBeLessThan(1e-3)
        expect(Math.abs(reading.mix.to / mix.to - 1)).toBeLessThan(1e-3)
      },
    ),
    { numRuns: 2000 },
  )
})

test('any text at all gets an answer, never an exception', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'grapheme', maxLength: 250 }),
      (text) => readDilution(text).kind.length > 0,
    ),
  )
  const words = [
    '1',
    '4',
    ':',
    'to',
    'half',
    'a',
    'oz',
    'ml',
    'in',
    'litre',
    '%',
    'water',
    'then',
    '-',
    '/',
    'neat',
    'part',
  ]
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...words), { maxLength: 12 }), (parts) => {
      const reading = readDilution(parts.join(' '))
      if (reading.kind !== 'mix') return true
      return reading.mix.from > 0 && reading.mix.from <= reading.mix.to && reading.mix.to <= 1
    }),
    { numRuns: 3000 },
  )
})

describe('foam lance', () => {
  const flow = { washerLitresPerMinute: 8, drawLitresPerMinute: 1.1 }

  it('reaches the reference value', () => {
    const bottle = lanceBottleFraction(0.02, flow)
    expect(bottle.ok && bottle.value).toBeCloseTo(0.16545, 5)
  })

  it('is its own inverse', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.0001, max: 0.12, noNaN: true }), (surface) => {
        const bottle = lanceBottleFraction(surface, flow)
        return bottle.ok && Math.abs(lanceSurfaceFraction(bottle.value, flow) - surface) < 1e-12
      }),
    )
  })

  it('says when no bottle is strong enough', () => {
    expect(inEnglish(lanceBottleFraction(0.5, flow))).toMatchObject({
      ok: false,
      problems: [{ fix: expect.stringContaining('12.1 %') }],
    })
  })

  it('is calibrated by the time a bottle takes', () => {
    const draw = calibrateLance(1000, 60)
    expect(draw.ok && draw.value).toBeCloseTo(1, 12)
    expect(calibrateLance(0, 0)).toMatchObject({
      ok: false,
      problems: [{ path: 'bottleMillilitres' }, { path: 'emptiedSeconds' }],
    })
  })
})

test('stages multiply', () => {
  expect(combineStages([0.5, 0.5, 0.2])).toBeCloseTo(0.05, 12)
})

test.each([
  [1.5, '1:1.5'],
  [2.26, '1:2.3'],
  [3.923, '1:4'],
  [6.4, '1:6.5'],
  [9.7, '1:10'],
  [9, '1:9'],
  [33.3, '1:33'],
  [125, '1:125'],
  [256, '1:250'],
  [333, '1:335'],
  [666.7, '1:650'],
  [707.1, '1:700'],
  [1000, '1:1000'],
])('a strength of 1:%s is said as %s', (waterParts, said) => {
  expect(sayDilution(fractionFromRatio(waterParts))).toBe(said)
})
