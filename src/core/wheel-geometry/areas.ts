import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { spokeLengthMillimetres } from './openness'
import type { WheelGeometry } from './wheelGeometry'

/** Surfaces of one corner in square metres. */
export interface WheelAreas {
  readonly sidewallM2: number
  readonly barrelM2: number
  /** The whole disc inside the rim, open or closed. */
  readonly discM2: number
  readonly faceM2: number
  /** The sides of the spokes, what is seen through the windows. */
  readonly windowsM2: number
  readonly spokeBacksM2: number
  readonly archM2: number
}

/** House estimates for the wheel well. */
export const archEstimates = {
  clearanceMillimetres: {
    value: 70,
    reason: 'Usual room between tread and liner for spring travel and steering.',
  },
  wrapShare: { value: 0.55, reason: 'A liner goes round a little more than the upper half of the tyre.' },
  extraWidthMillimetres: {
    value: 60,
    reason: 'The liner is wider than the tyre by the outer lip and the inner gap.',
  },
} as const

/** Ring of the outer sidewall: π/4 (OD² − (25.4 D)²). Inputs mm, result m². */
const ringM2 = (outerMillimetres: number, innerMillimetres: number): number =>
  ((Math.PI / 4) * (outerMillimetres * outerMillimetres - innerMillimetres * innerMillimetres)) / 1e6

/**
 * Areas from the geometry. Sidewall, barrel (π·25.4D·25.4J) and disc are exact for the nominal size;
 * face, spokes and arch rest on house estimates (openness, liner shape).
 */
export function wheelAreas(wheel: WheelGeometry): WheelAreas {
  const rim = wheel.tyre.rimDiameterInches * millimetresPerInch
  const discM2 = ringM2(rim, 0)
  const spokeLength = spokeLengthMillimetres(rim)
  const { clearanceMillimetres, wrapShare, extraWidthMillimetres } = archEstimates
  const linerRadius = wheel.tyre.outerDiameterMillimetres / 2 + clearanceMillimetres.value
  const linerWidth = wheel.tyre.widthMillimetres + extraWidthMillimetres.value
  return {
    sidewallM2: ringM2(wheel.tyre.outerDiameterMillimetres, rim),
    barrelM2: (Math.PI * rim * wheel.rimWidthInches * millimetresPerInch) / 1e6,
    discM2,
    faceM2: discM2 * (1 - wheel.openness),
    windowsM2: (2 * wheel.spokeCount * spokeLength * wheel.spokeDepthMillimetres) / 1e6,
    spokeBacksM2: (wheel.spokeCount * spokeLength * wheel.spokeWidthMillimetres) / 1e6,
    archM2: (2 * Math.PI * linerRadius * wrapShare.value * linerWidth) / 1e6,
  }
}
