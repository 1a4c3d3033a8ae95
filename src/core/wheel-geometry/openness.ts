/** House estimates for the closed parts of a face, as shares of the rim diameter. */
export const faceShares = {
  hub: {
    value: 0.3,
    reason: 'Hub, bolt circle and spoke roots of common wheels fill about the inner third.',
  },
  lip: { value: 0.93, reason: 'The outer lip of a face takes some 3-4 % of the diameter on each side.' },
} as const

/**
 * Open share of the face from spoke count and width: one minus hub, lip and spokes over the disc area. House estimate.
 * @returns 0 (closed) to 0.95; 0 for a wheel without spokes
 */
export function estimateOpenness(
  spokeCount: number,
  spokeWidthMillimetres: number,
  rimDiameterMillimetres: number,
): number {
  if (spokeCount === 0) return 0
  const hub = faceShares.hub.value
  const lip = faceShares.lip.value
  const spokeLength = ((lip - hub) * rimDiameterMillimetres) / 2
  const spokes =
    (spokeCount * spokeWidthMillimetres * spokeLength) /
    ((Math.PI / 4) * rimDiameterMillimetres * rimDiameterMillimetres)
  return Math.min(0.95, Math.max(0, lip * lip - hub * hub - spokes))
}

/** Length of one spoke between hub and lip, mm. */
export const spokeLengthMillimetres = (rimDiameterMillimetres: number): number =>
  ((faceShares.lip.value - faceShares.hub.value) * rimDiameterMillimetres) / 2

/** Clear gap between two spokes at half their length, mm; 0 when they touch or there are none. */
export function spokeGapMillimetres(
  spokeCount: number,
  spokeWidthMillimetres: number,
  rimDiameterMillimetres: number,
): number {
  if (spokeCount === 0) return 0
  const middleRadius = ((faceShares.lip.value + faceShares.hub.value) / 4) * rimDiameterMillimetres
  return Math.max(0, (2 * Math.PI * middleRadius) / spokeCount - spokeWidthMillimetres)
}
