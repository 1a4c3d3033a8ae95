import { describe, expect, it } from 'vitest'
import { wheelGeometry, type WheelMeasures } from '@/core/wheel-geometry'
import { arcPath, wheelShape } from './shape'

const shapeOf = (changes: Partial<WheelMeasures> = {}) => {
  const wheel = wheelGeometry({
    tyreCode: '255/35 R19',
    rimWidthInches: 8.5,
    spokeCount: 10,
    spokeWidthMillimetres: 28,
    spokeDepthMillimetres: 45,
    ...changes,
  })
  if (!wheel.ok) throw new Error('bad wheel')
  return wheelShape(wheel.value)
}

describe('the drawing is to scale', () => {
  it('shows the rim in its true share of the tyre', () => {
    expect(shapeOf().rimRadius).toBeCloseTo((482.6 / 661.1) * 100, 1)
    expect(shapeOf({ tyreCode: '31x10.50 R15' }).rimRadius).toBeCloseTo((381 / 787.4) * 100, 1)
  })

  it('draws every spoke, and none on a closed disc', () => {
    expect(shapeOf({ spokeCount: 17 }).spokes).toHaveLength(17)
    expect(new Set(shapeOf({ spokeCount: 17 }).spokes).size).toBe(17)
    expect(shapeOf({ spokeCount: 0 }).spokes).toHaveLength(0)
  })

  it('nests its rings', () => {
    const { rimRadius, lipRadius, rotorRadius, hubRadius, lugRadius, capRadius } = shapeOf()
    const radii = [100, rimRadius, lipRadius, rotorRadius, hubRadius, lugRadius, capRadius]
    expect(radii).toEqual([...radii].sort((a, b) => b - a))
  })
})

it('an arc never closes on itself and starts at the top', () => {
  expect(arcPath(50, 0, 1)).toMatch(/^M 0 -50 A 50 50 0 1 1 /)
  expect(arcPath(50, 0, 0.25)).toBe('M 0 -50 A 50 50 0 0 1 50 0')
})
