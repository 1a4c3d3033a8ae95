import type { Exposure } from './exposure'
import type { FinishState } from '@/core/finishes/finishState'
import type { FinishZone } from '@/core/wheel/zone'
import { judgedAs } from '@/core/finishes/finish'
import type { Position } from '@/core/wheel/position'
import type { BrakeReadings } from './hotBrakes'
import { facingDegrees, uprightWattsPerM2, type SunPosition } from './sun'
import { absorptances, rubberAbsorptance, surfaceCelsius } from './surface'

/** A temperature read off a wheel. */
export interface SurfaceReading {
  readonly position: Position
  readonly celsius: number
  /** Instant it was read, ISO 8601. */
  readonly at?: string
}

/** One hour of the day as it is expected. */
export interface HourAhead {
  /** Hours since midnight where the work is, 0 to 24. */
  readonly hour: number
  readonly sun: SunPosition
  readonly airCelsius: number
  readonly humidityShare: number
  readonly windKilometresPerHour: number
  readonly cloudShare: number
}

/** What it is like where the wheels stand. */
export interface Conditions {
  readonly airCelsius: number
  /** Read off the wheels as a whole; absent: not measured. */
  readonly surfaceCelsius?: number
  readonly readings: readonly SurfaceReading[]
  readonly exposure: Exposure
  /** Rain falls on the wheels. */
  readonly raining: boolean
  /** 0 to 1. */
  readonly humidityShare: number
  readonly windKilometresPerHour: number
  /** 0 clear to 1 covered. */
  readonly cloudShare: number
  /** Where the front of the vehicle points, clockwise from north. */
  readonly headingDegrees: number
  /** Where the sun stands at the start; null where place or time are not known. */
  readonly sun: SunPosition | null
  /** Local hour of the start; null where not known. */
  readonly startHour: number | null
  /** The hours of the day; empty where place or time are not known. */
  readonly day: readonly HourAhead[]
  readonly brakes: readonly ({ readonly position: Position } & BrakeReadings)[]
}

/** Share of the beam that finds the wheel, and of what the sky scatters. House estimates. */
export const exposureShares: Record<Exposure, { readonly beam: number; readonly reason: string }> = {
  shade: { beam: 0, reason: 'A shed, a tree, the lee of a wall: scattered light only, and little of it.' },
  partSun: { beam: 0.5, reason: 'Sun on half of the wheel, or half of the time.' },
  fullSun: { beam: 1, reason: 'The sun finds the wheel, as far as its side faces it.' },
}

/** Where the sun is taken to stand when nobody said where and when. */
const usualSun: SunPosition = { elevationDegrees: 45, azimuthDegrees: 180 }

export interface SurfaceEstimate {
  readonly celsius: number
  readonly isMeasured: boolean
  /** What reaches the wheel, W/m²; 0 where measured. */
  readonly wattsPerM2: number
}

/** Sun on the wheel of a corner, W/m²: by where it faces, clouds and shade; of the usual sun where nobody said where and when. */
export function sunOn(
  position: Position,
  conditions: Conditions,
  at: Pick<HourAhead, 'sun' | 'cloudShare'> | null = null,
): number {
  const share = exposureShares[conditions.exposure].beam
  if (share === 0) return 0
  const { cloudShare } = at ?? conditions
  const sun = at?.sun ?? conditions.sun
  const facing = sun
    ? facingDegrees(position, conditions.headingDegrees).map((direction) =>
        uprightWattsPerM2(sun, direction, cloudShare),
      )
    : [uprightWattsPerM2(usualSun, usualSun.azimuthDegrees, cloudShare)]
  return share * Math.max(...facing)
}

/**
 * Surface temperature of a corner: as measured, else from sun, wind and finish.
 * @param isRubber of its tyre, which is black whatever the wheel is; readings are of the wheel and hold for both
 */
export function surfaceOfCorner(
  corner: {
    readonly position: Position
    readonly finishes: Partial<Record<FinishZone, FinishState>>
  },
  conditions: Conditions,
  at: Pick<HourAhead, 'sun' | 'airCelsius' | 'windKilometresPerHour' | 'cloudShare'> | null = null,
  isRubber = false,
): SurfaceEstimate {
  // A reading holds for now, not for another hour.
  if (!at) {
    const reading = conditions.readings.findLast(({ position }) => position === corner.position)
    const measured = reading?.celsius ?? conditions.surfaceCelsius
    if (measured !== undefined) return { celsius: measured, isMeasured: true, wattsPerM2: 0 }
  }
  const { airCelsius, windKilometresPerHour } = at ?? conditions
  const wattsPerM2 = sunOn(corner.position, conditions, at)
  const finish = judgedAs(corner.finishes.face?.finish ?? 'unknown')
  const absorptance = isRubber
    ? rubberAbsorptance
    : corner.finishes.face?.finish === 'unknown' || !corner.finishes.face
      ? absorptances.unknown
      : absorptances[finish]
  return {
    celsius: surfaceCelsius(airCelsius, absorptance.value, wattsPerM2, windKilometresPerHour),
    isMeasured: false,
    wattsPerM2,
  }
}

/** Plain conditions: nothing measured, no sun known. What a job has when nobody said more. */
export const plainConditions = (changes: Partial<Conditions> = {}): Conditions => ({
  airCelsius: 18,
  readings: [],
  exposure: 'shade',
  raining: false,
  humidityShare: 0.55,
  windKilometresPerHour: 8,
  cloudShare: 0.3,
  headingDegrees: 0,
  sun: null,
  startHour: null,
  day: [],
  brakes: [],
  ...changes,
})

/** The hottest that was measured on these wheels, °C; undefined where nothing was. */
export function hottestMeasured({ surfaceCelsius, readings }: Conditions): number | undefined {
  const newest = new Map(readings.map(({ position, celsius }) => [position, celsius]))
  const all = [...newest.values(), ...(surfaceCelsius === undefined ? [] : [surfaceCelsius])]
  return all.length === 0 ? undefined : Math.max(...all)
}
