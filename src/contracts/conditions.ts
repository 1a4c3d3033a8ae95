import { issueText } from './issueText'
import SunCalc from 'suncalc'
import * as v from 'valibot'
import type { Conditions, HourAhead } from '@/core/conditions/conditions'
import type { SunPosition } from '@/core/conditions/sun'
import { exposures } from '@/core/conditions/exposure'
import { positions } from '@/core/wheel/position'
import { list, numberFrom, oneOf, wholeNumberFrom } from './fields'
import { cos } from '@/core/quantity/portableMath'

/** Where the shop stands, for the sun. */
export const placeFile = v.strictObject({
  latitude: numberFrom(-90, 90, 'latitude'),
  longitude: numberFrom(-180, 180, 'longitude'),
})

const air = numberFrom(-20, 50, 'celsius')
const surface = numberFrom(-20, 120, 'celsius')
const humidity = numberFrom(0, 100, 'humidity')
const wind = numberFrom(0, 120, 'kmPerHour')
const cloud = numberFrom(0, 100, 'sky')

export const forecastHour = v.strictObject({
  hour: numberFrom(0, 24, 'hours'),
  airCelsius: air,
  humidityPercent: humidity,
  windKilometresPerHour: wind,
  cloudPercent: cloud,
})

export const instantText = v.pipe(v.string(), v.isoTimestamp(issueText('fields.instant')))

export const surfaceReading = v.strictObject({
  position: oneOf(positions),
  celsius: surface,
  at: v.optional(instantText),
})

export const brakeReadings = v.strictObject({
  position: oneOf(positions),
  firstCelsius: numberFrom(-20, 900, 'celsius'),
  secondCelsius: numberFrom(-20, 900, 'celsius'),
  minutesApart: numberFrom(0.5, 240, 'minutes'),
})

/** What it is like where the wheels stand. */
export const conditionsFile = v.strictObject({
  airCelsius: v.optional(air, 18),
  surfaceCelsius: v.optional(surface),
  readings: v.optional(list(surfaceReading, 100, 'readings'), []),
  exposure: v.optional(oneOf(exposures), 'shade'),
  /** Rain falls on the wheels, whatever roof there is elsewhere. */
  raining: v.optional(v.boolean(), false),
  humidityPercent: v.optional(humidity, 55),
  windKilometresPerHour: v.optional(wind, 8),
  cloudPercent: v.optional(cloud, 30),
  headingDegrees: v.optional(numberFrom(0, 360, 'heading'), 0),
  place: v.optional(placeFile),
  startAt: v.optional(instantText),
  /** What the clock on the wall is ahead of universal time. */
  utcOffsetMinutes: v.optional(wholeNumberFrom(-720, 840, 'minutes'), 0),
  forecast: v.optional(list(forecastHour, 48, 'hours'), []),
  brakes: v.optional(list(brakeReadings, 12, 'brakes'), []),
})

export type ConditionsInput = v.InferInput<typeof conditionsFile>
export type ConditionsFile = v.InferOutput<typeof conditionsFile>

/** Rounded to a millionth, so that the sun stands the same for every engine. */
const degrees = (radians: number): number => Math.round(((radians * 180) / Math.PI) * 1e6) / 1e6

const sunAt = (at: Date, { latitude, longitude }: v.InferOutput<typeof placeFile>): SunPosition => {
  const { altitude, azimuth } = SunCalc.getPosition(at, latitude, longitude)
  // The package counts the azimuth from south, westward.
  return { elevationDegrees: degrees(altitude), azimuthDegrees: (degrees(azimuth) + 180 + 360) % 360 }
}

/** How far the air swings between the coolest and the warmest hour, from the middle, °C. House estimate where nothing is forecast. */
const dailySwingCelsius = 4
const warmestHour = 15

/** The conditions the core plans with: sun of the start and of every hour of that day. */
export function conditionsOf(file: ConditionsFile): Conditions {
  const { place, startAt, utcOffsetMinutes, forecast, humidityPercent, cloudPercent, ...rest } = file
  const local = startAt ? new Date(new Date(startAt).getTime() + utcOffsetMinutes * 60_000) : null
  const startHour = local ? local.getUTCHours() + local.getUTCMinutes() / 60 : null
  const swing = (hour: number): number => dailySwingCelsius * cos(((hour - warmestHour) / 24) * 2 * Math.PI)
  const day: HourAhead[] =
    place && local && startHour !== null
      ? Array.from({ length: 24 }, (_, hour) => {
          const midnight = Date.UTC(local.getUTCFullYear(), local.getUTCMonth(), local.getUTCDate())
          const known = forecast.find((one) => Math.floor(one.hour) === hour)
          return {
            hour,
            sun: sunAt(new Date(midnight + hour * 3_600_000 - utcOffsetMinutes * 60_000), place),
            airCelsius: known?.airCelsius ?? file.airCelsius + swing(hour) - swing(startHour),
            humidityShare: (known?.humidityPercent ?? humidityPercent) / 100,
            windKilometresPerHour: known?.windKilometresPerHour ?? file.windKilometresPerHour,
            cloudShare: (known?.cloudPercent ?? cloudPercent) / 100,
          }
        })
      : []
  return {
    ...rest,
    humidityShare: humidityPercent / 100,
    cloudShare: cloudPercent / 100,
    sun: place && startAt ? sunAt(new Date(startAt), place) : null,
    startHour,
    day,
  }
}
