import type { Position } from '@/core/wheel/position'
import { cos, exp, power, sin } from '@/core/quantity/portableMath'

/** Where the sun stands. */
export interface SunPosition {
  /** Above the horizon; negative at night. */
  readonly elevationDegrees: number
  /** Clockwise from north. */
  readonly azimuthDegrees: number
}

const radians = (degrees: number): number => (degrees * Math.PI) / 180

/** Clear-sky irradiance on level ground, W/m². Haurwitz (1945): 1098 cos z exp(−0.057 / cos z). */
export function clearSkyWattsPerM2(elevationDegrees: number): number {
  const cosine = sin(radians(elevationDegrees))
  return cosine <= 0 ? 0 : 1098 * cosine * exp(-0.057 / cosine)
}

/** Share of it that clouds leave. Kasten and Czeplak (1980): 1 − 0.75 n^3.4, n from 0 (clear) to 1 (covered). */
export const cloudFactor = (cloudShare: number): number => 1 - 0.75 * power(cloudShare, 3.4)

/** Relative air mass. Kasten and Young (1989). */
export const airMass = (elevationDegrees: number): number =>
  1 / (sin(radians(elevationDegrees)) + 0.50572 * power(elevationDegrees + 6.07995, -1.6364))

/** Beam of a clear sky on a plane that faces the sun, W/m². Meinel and Meinel (1976): 1353 · 0.7^(AM^0.678). */
export const beamWattsPerM2 = (elevationDegrees: number): number =>
  elevationDegrees <= 0 ? 0 : 1353 * power(0.7, power(airMass(elevationDegrees), 0.678))

/**
 * Irradiance on an upright plane that faces a direction, W/m²: the beam by its angle of incidence, and half of the diffuse
 * rest, because an upright plane sees half of the sky.
 * @param facingDegrees clockwise from north
 * @param cloudShare 0 to 1
 */
export function uprightWattsPerM2(sun: SunPosition, facingDegrees: number, cloudShare: number): number {
  const { elevationDegrees, azimuthDegrees } = sun
  if (elevationDegrees <= 0) return 0
  const global = clearSkyWattsPerM2(elevationDegrees)
  const beam = Math.min(beamWattsPerM2(elevationDegrees), global / sin(radians(elevationDegrees)))
  const diffuse = Math.max(0, global - beam * sin(radians(elevationDegrees)))
  const incidence = cos(radians(elevationDegrees)) * cos(radians(azimuthDegrees - facingDegrees))
  const left = cloudFactor(cloudShare)
  // Clouds take the beam first: what they leave of it is scattered.
  const beamLeft = left * (1 - cloudShare)
  const scattered = left * (diffuse + beam * sin(radians(elevationDegrees)) * cloudShare)
  return Math.max(0, incidence) * beam * beamLeft + scattered / 2
}

/** The directions a wheel faces, clockwise from north; both sides where it has no outer one. */
export function facingDegrees(position: Position, headingDegrees: number): readonly number[] {
  if (position.endsWith('Left') || position.includes('Left')) return [(headingDegrees + 270) % 360]
  if (position.includes('Right')) return [(headingDegrees + 90) % 360]
  return [(headingDegrees + 90) % 360, (headingDegrees + 270) % 360]
}
