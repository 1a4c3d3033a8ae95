import { faceShares, type WheelGeometry } from '@/core/wheel-geometry'
import { millimetresPerInch } from '@/core/tyre/tyreCode'

/** A wheel seen from the front, in drawing units: the tyre's outer radius is 100. */
export interface WheelShape {
  readonly rimRadius: number
  readonly lipRadius: number
  readonly hubRadius: number
  readonly capRadius: number
  readonly lugRadius: number
  readonly rotorRadius: number
  /** One outline for each spoke, empty for a closed disc. */
  readonly spokes: readonly string[]
  /** The same a little wider: the sides of the spokes, what is seen through the windows. */
  readonly spokeSides: readonly string[]
  readonly spokeAngles: readonly number[]
}

const round = (value: number): number => Math.round(value * 100) / 100

const point = (radius: number, angle: number, across: number): string => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return `${round(radius * cos - across * sin)} ${round(radius * sin + across * cos)}`
}

/** A spoke from hub to lip, broad at the root and flaring into the lip. */
function spokePath(angle: number, halfWidth: number, hub: number, lip: number): string {
  const middle = (hub + lip) / 2
  const flare = Math.min(halfWidth * 0.9, 5)
  return [
    `M ${point(hub * 0.8, angle, -halfWidth * 1.15)}`,
    `L ${point(middle, angle, -halfWidth)}`,
    `Q ${point(lip * 0.96, angle, -halfWidth * 0.95)} ${point(lip + 0.5, angle, -halfWidth - flare)}`,
    `L ${point(lip + 0.5, angle, halfWidth + flare)}`,
    `Q ${point(lip * 0.96, angle, halfWidth * 0.95)} ${point(middle, angle, halfWidth)}`,
    `L ${point(hub * 0.8, angle, halfWidth * 1.15)} Z`,
  ].join(' ')
}

/** Works out the drawing from the real geometry, to scale. */
export function wheelShape(wheel: WheelGeometry): WheelShape {
  const scale = 200 / wheel.tyre.outerDiameterMillimetres
  const rimRadius = (wheel.tyre.rimDiameterInches * millimetresPerInch * scale) / 2
  const lipRadius = rimRadius * faceShares.lip.value
  const hubRadius = rimRadius * faceShares.hub.value
  const halfWidth = (wheel.spokeWidthMillimetres * scale) / 2
  const sideWidth = halfWidth + Math.min(5, wheel.spokeDepthMillimetres * scale * 0.16)
  const spokeAngles = Array.from(
    { length: wheel.spokeCount },
    (_, index) => (index / wheel.spokeCount) * 2 * Math.PI - Math.PI / 2,
  )
  return {
    rimRadius: round(rimRadius),
    lipRadius: round(lipRadius),
    hubRadius: round(hubRadius),
    capRadius: round(hubRadius * 0.42),
    lugRadius: round(hubRadius * 0.68),
    rotorRadius: round(rimRadius * 0.7),
    spokes: spokeAngles.map((angle) => spokePath(angle, halfWidth, hubRadius, lipRadius)),
    spokeSides: spokeAngles.map((angle) => spokePath(angle, sideWidth, hubRadius, lipRadius)),
    spokeAngles,
  }
}

/** A ring as one path, for filling with the even-odd rule. */
export const ringPath = (outer: number, inner: number): string =>
  `M ${-outer} 0 A ${outer} ${outer} 0 1 1 ${outer} 0 A ${outer} ${outer} 0 1 1 ${-outer} 0 Z M ${-inner} 0 A ${inner} ${inner} 0 1 0 ${inner} 0 A ${inner} ${inner} 0 1 0 ${-inner} 0 Z`

/** An open arc from a share to a share of the circle, clockwise from the top. */
export function arcPath(radius: number, from: number, to: number): string {
  const sweep = Math.min(0.9999, Math.max(0, to - from))
  const start = from * 2 * Math.PI - Math.PI / 2
  const end = (from + sweep) * 2 * Math.PI - Math.PI / 2
  const at = (angle: number) => `${round(radius * Math.cos(angle))} ${round(radius * Math.sin(angle))}`
  return `M ${at(start)} A ${radius} ${radius} 0 ${sweep > 0.5 ? 1 : 0} 1 ${at(end)}`
}
