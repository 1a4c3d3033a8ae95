import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import {
  estimateOpenness,
  spokeGapMillimetres,
  wheelAreas,
  wheelGeometry,
  wheelMeasureProblems,
  type WheelMeasures,
} from '.'

const measures = (changes: Partial<WheelMeasures> = {}): WheelMeasures => ({
  tyreCode: '255/35 R19',
  rimWidthInches: 8.5,
  spokeCount: 10,
  spokeWidthMillimetres: 28,
  spokeDepthMillimetres: 45,
  ...changes,
})

const areasOf = (changes: Partial<WheelMeasures> = {}) => {
  const wheel = wheelGeometry(measures(changes))
  if (!wheel.ok) throw new Error(inEnglish(wheel.problems)[0]?.fix)
  return wheelAreas(wheel.value)
}

describe('areas', () => {
  it('reach the reference values of 255/35 R19 on 8.5J', () => {
    const areas = areasOf()
    expect(areas.sidewallM2).toBeCloseTo(0.1603, 4)
    expect(areas.barrelM2).toBeCloseTo(0.3273, 4)
    expect(areas.discM2).toBeCloseTo(0.1829, 4)
  })

  it('the face is what the openness leaves of the disc', () => {
    const areas = areasOf({ openness: 0.4 })
    expect(areas.faceM2).toBeCloseTo(areas.discM2 * 0.6, 9)
  })

  it('grow with every size they depend on', () => {
    const size = fc.record({
      width: fc.integer({ min: 135, max: 350 }),
      aspect: fc.integer({ min: 25, max: 85 }),
      rim: fc.integer({ min: 13, max: 23 }),
      rimWidth: fc.double({ min: 4, max: 12, noNaN: true }),
      spokes: fc.integer({ min: 3, max: 20 }),
      depth: fc.integer({ min: 10, max: 90 }),
    })
    fc.assert(
      fc.property(size, ({ width, aspect, rim, rimWidth, spokes, depth }) => {
        const at = (
          changes: Partial<Record<'width' | 'aspect' | 'rim' | 'rimWidth' | 'spokes' | 'depth', number>>,
        ) => {
          const all = { width, aspect, rim, rimWidth, spokes, depth, ...changes }
          return areasOf({
            tyreCode: `${all.width}/${all.aspect} R${all.rim}`,
            rimWidthInches: all.rimWidth,
            spokeCount: all.spokes,
            spokeDepthMillimetres: all.depth,
          })
        }
        const base = at({})
        return (
          at({ width: width + 10 }).sidewallM2 > base.sidewallM2 &&
          at({ width: width + 10 }).archM2 > base.archM2 &&
          at({ aspect: aspect + 5 }).sidewallM2 > base.sidewallM2 &&
          at({ rim: rim + 1 }).barrelM2 > base.barrelM2 &&
          at({ rim: rim + 1 }).discM2 > base.discM2 &&
          at({ rimWidth: rimWidth + 1 }).barrelM2 > base.barrelM2 &&
          at({ spokes: spokes + 1 }).windowsM2 > base.windowsM2 &&
          at({ spokes: spokes + 1 }).faceM2 >= base.faceM2 &&
          at({ depth: depth + 5 }).windowsM2 > base.windowsM2
        )
      }),
    )
  })
})

describe('openness', () => {
  it('falls as spokes get more or wider, and a disc without spokes is closed', () => {
    expect(estimateOpenness(0, 30, 480)).toBe(0)
    expect(estimateOpenness(5, 40, 480)).toBeGreaterThan(estimateOpenness(10, 40, 480))
    expect(estimateOpenness(10, 20, 480)).toBeGreaterThan(estimateOpenness(10, 40, 480))
    expect(estimateOpenness(60, 80, 480)).toBe(0)
  })

  it('the gap between spokes closes', () => {
    expect(spokeGapMillimetres(5, 40, 480)).toBeGreaterThan(spokeGapMillimetres(20, 40, 480))
    expect(spokeGapMillimetres(60, 80, 480)).toBe(0)
  })
})

test.each([
  [{ tyreCode: 'big' }, 'tyreCode'],
  [{ rimWidthInches: -8 }, 'rimWidthInches'],
  [{ rimWidthInches: 85 }, 'rimWidthInches'],
  [{ spokeCount: 4.5 }, 'spokeCount'],
  [{ spokeCount: 5000 }, 'spokeCount'],
  [{ spokeWidthMillimetres: 0 }, 'spokeWidthMillimetres'],
  [{ spokeDepthMillimetres: NaN }, 'spokeDepthMillimetres'],
  [{ hardwarePieces: 81 }, 'hardwarePieces'],
  [{ hardwarePieces: 2.5 }, 'hardwarePieces'],
  [{ openness: 1.2 }, 'openness'],
])('%j is refused at its field', (changes, field) => {
  expect(wheelMeasureProblems(measures(changes)).map(({ path }) => path)).toEqual([field])
})
