import { wheelGeometry, type WheelGeometry } from '@/core/wheel-geometry'

/** The wheel that products are compared on: of middling size, ten spokes. */
function middlingWheel(): WheelGeometry {
  const wheel = wheelGeometry({
    tyreCode: '225/45 R18',
    rimWidthInches: 8,
    spokeCount: 10,
    spokeWidthMillimetres: 30,
    spokeDepthMillimetres: 45,
  })
  if (!wheel.ok) throw new Error('The wheel that products are compared on cannot be.')
  return wheel.value
}

export const referenceWheel = middlingWheel()
